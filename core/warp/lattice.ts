import type { Mask } from '../solid/mask'
import type { Element } from './element'

/** The corners of a part's solid cells, numbered, with each cell's eight. */
export interface Lattice {
  stepMm: readonly [number, number, number]
  originMm: readonly [number, number, number]
  cells: number
  nodes: number
  /** Eight corners a cell. */
  corner: Int32Array
  /** Cell's i, j, k. */
  cellAt: Int32Array
  /** Node's i, j, k. */
  nodeAt: Int32Array
}

export function latticeOf(mask: Mask): Lattice {
  const { nx, ny, nz, solid, count } = mask
  const [mx, my] = [nx + 1, ny + 1]
  const number = new Int32Array(mx * my * (nz + 1)).fill(-1)
  const corner = new Int32Array(8 * count)
  const cellAt = new Int32Array(3 * count)
  let [cell, nodes] = [0, 0]
  const nodeAt: number[] = []
  for (let k = 0, at = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, at++) {
        if (!solid[at]) continue
        cellAt.set([i, j, k], 3 * cell)
        for (let n = 0; n < 8; n++) {
          const [x, y, z] = [i + (n & 1), j + ((n >> 1) & 1), k + (n >> 2)]
          const place = x + mx * (y + my * z)
          if (number[place]! < 0) {
            number[place] = nodes++
            nodeAt.push(x, y, z)
          }
          corner[8 * cell + n] = number[place]!
        }
        cell += 1
      }
  return {
    stepMm: mask.stepMm,
    originMm: mask.originMm,
    cells: count,
    nodes,
    corner,
    cellAt,
    nodeAt: Int32Array.from(nodeAt),
  }
}

/** A node's place, mm. */
export const nodeMm = ({ stepMm, originMm, nodeAt }: Lattice, node: number): [number, number, number] => [
  originMm[0] + nodeAt[3 * node]! * stepMm[0],
  originMm[1] + nodeAt[3 * node + 1]! * stepMm[1],
  originMm[2] + nodeAt[3 * node + 2]! * stepMm[2],
]
/** A cell's middle, mm. */
export const cellMm = ({ stepMm, originMm, cellAt }: Lattice, cell: number): [number, number, number] => [
  originMm[0] + (cellAt[3 * cell]! + 0.5) * stepMm[0],
  originMm[1] + (cellAt[3 * cell + 1]! + 0.5) * stepMm[1],
  originMm[2] + (cellAt[3 * cell + 2]! + 0.5) * stepMm[2],
]

/** Sums and differences of the three bits of eight values in place: from corners to ways of moving. */
function turnOver(v: Float64Array, o: number) {
  const v0 = v[o]!
  const v1 = v[o + 1]!
  const v2 = v[o + 2]!
  const v3 = v[o + 3]!
  const v4 = v[o + 4]!
  const v5 = v[o + 5]!
  const v6 = v[o + 6]!
  const v7 = v[o + 7]!
  const a = v0 + v1
  const b = v1 - v0
  const c = v2 + v3
  const d = v3 - v2
  const e = v4 + v5
  const f = v5 - v4
  const g = v6 + v7
  const h = v7 - v6
  const p = a + c
  const q = b + d
  const r = c - a
  const s = d - b
  const t = e + g
  const u = f + h
  const w = g - e
  const x = h - f
  v[o] = p + t
  v[o + 1] = q + u
  v[o + 2] = r + w
  v[o + 3] = s + x
  v[o + 4] = t - p
  v[o + 5] = u - q
  v[o + 6] = w - r
  v[o + 7] = x - s
}
/** From ways of moving to corners: the same with the signs of the corners' own places. */
function turnBack(v: Float64Array, o: number) {
  const v0 = v[o]!
  const v1 = v[o + 1]!
  const v2 = v[o + 2]!
  const v3 = v[o + 3]!
  const v4 = v[o + 4]!
  const v5 = v[o + 5]!
  const v6 = v[o + 6]!
  const v7 = v[o + 7]!
  const a = v0 - v1
  const b = v0 + v1
  const c = v2 - v3
  const d = v2 + v3
  const e = v4 - v5
  const f = v4 + v5
  const g = v6 - v7
  const h = v6 + v7
  const p = a - c
  const q = b - d
  const r = a + c
  const s = b + d
  const t = e - g
  const u = f - h
  const w = e + g
  const x = f + h
  v[o] = p - t
  v[o + 1] = q - u
  v[o + 2] = r - w
  v[o + 3] = s - x
  v[o + 4] = p + t
  v[o + 5] = q + u
  v[o + 6] = r + w
  v[o + 7] = s + x
}

