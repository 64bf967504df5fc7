import { NoAnswer } from '../../ask/question'
import { holdFields } from '../../hold/schema'
import { holdSetup } from '../../hold/setup'
import type { HoldCase } from './hold-bench'

/**
 * A state of the part as the solver takes it. A weld or soft zone so small that no cell of the bench lies in it is left
 * out: it is a part of what lies about it.
 * @throws NoAnswer where a place that is held or pulled lies on no metal
 */
export function benchSetup({ asked }: Pick<HoldCase, 'asked'>) {
  const input = holdFields.parse(asked)
  const found = holdSetup(input)
  if ('setup' in found) return found.setup
  const lost = new Set(found.misplaced.flatMap(({ path }) => (path[0] === 'zones' ? [path[1]] : [])))
  const zones = input.zones.filter(({ kind }, n) => kind === 'crack' || !lost.has(n))
  const again = holdSetup({ ...input, zones })
  if ('setup' in again) return again.setup
  throw new NoAnswer(again.misplaced[0]!.message)
}
