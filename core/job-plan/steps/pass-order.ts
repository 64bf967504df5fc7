import type { Order } from '../../lay/lays'
import { MOST_PASSES } from '../most-passes'
import type { ReadyLay } from '../readied'

export interface PassOf {
  lay: number
  of: ReadyLay
  /** Which pass of its lay, from 0. */
  turn: number
}

/**
 * The lay of each pass in the order they are laid. Turn about, what both sides are laid with goes pass by pass from one
 * side to the other; else each lay is laid out before the next.
 */
export function passByPass(lays: readonly ReadyLay[], order: Order): PassOf[] {
  const together: { lay: number; of: ReadyLay }[][] = []
  lays.forEach((of, lay) => {
    const before = together.at(-1)
    const pairs =
      order === 'alternate' &&
      before?.every(
        ({ of: one }) =>
          one.lay.process === of.lay.process && one.lay.filler === of.lay.filler && one.lay.side !== of.lay.side,
      )
    if (pairs) before?.push({ lay, of })
    else together.push([{ lay, of }])
  })
  const laid: PassOf[] = []
  for (const pair of together)
    for (let turn = 0; laid.length < MOST_PASSES && pair.some(({ of }) => turn < of.means.passes); turn++)
      laid.push(...pair.filter(({ of }) => turn < of.means.passes).map(one => ({ ...one, turn })))
  return laid.slice(0, MOST_PASSES)
}
