import type { ProcessId } from '../process/registry'
import type { Laid } from '../mend/kind'
import { UP_TO, type UpTo } from './process.table'

/** Order of the sides. */
export const ORDERS = {
  alternate: 'turn about',
  'one-then-other': 'one side finished before the other',
  'roots-then-fills': 'roots on both sides before the fills',
} as const
export type Order = keyof typeof ORDERS

export interface WantedLay {
  readonly process: ProcessId
  readonly filler: string
  readonly upTo: UpTo
}
/** A run of passes of one process with one filler on one side. */
export interface Lay {
  readonly process: ProcessId
  readonly filler: string
  readonly side: 1 | 2
  readonly volumeMm3: number
  readonly runMm: number
}

/**
 * Lays in the order they are run: each wanted lay up to where it goes, side by side in the order chosen. What the last
 * leaves is the last's: all the metal is laid. Boiling out is no lay.
 */
export function laysOf(laid: readonly Laid[], wanted: readonly WantedLay[], order: Order): Lay[] {
  if (!laid.length) return []
  let reached = 0
  const steps = wanted
    .map((lay, n) => {
      const from = reached
      reached = n === wanted.length - 1 ? 1 : Math.max(from, UP_TO[lay.upTo])
      return { ...lay, share: reached - from }
    })
    .filter(step => step.share > 0)
  const sides = [...new Set(laid.map(one => one.side))].toSorted()
  const of = (side: 1 | 2, step: (typeof steps)[number], share = step.share): Lay => {
    const mine = laid.filter(one => one.side === side)
    const volumeMm3 = mine.reduce((sum, one) => sum + one.volumeMm3, 0)
    return {
      process: step.process,
      filler: step.filler,
      side,
      volumeMm3: volumeMm3 * share,
      runMm: mine.reduce((sum, one) => sum + one.volumeMm3 * one.runMm, 0) / (volumeMm3 || 1),
    }
  }
  if (order === 'one-then-other' || sides.length < 2) return sides.flatMap(side => steps.map(step => of(side, step)))
  // Turn about and roots first both bring the two sides up together; with one lay the root is a lay of its own.
  const [first, ...rest] = steps
  if (order === 'roots-then-fills' && first && rest.length === 0 && first.share > UP_TO.root)
    return [
      ...sides.map(side => of(side, first, UP_TO.root)),
      ...sides.map(side => of(side, first, first.share - UP_TO.root)),
    ]
  return steps.flatMap(step => sides.map(side => of(side, step)))
}
