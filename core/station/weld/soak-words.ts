import type { TurnDownPoint } from '../../heat/turn-down'
import { figure, type Sentence } from '../parts'
import type { Interpass } from './soak-up'

/** A part that warms less than this in a pass is not worth a wait. */
const TOLD_RISE_C = 15

/** How far a gun is turned down by the end; nothing where it makes no odds. */
export function turnDownWords(points: readonly TurnDownPoint[] | null): Sentence[] {
  const last = points?.at(-1)
  return last
    ? [
        [
          'As the part soaks up heat, turn the output down to ',
          figure(Math.round(100 * last.share), 'pct'),
          ' by ',
          figure(last.s, 's'),
          ': it is then at ',
          figure(Math.round(last.partC), 'c'),
          ' and the puddle is as it was.',
        ],
      ]
    : []
}

/** Under what the next pass may begin, and how long that is to wait for. */
export function interpassWords(interpass: Interpass | null): Sentence[] {
  if (!interpass || interpass.riseC < TOLD_RISE_C) return []
  const { riseC, mostC, why, waitS } = interpass
  return [
    [
      'Each pass warms the whole part by ',
      figure(Math.round(riseC), 'number'),
      ' K. Let the next begin under ',
      figure(mostC, 'c'),
      `: past it ${why}`,
      ...(waitS > 0 ? ['; that is ', figure(waitS, 's'), ' of waiting.'] : ['.']),
    ],
  ]
}
