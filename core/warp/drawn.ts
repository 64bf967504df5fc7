import type { Mask } from '../solid/mask'
import { nodeMm, type Lattice } from './lattice'
import type { Place } from './rigid'

/** Corners of each side of a cell, going round, and the neighbour that would hide it. */
const SIDES: readonly { corners: readonly [number, number, number, number]; of: readonly [number, number, number] }[] =
  [
    { corners: [0, 4, 6, 2], of: [-1, 0, 0] },
    { corners: [1, 3, 7, 5], of: [1, 0, 0] },
    { corners: [0, 1, 5, 4], of: [0, -1, 0] },
    { corners: [2, 6, 7, 3], of: [0, 1, 0] },
    { corners: [0, 2, 3, 1], of: [0, 0, -1] },
    { corners: [4, 5, 7, 6], of: [0, 0, 1] },
  ]

/** The skin of a part in cells, its corners moved `times` as far as they moved, as triangles of nine figures. */
export function movedSkin(mask: Mask, lattice: Lattice, movedMm: ArrayLike<number>, times: number): Float32Array {
  const { nx, ny, nz, solid } = mask
  const metal = (i: number, j: number, k: number) =>
    i >= 0 && j >= 0 && k >= 0 && i < nx && j < ny && k < nz && solid[i + nx * (j + ny * k)] === 1
  const found: number[] = []
  const put = (node: number) =>
    nodeMm(lattice, node).forEach((value, axis) => found.push(value + times * movedMm[3 * node + axis]!))
  for (let cell = 0; cell < lattice.cells; cell++) {
    const [i, j, k] = [0, 1, 2].map(axis => lattice.cellAt[3 * cell + axis]!) as [number, number, number]
    for (const { corners, of } of SIDES) {
      if (metal(i + of[0], j + of[1], k + of[2])) continue
      const [a, b, c, d] = corners.map(n => lattice.corner[8 * cell + n]!) as [number, number, number, number]
      ;[a, b, c, a, c, d].forEach(put)
    }
  }
  return Float32Array.from(found)
}

/** Places on a part, each moved `times` as far as the corner nearest to it moved. */
export function movedPlaces(
  lattice: Lattice,
  movedMm: ArrayLike<number>,
  times: number,
  places: readonly Place[],
): Place[] {
  const [nearest, away] = [new Int32Array(places.length), new Float64Array(places.length).fill(Infinity)]
  for (let node = 0; node < lattice.nodes; node++) {
    const at = nodeMm(lattice, node)
    places.forEach((place, n) => {
      const off = Math.hypot(at[0] - place[0], at[1] - place[1], at[2] - place[2])
      if (off < away[n]!) [nearest[n], away[n]] = [node, off]
    })
  }
  const moved = (n: number, axis: 0 | 1 | 2) => places[n]![axis] + times * movedMm[3 * nearest[n]! + axis]!
  return places.map((_, n) => [moved(n, 0), moved(n, 1), moved(n, 2)] as const)
}
