import type { Element } from '../warp/element'
import type { Lattice } from '../warp/lattice'

/** Where in a cell, from -1 to 1 along each way. */
export type Local = readonly [number, number, number]
/** Which entries of the strain each component's three slopes go into, xx yy zz xy yz zx. */
const STRAIN_OF = [
  [0, 3, 5],
  [3, 1, 4],
  [5, 4, 2],
] as const

/**
 * Stress at a place in a cell, xx yy zz xy yz zx, MPa, with the cell's own bending, which carries it from its middle
 * to the skin. Source: Wilson and others 1973, the inner modes worked out as in the cell's stiffness.
 */
export function stressAt(
  { corner, stepMm }: Lattice,
  { inner, hooke }: Element,
  cell: number,
  at: Local,
  u: Float64Array,
  into: Float64Array,
): void {
  STRAIN.fill(0)
  const add = (c: 0 | 1 | 2, slopes: readonly number[], by: number) => {
    for (let d = 0; d < 3; d++) STRAIN[STRAIN_OF[c]![d]!]! += slopes[d]! * by
  }
  for (let n = 0; n < 8; n++) {
    const node = 3 * corner[8 * cell + n]!
    const sign = [n & 1 ? 1 : -1, n & 2 ? 1 : -1, n & 4 ? 1 : -1] as const
    const half = [1 + sign[0] * at[0], 1 + sign[1] * at[1], 1 + sign[2] * at[2]] as const
    const slopes = [
      (sign[0] * half[1] * half[2]) / 4 / stepMm[0],
      (sign[1] * half[2] * half[0]) / 4 / stepMm[1],
      (sign[2] * half[0] * half[1]) / 4 / stepMm[2],
    ]
    for (const c of [0, 1, 2] as const) {
      CORNER[3 * n + c] = u[node + c]!
      add(c, slopes, u[node + c]!)
    }
  }
  for (let mode = 0; mode < 3; mode++)
    for (const c of [0, 1, 2] as const) {
      let amount = 0
      const row = 24 * (3 * mode + c)
      for (let n = 0; n < 24; n++) amount += inner[row + n]! * CORNER[n]!
      const slopes = [0, 0, 0]
      slopes[mode] = (-4 * at[mode]!) / stepMm[mode]!
      add(c, slopes, amount)
    }
  for (let p = 0; p < 6; p++) {
    let sum = 0
    for (let q = 0; q < 6; q++) sum += hooke[6 * p + q]! * STRAIN[q]!
    into[p] = sum
  }
}
const STRAIN = new Float64Array(6)
const CORNER = new Float64Array(24)
