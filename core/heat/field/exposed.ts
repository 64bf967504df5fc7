import type { Mask } from '../../solid/mask'

const DIRECTIONS = [
  [-1, 0, 0],
  [1, 0, 0],
  [0, -1, 0],
  [0, 1, 0],
  [0, 0, -1],
  [0, 0, 1],
] as const

/** Marks the empty cells that the air outside reaches: sweeps to and fro until nothing changes. */
function reachedByAir({ nx, ny, nz, solid }: Mask): Uint8Array {
  const open = new Uint8Array(solid.length)
  const [dy, dz] = [nx, nx * ny]
  const look = (at: number, i: number, j: number, k: number) => {
    if (solid[at] || open[at]) return false
    const reached =
      i === 0 ||
      j === 0 ||
      k === 0 ||
      i === nx - 1 ||
      j === ny - 1 ||
      k === nz - 1 ||
      open[at - 1] ||
      open[at + 1] ||
      open[at - dy] ||
      open[at + dy] ||
      open[at - dz] ||
      open[at + dz]
    if (reached) open[at] = 1
    return Boolean(reached)
  }
  for (let changed = true; changed;) {
    changed = false
    for (let at = 0, k = 0; k < nz; k++)
      for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++, at++) changed = look(at, i, j, k) || changed
    for (let at = solid.length - 1, k = nz - 1; k >= 0; k--)
      for (let j = ny - 1; j >= 0; j--) for (let i = nx - 1; i >= 0; i--, at--) changed = look(at, i, j, k) || changed
  }
  return open
}

/**
 * Skin in reach of the air by cell, mm². The faces of cells make a stepped skin, longer than a smooth one by up to 4/π;
 * each face therefore counts by how squarely the true skin lies to it, |n·e|, which gives a slanting or round skin its
 * own area again. A hollow that the air cannot reach loses nothing: what one wall radiates the others take up.
 */
export function exposedFaces(mask: Mask): (i: number, j: number, k: number) => number {
  const {
    nx,
    ny,
    nz,
    solid,
    stepMm: [sx, sy, sz],
    originMm,
    distance,
  } = mask
  const open = reachedByAir(mask)
  const areas = [sy * sz, sx * sz, sx * sy]
  const h = Math.min(sx, sy, sz) * 0.05
  const share = (i: number, j: number, k: number, [di, dj, dk]: readonly [number, number, number]) => {
    if (!distance) return 1
    const [x, y, z] = [
      originMm[0] + (i + 0.5 + di * 0.5) * sx,
      originMm[1] + (j + 0.5 + dj * 0.5) * sy,
      originMm[2] + (k + 0.5 + dk * 0.5) * sz,
    ]
    const slope = [
      distance(x + h, y, z) - distance(x - h, y, z),
      distance(x, y + h, z) - distance(x, y - h, z),
      distance(x, y, z + h) - distance(x, y, z - h),
    ]
    const length = Math.hypot(slope[0]!, slope[1]!, slope[2]!)
    return length > 0 ? Math.abs(slope[0]! * di + slope[1]! * dj + slope[2]! * dk) / length : 1
  }
  return (i, j, k) => {
    let sum = 0
    DIRECTIONS.forEach((direction, d) => {
      const [I, J, K] = [i + direction[0], j + direction[1], k + direction[2]]
      const outside = I < 0 || J < 0 || K < 0 || I >= nx || J >= ny || K >= nz
      const at = I + nx * (J + ny * K)
      if (outside || (!solid[at] && open[at])) sum += areas[Math.floor(d / 2)]! * share(i, j, k, direction)
    })
    return sum
  }
}
