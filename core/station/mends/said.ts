import type { Caution } from '../../ask/question'
import type { Sentence, StationPlan, Working } from '../parts'

/** The stations that show one mend at a time. */
export type Shown = 'open' | 'weld' | 'rebuild'

/** What a station says of one mend: its headline without the mend's name, why, and what hangs on it. */
export interface StationSays {
  call: Sentence
  why: readonly Sentence[]
  change: readonly Sentence[]
  clocks: NonNullable<StationPlan['clocks']>
  cautions: readonly Caution[]
  workings: Readonly<Record<string, Working>>
}

export const UNSAID: StationSays = { call: [], why: [], change: [], clocks: [], cautions: [], workings: {} }
/** Before it is known what the part is warmed to. */
export const NOTHING_SAID: Readonly<Record<Shown, StationSays>> = { open: UNSAID, weld: UNSAID, rebuild: UNSAID }
