import type { Soak } from '../call/process.table'
import { LAYS_BY } from '../lay/process.table'
import { BOIL_OUT_MIN } from '../mend/minutes.table'
import type { PlannedLay } from './job-planned'

/** Minutes that an arc sits on a mend without rod to boil it out; only one that feeds no wire of its own can. */
export const boilMinOf = ([first]: readonly Pick<PlannedLay, 'process'>[], soak: Soak): number =>
  first && LAYS_BY[first.process] === 'rod' ? BOIL_OUT_MIN[soak] : 0
