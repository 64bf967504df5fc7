import { sample, type Grey } from '../grey'
import { fitHomography, mapped } from '../plane'
import type { Point } from '../point'
import { codeModules } from './layout'

/** Steps by which corners are moved, as shares of a module's size: coarse to fine. */
const STEPS = [0.8, 0.4, 0.2, 0.1, 0.05]
const ROUNDS = 6

/**
 * A code's corners moved until light and dark fall where its modules are: the reader guesses the corner that has no
 * finder square. One corner at a time, each way, in ever smaller steps.
 */
export function settleCode(grey: Grey, text: string, cornersPx: readonly Point[]): Point[] {
  const modules = codeModules(text)
  const count = modules.length
  const square: Point[] = [
    [0, 0],
    [count, 0],
    [count, count],
    [0, count],
  ]
  const score = (corners: readonly Point[]) => {
    const h = fitHomography(square.map((from, n) => ({ from, to: corners[n]! })))
    if (!h) return -Infinity
    let sum = 0
    for (let row = 0; row < count; row++)
      for (let column = 0; column < count; column++) {
        const at = mapped(h, [column + 0.5, row + 0.5])
        if (!at) return -Infinity
        sum += (modules[row]![column] ? -1 : 1) * sample(grey, at[0], at[1])
      }
    return sum
  }
  const module = Math.hypot(cornersPx[1]![0] - cornersPx[0]![0], cornersPx[1]![1] - cornersPx[0]![1]) / count
  let corners = [...cornersPx]
  let best = score(corners)
  for (const share of STEPS)
    for (let round = 0; round < ROUNDS; round++) {
      const before = best
      for (let n = 0; n < 4; n++)
        for (const [dx, dy] of [
          [1, 0],
          [-1, 0],
          [0, 1],
          [0, -1],
        ] as const) {
          const moved = corners.map((corner, m): Point =>
            m === n ? [corner[0] + dx * share * module, corner[1] + dy * share * module] : corner,
          )
          const now = score(moved)
          if (now > best) {
            best = now
            corners = moved
          }
        }
      if (best === before) break
    }
  return corners
}
