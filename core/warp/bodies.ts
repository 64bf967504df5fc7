/** Bodies put together to one. */
const PAIR = 2
/** Three shifts and three turns. */
export const SIX = 6

/** Bodies that move rigidly: three shifts and three turns each about its own middle, and the stiffness between them. */
export interface Level {
  bodies: number
  middleMm: Float64Array
  place: Int32Array
  /** Neighbours of each body: rows of 6 × 6 blocks. */
  rowStart: Int32Array
  column: Int32Array
  block: Float32Array
  /** Inverse of each body's own block. */
  own: Float32Array
  /** Body of the next level that each belongs to; empty at the last. */
  parent: Int32Array
}
/** How a place moves with a body: shift and turn to displacement, 3 × 6. */
export const carry = (r: readonly number[]): number[] => [
  1,
  0,
  0,
  0,
  r[2]!,
  -r[1]!,
  0,
  1,
  0,
  -r[2]!,
  0,
  r[0]!,
  0,
  0,
  1,
  r[1]!,
  -r[0]!,
  0,
]

/** A child's shift and turn from its parent's, 6 × 6: exact for a rigid motion. */
export function handed(r: readonly number[]): Float64Array {
  const found = new Float64Array(36)
  const way = carry(r)
  for (let c = 0; c < 3; c++) {
    for (let q = 0; q < SIX; q++) found[6 * c + q] = way[6 * c + q]!
    found[6 * (c + 3) + c + 3] = 1
  }
  return found
}

export class Rows {
  readonly rows: Map<number, Float64Array>[]
  constructor(bodies: number) {
    this.rows = Array.from({ length: bodies }, () => new Map<number, Float64Array>())
  }
  at(row: number, column: number): Float64Array {
    const found = this.rows[row]!.get(column)
    if (found) return found
    const block = new Float64Array(36)
    this.rows[row]!.set(column, block)
    return block
  }
}

export function numbered(
  places: Int32Array,
  count: number,
  by: number,
): { of: Int32Array; place: Int32Array; bodies: number } {
  const of = new Int32Array(count)
  const known = new Map<number, number>()
  const place: number[] = []
  for (let n = 0; n < count; n++) {
    const [i, j, k] = [0, 1, 2].map(axis => Math.floor(places[3 * n + axis]! / by)) as [number, number, number]
    const key = i + 4096 * (j + 4096 * k)
    let found = known.get(key)
    if (found === undefined) {
      found = known.size
      known.set(key, found)
      place.push(i, j, k)
    }
    of[n] = found
  }
  return { of, place: Int32Array.from(place), bodies: known.size }
}

/** Inverse of a symmetric 6 × 6 that may be singular: a hundred-thousandth of its diagonal is added. */
function inverse(block: Float64Array): Float64Array {
  const a = block.slice()
  const trace = [0, 1, 2, 3, 4, 5].reduce((sum, n) => sum + a[7 * n]!, 0)
  for (let n = 0; n < SIX; n++) a[7 * n]! += 1e-5 * a[7 * n]! + 1e-12 * trace + 1e-30
  const found = new Float64Array(36)
  for (let n = 0; n < SIX; n++) found[7 * n] = 1
  for (let col = 0; col < SIX; col++) {
    const pivot = a[7 * col]!
    for (let k = 0; k < SIX; k++) {
      a[6 * col + k]! /= pivot
      found[6 * col + k]! /= pivot
    }
    for (let row = 0; row < SIX; row++) {
      if (row === col) continue
      const factor = a[6 * row + col]!
      if (!factor) continue
      for (let k = 0; k < SIX; k++) {
        a[6 * row + k]! -= factor * a[6 * col + k]!
        found[6 * row + k]! -= factor * found[6 * col + k]!
      }
    }
  }
  return found
}

export function packed(rows: Rows, middleMm: Float64Array, place: Int32Array): Level {
  const bodies = rows.rows.length
  const rowStart = new Int32Array(bodies + 1)
  rows.rows.forEach((row, n) => {
    rowStart[n + 1] = rowStart[n]! + row.size
  })
  const column = new Int32Array(rowStart[bodies]!)
  const block = new Float32Array(36 * column.length)
  const own = new Float32Array(36 * bodies)
  rows.rows.forEach((row, n) => {
    let at = rowStart[n]!
    for (const [to, values] of row) {
      column[at] = to
      block.set(values, 36 * at)
      at += 1
    }
    own.set(inverse(row.get(n) ?? new Float64Array(36)), 36 * n)
  })
  return { bodies, middleMm, place, rowStart, column, block, own, parent: new Int32Array(0) }
}

/** into += left' × block × right, 6 × 6 each. */
export function addBetween(
  into: Float64Array,
  left: ArrayLike<number>,
  block: ArrayLike<number>,
  right: ArrayLike<number>,
  half: Float64Array,
) {
  for (let p = 0; p < SIX; p++)
    for (let q = 0; q < SIX; q++) {
      let sum = 0
      for (let k = 0; k < SIX; k++) sum += block[6 * p + k]! * right[6 * k + q]!
      half[6 * p + q] = sum
    }
  for (let p = 0; p < SIX; p++)
    for (let q = 0; q < SIX; q++) {
      let sum = 0
      for (let k = 0; k < SIX; k++) sum += left[6 * k + p]! * half[6 * k + q]!
      into[6 * p + q]! += sum
    }
}

/** Bodies of bodies: the stiffness that is left when each moves rigidly. */
export function nextLevel(level: Level): Level {
  const { of, place, bodies } = numbered(level.place, level.bodies, PAIR)
  level.parent = of
  const middleMm = new Float64Array(3 * bodies)
  const members = new Int32Array(bodies)
  for (let n = 0; n < level.bodies; n++) {
    members[of[n]!]! += 1
    for (let axis = 0; axis < 3; axis++) middleMm[3 * of[n]! + axis]! += level.middleMm[3 * n + axis]!
  }
  for (let n = 0; n < middleMm.length; n++) middleMm[n]! /= members[Math.floor(n / 3)]!
  const ways = Array.from({ length: level.bodies }, (_, n) =>
    handed([0, 1, 2].map(axis => level.middleMm[3 * n + axis]! - middleMm[3 * of[n]! + axis]!)),
  )
  const rows = new Rows(bodies)
  const half = new Float64Array(36)
  for (let n = 0; n < level.bodies; n++)
    for (let at = level.rowStart[n]!; at < level.rowStart[n + 1]!; at++) {
      const m = level.column[at]!
      const block = level.block.subarray(36 * at, 36 * at + 36)
      addBetween(rows.at(of[n]!, of[m]!), ways[n]!, block, ways[m]!, half)
    }
  for (let n = 0; n < bodies; n++) rows.at(n, n)
  return packed(rows, middleMm, place)
}
