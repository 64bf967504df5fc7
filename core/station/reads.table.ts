import type { StationId } from '../job/stations.table'

/** Readings that each station goes by, by their fields; the mends' own come beside where a station shows them. */
export const READS: Readonly<Record<StationId, readonly string[]>> = {
  'take-in': [
    'takeIn.does',
    'takeIn.soak',
    'takeIn.cause',
    'takeIn.causeCure',
    'takeIn.wallMm',
    'takeIn.safetyCritical',
  ],
  know: [],
  call: [
    'takeIn.soak',
    'takeIn.does',
    'takeIn.wallMm',
    'takeIn.earlierRepair',
    'takeIn.safetyCritical',
    'takeIn.stakes',
    'takeIn.newPrice',
    'call.decision',
  ],
  open: ['takeIn.wallMm', 'takeIn.soak', 'takeIn.coating', 'takeIn.earlierRepair'],
  warm: ['takeIn.wallMm', 'takeIn.lengthMm', 'takeIn.widthMm', 'takeIn.heightMm', 'warm.targetC', 'warm.school'],
  weld: ['takeIn.wallMm', 'weld.enPct', 'weld.frequencyHz', 'weld.currentA', 'weld.migMode'],
  rebuild: [],
  prove: ['takeIn.does', 'takeIn.mustNotMove'],
  'hand-over': [],
}
