import { CORNERS } from '../warp/element'
import { cellMm, type Lattice } from '../warp/lattice'

/** A crack: a rectangle across one axis, mm. */
export interface Crack {
  axis: 0 | 1 | 2
  atMm: number
  from: readonly number[]
  to: readonly number[]
}

const AXES = [0, 1, 2] as const

/** What number of cell lies where, by i, j and k; -1 where there is none. */
export function cellGrid({ cellAt, cells }: Lattice): (i: number, j: number, k: number) => number {
  const most = [0, 0, 0]
  for (let n = 0; n < cellAt.length; n++) most[n % 3] = Math.max(most[n % 3]!, cellAt[n]! + 1)
  const [nx, ny, nz] = most as [number, number, number]
  const number = new Int32Array(nx * ny * nz).fill(-1)
  for (let cell = 0; cell < cells; cell++)
    number[cellAt[3 * cell]! + nx * (cellAt[3 * cell + 1]! + ny * cellAt[3 * cell + 2]!)] = cell
  return (i, j, k) => (i < 0 || j < 0 || k < 0 || i >= nx || j >= ny || k >= nz ? -1 : number[i + nx * (j + ny * k)]!)
}

/** Pairs of cells that a crack parts: those whose middles lie over it, on both its sides. */
function parted(lattice: Lattice, crack: Crack, grid: ReturnType<typeof cellGrid>): [low: number, high: number][] {
  const { axis, atMm } = crack
  const exact = (atMm - lattice.originMm[axis]) / lattice.stepMm[axis]
  const near = Math.round(exact)
  // The nearest boundary of cells may be the skin itself: then the one on the other side.
  const beside = near + (exact < near ? -1 : 1)
  const found = partedAt(lattice, crack, grid, near)
  return found.length ? found : partedAt(lattice, crack, grid, beside)
}

function partedAt(
  lattice: Lattice,
  { axis, from, to }: Crack,
  grid: ReturnType<typeof cellGrid>,
  level: number,
): [low: number, high: number][] {
  const found: [number, number][] = []
  for (let cell = 0; cell < lattice.cells; cell++) {
    if (lattice.cellAt[3 * cell + axis] !== level) continue
    const middle = cellMm(lattice, cell)
    const over = AXES.every(way => way === axis || (middle[way] > from[way]! - 1e-9 && middle[way] < to[way]! + 1e-9))
    if (!over) continue
    const below = [...lattice.cellAt.subarray(3 * cell, 3 * cell + 3)] as [number, number, number]
    below[axis] -= 1
    const low = grid(...below)
    if (low >= 0) found.push([low, cell])
  }
  return found
}

/**
 * A part's corners with the metal's two sides not joined across its cracks: a corner whose cells hang together only
 * through a crack is one for each side; at a crack's end they are one.
 * @returns null of a crack that parts no metal, by its place in the list
 */
export function cracked(lattice: Lattice, cracks: readonly Crack[]): { lattice: Lattice } | { idle: number } {
  if (!cracks.length) return { lattice }
  const grid = cellGrid(lattice)
  /** Which pairs are parted, by the lower cell and the axis. */
  const cut = new Set<number>()
  for (const [n, crack] of cracks.entries()) {
    const pairs = parted(lattice, crack, grid)
    if (!pairs.length) return { idle: n }
    for (const [low] of pairs) cut.add(3 * low + crack.axis)
  }
  const { corner, cellAt } = lattice
  const touched = new Set<number>()
  for (const key of cut) {
    const [low, axis] = [Math.floor(key / 3), key % 3]
    for (let n = 0; n < CORNERS; n++) if (n & (1 << axis)) touched.add(corner[CORNERS * low + n]!)
  }
  const around = new Map<number, number[]>([...touched].map(node => [node, []]))
  for (let cell = 0; cell < lattice.cells; cell++)
    for (let n = 0; n < CORNERS; n++) around.get(corner[CORNERS * cell + n]!)?.push(cell)
  const joined = (a: number, b: number): boolean => {
    const away = AXES.map(way => cellAt[3 * b + way]! - cellAt[3 * a + way]!)
    const axis = away.findIndex(value => value !== 0)
    if (away.reduce((sum, value) => sum + Math.abs(value), 0) !== 1) return false
    return !cut.has(3 * (away[axis]! > 0 ? a : b) + axis)
  }
  const split = corner.slice()
  const nodeAt = [...lattice.nodeAt]
  let { nodes } = lattice
  for (const [node, cells] of around) {
    const left = new Set(cells)
    let first = true
    while (left.size) {
      const [start] = left
      const group = [start!]
      left.delete(start!)
      for (const one of group)
        for (const other of left)
          if (joined(one, other)) {
            left.delete(other)
            group.push(other)
          }
      if (!first) {
        nodeAt.push(...lattice.nodeAt.subarray(3 * node, 3 * node + 3))
        for (const cell of group)
          for (let n = 0; n < CORNERS; n++) if (corner[CORNERS * cell + n] === node) split[CORNERS * cell + n] = nodes
        nodes += 1
      }
      first = false
    }
  }
  return { lattice: { ...lattice, corner: split, nodes, nodeAt: Int32Array.from(nodeAt) } }
}
