import type { Caution } from '../../ask/question'
import type { Sentence, StationPlan, Working } from '../parts'
import { interpassWords, turnDownWords } from '../weld/soak-words'
import type { MendRow } from './mend-row'
import { rebuildChange, rebuildClocks, rebuildWhy, rebuildWorkings } from './rebuild-words'

/** What a station says of one mend beside its headline. */
export interface StationSays {
  why: readonly Sentence[]
  change: readonly Sentence[]
  clocks: NonNullable<StationPlan['clocks']>
  cautions: readonly Caution[]
  workings: Readonly<Record<string, Working>>
}

const NOTHING: StationSays = { why: [], change: [], clocks: [], cautions: [], workings: {} }

/** What a station says of one mend: what heat does at Weld, its thread or bend at Rebuild. */
export function stationSays(row: MendRow, station: 'open' | 'weld' | 'rebuild'): StationSays {
  if (station === 'rebuild')
    return {
      ...NOTHING,
      why: rebuildWhy(row),
      change: rebuildChange(row),
      clocks: rebuildClocks(row),
      workings: rebuildWorkings(row),
    }
  if (station !== 'weld') return NOTHING
  const soak = [...interpassWords(row.interpass), ...row.setUps.flatMap(({ turnDown }) => turnDownWords(turnDown))]
  const waitS = row.interpass?.waitS
  if (!row.flame)
    return { ...NOTHING, why: soak, clocks: waitS ? [{ name: 'Interpass', seconds: Math.ceil(waitS) }] : [] }
  const { call, why, change, clocks, cautions, workings } = row.flame.says
  return { why: [call, ...why], change, clocks: clocks ?? [], cautions, workings }
}
