import { addBetween, carry, handed, numbered, packed, Rows, SIX } from './bodies'
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
