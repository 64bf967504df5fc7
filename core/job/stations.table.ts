/** The nine stations of a job, in the order of work. */
export const STATION_IDS = ['take-in', 'know', 'call', 'open', 'warm', 'weld', 'rebuild', 'prove', 'hand-over'] as const
export type StationId = (typeof STATION_IDS)[number]

export const STATION_NAMES: Readonly<Record<StationId, string>> = {
  'take-in': 'Take in',
  know: 'Know',
  call: 'Call',
  open: 'Open',
  warm: 'Warm',
  weld: 'Weld',
  rebuild: 'Rebuild',
  prove: 'Prove',
  'hand-over': 'Hand over',
}