/**
 * Force on every corner from the displacement of every corner, N: no matrix is kept, each cell goes through its own
 * ways of moving (about a quarter of the full product's work). `there` leaves out cells whose metal is not laid yet;
 * `fixed` marks entries that cannot move.
 */
export function pull(
  lattice: Lattice,
  element: Element,
  there: Uint8Array | null,
  fixed: Uint8Array | null,
  u: Float64Array,
  force: Float64Array,
): void {
  const { corner, cells } = lattice
  const { blocks } = element
  const v = new Float64Array(24)
  const w = new Float64Array(24)
  force.fill(0)
  for (let cell = 0; cell < cells; cell++) {
    if (there && !there[cell]) continue
    const first = 8 * cell
    for (let n = 0; n < 8; n++) {
      const node = 3 * corner[first + n]!
      v[n] = u[node]!
      v[8 + n] = u[node + 1]!
      v[16 + n] = u[node + 2]!
    }
    turnOver(v, 0)
    turnOver(v, 8)
    turnOver(v, 16)
    for (let k = 0; k < 8; k++) {
      const x = k ^ 1
      const y = 8 + (k ^ 2)
      const z = 16 + (k ^ 4)
      const o = 9 * k
      const a = v[x]!
      const b = v[y]!
      const c = v[z]!
      w[x] = blocks[o]! * a + blocks[o + 1]! * b + blocks[o + 2]! * c
      w[y] = blocks[o + 3]! * a + blocks[o + 4]! * b + blocks[o + 5]! * c
      w[z] = blocks[o + 6]! * a + blocks[o + 7]! * b + blocks[o + 8]! * c
    }
    turnBack(w, 0)
    turnBack(w, 8)
    turnBack(w, 16)
    for (let n = 0; n < 8; n++) {
      const node = 3 * corner[first + n]!
      force[node]! += w[n]!
      force[node + 1]! += w[8 + n]!
      force[node + 2]! += w[16 + n]!
    }
  }
  if (fixed) for (let n = 0; n < force.length; n++) if (fixed[n]) force[n] = 0
}

/** Strain at a cell's middle, xx yy zz xy yz zx with engineering shear, into `strain` from `at`. */
export function strainOf({ corner, stepMm }: Lattice, cell: number, u: Float64Array, strain: Float64Array, at: number) {
  // Asked of every cell in every round of flow: single numbers, since a list for each would be most of the work.
  let [xx, xy, xz, yx, yy, yz, zx, zy, zz] = [0, 0, 0, 0, 0, 0, 0, 0, 0]
  for (let n = 0; n < 8; n++) {
    const node = 3 * corner[8 * cell + n]!
    const [a, b, c] = [u[node]!, u[node + 1]!, u[node + 2]!]
    if (n & 1) {
      xx += a
      yx += b
      zx += c
    } else {
      xx -= a
      yx -= b
      zx -= c
    }
    if (n & 2) {
      xy += a
      yy += b
      zy += c
    } else {
      xy -= a
      yy -= b
      zy -= c
    }
    if (n & 4) {
      xz += a
      yz += b
      zz += c
    } else {
      xz -= a
      yz -= b
      zz -= c
    }
  }
  const [p, q, r] = [1 / (4 * stepMm[0]), 1 / (4 * stepMm[1]), 1 / (4 * stepMm[2])]
  strain[at] = xx * p
  strain[at + 1] = yy * q
  strain[at + 2] = zz * r
  strain[at + 3] = xy * q + yx * p
  strain[at + 4] = yz * r + zy * q
  strain[at + 5] = xz * r + zx * p
}

/** Adds to the forces what a cell's stress of its own (xx yy zz xy yz zx, MPa) pulls on its corners. */
export function addStress({ corner, stepMm }: Lattice, cell: number, stress: ArrayLike<number>, force: Float64Array) {
  const volume = stepMm[0] * stepMm[1] * stepMm[2]
  const [sx, sy, sz, xy, yz, zx] = [stress[0]!, stress[1]!, stress[2]!, stress[3]!, stress[4]!, stress[5]!]
  for (let n = 0; n < 8; n++) {
    const node = 3 * corner[8 * cell + n]!
    const gx = ((n & 1 ? 1 : -1) * volume) / (4 * stepMm[0])
    const gy = ((n & 2 ? 1 : -1) * volume) / (4 * stepMm[1])
    const gz = ((n & 4 ? 1 : -1) * volume) / (4 * stepMm[2])
    force[node]! += gx * sx + gy * xy + gz * zx
    force[node + 1]! += gx * xy + gy * sy + gz * yz
    force[node + 2]! += gx * zx + gy * yz + gz * sz
  }
}
