import { isArc } from '../../process/registry'
import { ids } from '../../job/rests-on'
import { caution } from '../../safety/cautions.table'
import type { MendsData } from '../mends/mend-row'
import type { StationPlan } from '../parts'
import type { WarmData } from '../warm/warm'
import type { WeldData } from './weld-data'

/** Weld or braze, for the whole part: what hurts there, the slow cooling after it, and what all of it rests on. */
export function planWeld(warm: WarmData, { rows, coolMin }: MendsData): StationPlan<WeldData> {
  const processes = [...new Set(rows.flatMap(({ planned }) => planned?.lays.map(({ process }) => process) ?? []))]
  const arc = processes.some(process => isArc(process))
  const setUps = rows.flatMap(row => row.setUps)
  return {
    id: 'weld',
    short: '',
    wants: [],
    call: [],
    why: [],
    change: [],
    cautions: arc
      ? [
          caution('earth-before-arc'),
          caution('ozone-uv'),
          caution('hot-no-glow'),
          caution('chlorinated-solvent'),
          caution('pulsed-noise'),
        ]
      : [],
    clocks: processes.length ? [{ name: 'Slow cool', seconds: Math.round(coolMin * 60) }] : [],
    workings: {},
    outcomes: { warmth: warm.warmth.need, machine: ids(setUps.flatMap(({ set }) => set.machine?.id ?? [])) },
    data: { setUp: setUps[0] ?? null },
  }
}
