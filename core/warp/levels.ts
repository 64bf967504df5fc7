import { CORNERS, type Element } from './element'
import { nodeMm, type Lattice } from './lattice'

/** Corners put together to one body, along each way; bodies put together to one, after that. */
const BLOCK = 4
const PAIR = 2
/** So few bodies are solved at once. */
const FEW = 60
const SIX = 6

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
export interface Levels {
  /** Body of the first level that each corner belongs to, and where it lies from that body's middle, mm. */
  body: Int32Array
  offMm: Float32Array
  levels: Level[]
  /** Cholesky factor of the last level, row by row. */
  factor: Float64Array
}

/** How a place moves with a body: shift and turn to displacement, 3 × 6. */
const carry = (r: readonly number[]): number[] => [
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

class Rows {
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

function numbered(
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

function packed(rows: Rows, middleMm: Float64Array, place: Int32Array): Level {
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

/** How a cell's corners pull on each other as two groups of them move rigidly about the cell's own corner, 6 × 6. */
function betweenGroups(element: Element, from: number, to: number): Float64Array {
  const found = new Float64Array(36)
  const ways = Array.from({ length: CORNERS }, (_, n) =>
    carry(element.stepMm.map((step, axis) => (n & (1 << axis) ? step : 0))),
  )
  for (let n = 0; n < CORNERS; n++) {
    if (!(from & (1 << n))) continue
    for (let m = 0; m < CORNERS; m++)
      if (to & (1 << m))
        for (let c = 0; c < 3; c++)
          for (let d = 0; d < 3; d++) {
            const stiff = element.full[24 * (3 * n + c) + 3 * m + d]!
            for (let p = 0; p < SIX; p++)
              for (let q = 0; q < SIX; q++) found[6 * p + q]! += ways[n]![6 * c + p]! * stiff * ways[m]![6 * d + q]!
          }
  }
  return found
}

/** into += left' × block × right, 6 × 6 each. */
function addBetween(
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

/** A cell some of whose corners are held: each pair of corners by itself, held entries left out. */
function addHeld(
  rows: Rows,
  element: Element,
  nodes: Int32Array,
  of: Int32Array,
  fixed: Uint8Array,
  offOf: (node: number) => readonly number[],
) {
  const ways = Array.from(nodes, node => {
    const way = carry(offOf(node))
    for (let c = 0; c < 3; c++) if (fixed[3 * node + c]) way.fill(0, 6 * c, 6 * c + 6)
    return way
  })
  for (let n = 0; n < CORNERS; n++)
    for (let m = 0; m < CORNERS; m++) {
      const block = rows.at(of[nodes[n]!]!, of[nodes[m]!]!)
      for (let c = 0; c < 3; c++)
        for (let d = 0; d < 3; d++) {
          const stiff = element.full[24 * (3 * n + c) + 3 * m + d]!
          for (let p = 0; p < SIX; p++)
            for (let q = 0; q < SIX; q++) block[6 * p + q]! += ways[n]![6 * c + p]! * stiff * ways[m]![6 * d + q]!
        }
    }
}

/**
 * Bodies of corners: the stiffness that is left when every body moves rigidly; only cells between bodies count. All
 * cells are alike, so how two groups of a cell's corners pull on each other is worked out once for each two groups.
 */
function firstLevel(lattice: Lattice, element: Element, there: Uint8Array | null, fixed: Uint8Array | null) {
  const { of, place, bodies } = numbered(lattice.nodeAt, lattice.nodes, BLOCK)
  const middleMm = new Float64Array(3 * bodies)
  const members = new Int32Array(bodies)
  for (let node = 0; node < lattice.nodes; node++) {
    const at = nodeMm(lattice, node)
    members[of[node]!]! += 1
    for (let axis = 0; axis < 3; axis++) middleMm[3 * of[node]! + axis]! += at[axis]!
  }
  for (let n = 0; n < middleMm.length; n++) middleMm[n]! /= members[Math.floor(n / 3)]!
  const offOf = (node: number, body = of[node]!) =>
    nodeMm(lattice, node).map((at, axis) => at - middleMm[3 * body + axis]!)
  const rows = new Rows(bodies)
  const known = new Map<number, Float64Array>()
  const half = new Float64Array(36)
  for (let cell = 0; cell < lattice.cells; cell++) {
    if (there && !there[cell]) continue
    const nodes = lattice.corner.subarray(CORNERS * cell, CORNERS * cell + CORNERS)
    if (fixed && nodes.some(node => fixed[3 * node] || fixed[3 * node + 1] || fixed[3 * node + 2])) {
      addHeld(rows, element, nodes, of, fixed, offOf)
      continue
    }
    const groups = new Map<number, number>()
    nodes.forEach((node, n) => groups.set(of[node]!, (groups.get(of[node]!) ?? 0) | (1 << n)))
    if (groups.size === 1) continue
    const owners = [...groups].map(([body, corners]) => ({ body, corners, way: handed(offOf(nodes[0]!, body)) }))
    for (const from of owners)
      for (const to of owners) {
        const key = (from.corners << CORNERS) | to.corners
        const between = known.get(key) ?? betweenGroups(element, from.corners, to.corners)
        known.set(key, between)
        addBetween(rows.at(from.body, to.body), from.way, between, to.way, half)
      }
  }
  for (let n = 0; n < bodies; n++) rows.at(n, n)
  return { body: of, level: packed(rows, middleMm, place) }
}

/** A child's shift and turn from its parent's, 6 × 6: exact for a rigid motion. */
function handed(r: readonly number[]): Float64Array {
  const found = new Float64Array(36)
  const way = carry(r)
  for (let c = 0; c < 3; c++) {
    for (let q = 0; q < SIX; q++) found[6 * c + q] = way[6 * c + q]!
    found[6 * (c + 3) + c + 3] = 1
  }
  return found
}

function nextLevel(level: Level): Level {
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

/** Product of two stretches of a matrix; four sums side by side, for one waits on itself. */
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

/**
 * Coarser and coarser pictures of a part for its solver: bodies of 4 × 4 × 4 corners that move rigidly, then bodies of
 * bodies. Rigid motions are kept exactly on every level, which is what bending of thin walls wants.
 * Source: aggregation with rigid modes (Vaněk, Mandel and Brezina 1996), unsmoothed.
 */
export function levelsOf(
  lattice: Lattice,
  element: Element,
  there: Uint8Array | null,
  fixed: Uint8Array | null,
): Levels {
  const { body, level } = firstLevel(lattice, element, there, fixed)
  const offMm = new Float32Array(3 * lattice.nodes)
  for (let node = 0; node < lattice.nodes; node++)
    for (let axis = 0; axis < 3; axis++)
      offMm[3 * node + axis] =
        lattice.originMm[axis]! +
        lattice.nodeAt[3 * node + axis]! * lattice.stepMm[axis]! -
        level.middleMm[3 * body[node]! + axis]!
  const levels = [level]
  while (levels.at(-1)!.bodies > FEW) levels.push(nextLevel(levels.at(-1)!))
  return { body, offMm, levels, factor: factored(levels.at(-1)!) }
}

/** Forces on bodies from forces on their parts, and motion of the parts from theirs. */
function gather(level: Level, fine: Float64Array, coarse: Float64Array, next: Level) {
  coarse.fill(0)
  for (let n = 0; n < level.bodies; n++) {
    const to = level.parent[n]!
    const [x, y, z] = [0, 1, 2].map(axis => level.middleMm[3 * n + axis]! - next.middleMm[3 * to + axis]!) as [
      number,
      number,
      number,
    ]
    const [a, b, c] = [fine[6 * n]!, fine[6 * n + 1]!, fine[6 * n + 2]!]
    const o = 6 * to
    coarse[o]! += a
    coarse[o + 1]! += b
    coarse[o + 2]! += c
    coarse[o + 3]! += fine[6 * n + 3]! + y * c - z * b
    coarse[o + 4]! += fine[6 * n + 4]! + z * a - x * c
    coarse[o + 5]! += fine[6 * n + 5]! + x * b - y * a
  }
}
function spread(level: Level, coarse: Float64Array, fine: Float64Array, next: Level, scale: number) {
  for (let n = 0; n < level.bodies; n++) {
    const to = level.parent[n]!
    const [x, y, z] = [0, 1, 2].map(axis => level.middleMm[3 * n + axis]! - next.middleMm[3 * to + axis]!) as [
      number,
      number,
      number,
    ]
    const o = 6 * to
    const [p, q, r] = [coarse[o + 3]!, coarse[o + 4]!, coarse[o + 5]!]
    fine[6 * n]! += scale * (coarse[o]! + q * z - r * y)
    fine[6 * n + 1]! += scale * (coarse[o + 1]! + r * x - p * z)
    fine[6 * n + 2]! += scale * (coarse[o + 2]! + p * y - q * x)
    fine[6 * n + 3]! += scale * p
    fine[6 * n + 4]! += scale * q
    fine[6 * n + 5]! += scale * r
  }
}

/** One pass over the bodies, each set so that its own forces balance; forwards, or backwards so that both are even. */
function relax(level: Level, right: Float64Array, x: Float64Array, back: boolean) {
  const rest = new Float64Array(6)
  for (let step = 0; step < level.bodies; step++) {
    const n = back ? level.bodies - 1 - step : step
    for (let p = 0; p < SIX; p++) rest[p] = right[6 * n + p]!
    for (let at = level.rowStart[n]!; at < level.rowStart[n + 1]!; at++) {
      const [m, o] = [6 * level.column[at]!, 36 * at]
      for (let p = 0; p < SIX; p++) {
        let sum = 0
        for (let q = 0; q < SIX; q++) sum += level.block[o + 6 * p + q]! * x[m + q]!
        rest[p]! -= sum
      }
    }
    for (let p = 0; p < SIX; p++) {
      let sum = 0
      for (let q = 0; q < SIX; q++) sum += level.own[36 * n + 6 * p + q]! * rest[q]!
      x[6 * n + p]! += sum
    }
  }
}
function residual(level: Level, right: Float64Array, x: Float64Array, out: Float64Array) {
  for (let n = 0; n < level.bodies; n++)
    for (let p = 0; p < SIX; p++) {
      let sum = right[6 * n + p]!
      for (let at = level.rowStart[n]!; at < level.rowStart[n + 1]!; at++)
        for (let q = 0; q < SIX; q++) sum -= level.block[36 * at + 6 * p + q]! * x[6 * level.column[at]! + q]!
      out[6 * n + p] = sum
    }
}

/** Bodies that move rigidly are stiffer together than what they stand for: their answer is taken this much larger. */
export const OVER = 1.8
/** How often each level asks the next. */
const TWICE = 2

/** Motion of the bodies of a level under forces on them, near enough to guide the corners. */
export function eased(
  all: Pick<Levels, 'levels' | 'factor'>,
  depth: number,
  right: Float64Array,
  x: Float64Array,
): void {
  const { levels, factor } = all
  const level = levels[depth]!
  x.fill(0)
  if (depth === levels.length - 1) {
    const size = right.length
    for (let n = 0; n < size; n++) {
      let sum = right[n]!
      for (let k = 0; k < n; k++) sum -= factor[n * size + k]! * x[k]!
      x[n] = sum / factor[n * size + n]!
    }
    // Along the rows again: down a column of a matrix this large every entry is another line of the cache.
    for (let n = size - 1; n >= 0; n--) {
      const value = (x[n]! /= factor[n * size + n]!)
      for (let k = 0; k < n; k++) x[k]! -= factor[n * size + k]! * value
    }
    return
  }
  const next = levels[depth + 1]!
  const rest = new Float64Array(right.length)
  const down = new Float64Array(6 * next.bodies)
  const up = new Float64Array(6 * next.bodies)
  for (let time = 0; time < TWICE; time++) {
    relax(level, right, x, false)
    residual(level, right, x, rest)
    gather(level, rest, down, next)
    eased(all, depth + 1, down, up)
    spread(level, up, x, next, OVER)
    relax(level, right, x, true)
  }
}
