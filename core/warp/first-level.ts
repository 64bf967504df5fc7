import { carry, numbered, packed, Rows, SIX } from './bodies'
import { CORNERS, type Element } from './element'
import { nodeMm, type Lattice } from './lattice'

/** Corners put together to one body, along each way. */
const BLOCK = 4

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

/** into += left' × block × right, where left and right hand a motion on over an arm each, mm. */
function addOverArms(into: Float64Array, arms: Float64Array, from: number, block: Float64Array, to: number) {
  const [x, y, z] = [arms[to]!, arms[to + 1]!, arms[to + 2]!]
  for (let p = 0; p < SIX; p++) {
    const o = SIX * p
    const a = block[o]!
    const b = block[o + 1]!
    const c = block[o + 2]!
    HALF[o] = a
    HALF[o + 1] = b
    HALF[o + 2] = c
    HALF[o + 3] = block[o + 3]! - z * b + y * c
    HALF[o + 4] = block[o + 4]! + z * a - x * c
    HALF[o + 5] = block[o + 5]! - y * a + x * b
  }
  const [u, v, w] = [arms[from]!, arms[from + 1]!, arms[from + 2]!]
  for (let q = 0; q < SIX; q++) {
    const a = HALF[q]!
    const b = HALF[q + 6]!
    const c = HALF[q + 12]!
    into[q]! += a
    into[q + 6]! += b
    into[q + 12]! += c
    into[q + 18]! += HALF[q + 18]! - w * b + v * c
    into[q + 24]! += HALF[q + 24]! + w * a - u * c
    into[q + 30]! += HALF[q + 30]! - v * a + u * b
  }
}
const HALF = new Float64Array(36)

/**
 * Bodies of corners: the stiffness that is left when every body moves rigidly; only cells between bodies count. All
 * cells are alike, so how two groups of a cell's corners pull on each other is worked out once for each two groups.
 */
export function firstLevel(lattice: Lattice, element: Element, there: Uint8Array | null, fixed: Uint8Array | null) {
  const { of, place, bodies } = numbered(lattice.nodeAt, lattice.nodes, BLOCK)
  const middleMm = new Float64Array(3 * bodies)
  const members = new Int32Array(bodies)
  for (let node = 0; node < lattice.nodes; node++) {
    const at = nodeMm(lattice, node)
    members[of[node]!]! += 1
    for (let axis = 0; axis < 3; axis++) middleMm[3 * of[node]! + axis]! += at[axis]!
  }
  for (let n = 0; n < middleMm.length; n++) middleMm[n]! /= members[Math.floor(n / 3)]!
  const offOf = (node: number) => nodeMm(lattice, node).map((at, axis) => at - middleMm[3 * of[node]! + axis]!)
  const rows = new Rows(bodies)
  const known = new Map<number, Float64Array>()
  const between = (from: number, to: number) => {
    const key = (from << CORNERS) | to
    const found = known.get(key) ?? betweenGroups(element, from, to)
    known.set(key, found)
    return found
  }
  const { corner, nodeAt, originMm, stepMm } = lattice
  const [owner, group, arms] = [new Int32Array(CORNERS), new Int32Array(CORNERS), new Float64Array(3 * CORNERS)]
  for (let cell = 0; cell < lattice.cells; cell++) {
    if (there && !there[cell]) continue
    const first = CORNERS * cell
    let owners = 0
    let held = false
    for (let n = 0; n < CORNERS; n++) {
      const node = corner[first + n]!
      if (fixed && (fixed[3 * node] || fixed[3 * node + 1] || fixed[3 * node + 2])) held = true
      let at = 0
      while (at < owners && owner[at] !== of[node]!) at++
      if (at === owners) {
        owner[owners] = of[node]!
        group[owners++] = 0
      }
      group[at]! |= 1 << n
    }
    if (held) addHeld(rows, element, corner.subarray(first, first + CORNERS), of, fixed!, offOf)
    if (held || owners === 1) continue
    for (let at = 0; at < owners; at++)
      for (let axis = 0; axis < 3; axis++)
        arms[3 * at + axis] =
          originMm[axis]! + nodeAt[3 * corner[first]! + axis]! * stepMm[axis]! - middleMm[3 * owner[at]! + axis]!
    for (let from = 0; from < owners; from++)
      for (let to = 0; to < owners; to++)
        addOverArms(rows.at(owner[from]!, owner[to]!), arms, 3 * from, between(group[from]!, group[to]!), 3 * to)
  }
  for (let n = 0; n < bodies; n++) rows.at(n, n)
  return { body: of, level: packed(rows, middleMm, place) }
}
