import { PREHEAT_C } from '../arc/least-preheat'
import type { JobGiven } from '../job-plan/job-given'
import { CHILL_C } from '../warm/decide'

/** How a part is to be warmed: a temperature, or the school that decides it where a shop has one. */
export type WarmSet = Pick<JobGiven, 'warm' | 'warmSchool'>

/**
 * How a part may be warmed: as it was asked for first, as is decided, not at all, the chill taken off and a usual
 * preheat with each torch of the kit. Hotter than the metal or what stays on it bears, a plan holds it by itself.
 */
export function warmOptions({ warm, warmSchool, kit }: JobGiven): WarmSet[] {
  const asAsked: WarmSet = { warm, warmSchool }
  const not: WarmSet = warmSchool ? { warm: 'auto', warmSchool: 'never' } : { warm: 'none' }
  const decided: WarmSet = { warm: 'auto', warmSchool: warmSchool === 'never' ? 'decide' : warmSchool }
  // A stored job has one torch for all that it warms.
  const torches = warmSchool ? kit.torches.slice(0, 1) : kit.torches
  const set = [CHILL_C, PREHEAT_C].flatMap(toC => torches.map(({ id }) => ({ warm: { toC, torch: id } })))
  const same = (a: WarmSet, b: WarmSet) =>
    JSON.stringify([a.warm, a.warmSchool]) === JSON.stringify([b.warm, b.warmSchool])
  return [asAsked, decided, not, ...set].filter((one, n, all) => all.findIndex(other => same(one, other)) === n)
}
