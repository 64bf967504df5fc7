import { handed, SIX, type Level } from './bodies'

/** The last level, solved at once. */
export interface Last {
  size: number
  /** Cholesky factor, row by row. */
  factor: Float64Array
  /** Ways it can move as a whole without being held, each of length 1 and square to the others. */
  whole: readonly Float64Array[]
}

/** What pulls back on a motion of the last level is nothing where it is below this share of its stiffness. */
const NOTHING = 1e-4

/** Forces on bodies that move so. */
function pulledBy(level: Level, motion: Float64Array): Float64Array {
  const force = new Float64Array(motion.length)
  for (let n = 0; n < level.bodies; n++)
    for (let at = level.rowStart[n]!; at < level.rowStart[n + 1]!; at++)
      for (let p = 0; p < SIX; p++)
        for (let q = 0; q < SIX; q++)
          force[SIX * n + p]! += level.block[36 * at + SIX * p + q]! * motion[SIX * level.column[at]! + q]!
  return force
}

/**
 * Ways the last level can move as a whole and nothing pulls back: all six where the part is free, the slides where it
 * is pressed on a flat. Rounding puts a little of them into every force, and next to nothing holds them: unless they
 * are taken out they grow.
 */
function wholeWays(level: Level): Float64Array[] {
  const found: Float64Array[] = []
  for (let way = 0; way < SIX; way++) {
    const motion = new Float64Array(SIX * level.bodies)
    for (let n = 0; n < level.bodies; n++) {
      const by = handed([0, 1, 2].map(axis => level.middleMm[3 * n + axis]!))
      for (let p = 0; p < SIX; p++) motion[SIX * n + p] = by[6 * p + way]!
    }
    const pulled = pulledBy(level, motion)
    let [back, stiff] = [0, 0]
    for (let n = 0; n < level.bodies; n++)
      for (let at = level.rowStart[n]!; at < level.rowStart[n + 1]!; at++)
        if (level.column[at] === n)
          for (let p = 0; p < SIX; p++) {
            back += Math.abs(pulled[SIX * n + p]! * motion[SIX * n + p]!)
            stiff += level.block[36 * at + 7 * p]! * motion[SIX * n + p]! ** 2
          }
    if (back > NOTHING * stiff) continue
    for (const other of found) takeOut(other, motion)
    const long = Math.hypot(...motion)
    found.push(motion.map(value => value / long))
  }
  return found
}

/** Takes out of a vector what of it goes along another of length 1. */
export function takeOut(way: Float64Array, from: Float64Array) {
  let share = 0
  for (let n = 0; n < way.length; n++) share += way[n]! * from[n]!
  for (let n = 0; n < way.length; n++) from[n]! -= share * way[n]!
}

/** Product of stretches of two rows; four sums side by side, for one waits on itself. */
function along(a: Float64Array, from: number, other: number, count: number): number {
  let [s, t, u, v] = [0, 0, 0, 0]
  let k = 0
  for (; k + 3 < count; k += 4) {
    s += a[from + k]! * a[other + k]!
    t += a[from + k + 1]! * a[other + k + 1]!
    u += a[from + k + 2]! * a[other + k + 2]!
    v += a[from + k + 3]! * a[other + k + 3]!
  }
  for (; k < count; k++) s += a[from + k]! * a[other + k]!
  return s + t + u + v
}

/** Cholesky factor of the last level; what a free part may do as a whole is held by a millionth of the diagonal. */
function factored(level: Level): Float64Array {
  const size = SIX * level.bodies
  const a = new Float64Array(size * size)
  for (let n = 0; n < level.bodies; n++)
    for (let at = level.rowStart[n]!; at < level.rowStart[n + 1]!; at++)
      for (let p = 0; p < SIX; p++)
        for (let q = 0; q < SIX; q++)
          a[(SIX * n + p) * size + SIX * level.column[at]! + q] = level.block[36 * at + 6 * p + q]!
  let most = 0
  for (let n = 0; n < size; n++) most = Math.max(most, a[n * size + n]!)
  for (let n = 0; n < size; n++) a[n * size + n]! += 1e-6 * a[n * size + n]! + 1e-12 * most
  for (let n = 0; n < size; n++) {
    for (let m = 0; m <= n; m++) {
      const sum = a[n * size + m]! - along(a, n * size, m * size, m)
      a[n * size + m] = n === m ? Math.sqrt(Math.max(sum, 1e-12 * most)) : sum / a[m * size + m]!
    }
  }
  return a
}

/** What is needed to solve the last level, worked out once. */
export const lastLevel = (level: Level): Last => ({
  size: SIX * level.bodies,
  factor: factored(level),
  whole: wholeWays(level),
})
