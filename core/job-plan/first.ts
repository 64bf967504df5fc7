import { DEGREASE_MIN, EARLIER_REPAIR_MIN, PROTECT_MIN_EACH, TAKE_IN_MIN } from '../mend/minutes.table'
import type { PartGiven } from './job-given'

/** What is done once before anything is cut: taking in, degreasing, guarding, an earlier repair out. */
export const firstOf = ({
  soak,
  protect,
  earlierRepair,
}: Pick<PartGiven, 'soak' | 'protect' | 'earlierRepair'>): { code: string; minutes: number }[] => [
  { code: 'take-in', minutes: TAKE_IN_MIN },
  { code: 'degrease', minutes: DEGREASE_MIN[soak] },
  ...protect.map(id => ({ code: `protect-${id}`, minutes: PROTECT_MIN_EACH })),
  ...(earlierRepair === 'none' ? [] : [{ code: 'earlier-repair', minutes: EARLIER_REPAIR_MIN[earlierRepair] }]),
]
