/** Signed distance from a point to a solid's skin, mm: negative inside. Exact near the skin, a bound further off. */
export type Distance = (xMm: number, yMm: number, zMm: number) => number

/** A block between two corners. */
export function block(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number): Distance {
  const [cx, cy, cz] = [(x0 + x1) / 2, (y0 + y1) / 2, (z0 + z1) / 2]
  const [hx, hy, hz] = [(x1 - x0) / 2, (y1 - y0) / 2, (z1 - z0) / 2]
  return (x, y, z) => {
    const [qx, qy, qz] = [Math.abs(x - cx) - hx, Math.abs(y - cy) - hy, Math.abs(z - cz) - hz]
    return Math.hypot(Math.max(qx, 0), Math.max(qy, 0), Math.max(qz, 0)) + Math.min(Math.max(qx, qy, qz), 0)
  }
}

/** An upright round between two heights, about (cx, cy). */
export function round(cx: number, cy: number, radius: number, z0: number, z1: number): Distance {
  const [cz, hz] = [(z0 + z1) / 2, (z1 - z0) / 2]
  return (x, y, z) => {
    const [qr, qz] = [Math.hypot(x - cx, y - cy) - radius, Math.abs(z - cz) - hz]
    return Math.hypot(Math.max(qr, 0), Math.max(qz, 0)) + Math.min(Math.max(qr, qz), 0)
  }
}

/** A round lying along x, about (cy, cz). */
export function lying(x0: number, x1: number, cy: number, cz: number, radius: number): Distance {
  const upright = round(cy, cz, radius, x0, x1)
  return (x, y, z) => upright(y, z, x)
}

export const together =
  (...solids: readonly Distance[]): Distance =>
  (x, y, z) =>
    solids.reduce((least, solid) => Math.min(least, solid(x, y, z)), Infinity)
export const without =
  (solid: Distance, hollow: Distance): Distance =>
  (x, y, z) =>
    Math.max(solid(x, y, z), -hollow(x, y, z))
export const moved =
  (solid: Distance, [dx, dy, dz]: readonly [number, number, number]): Distance =>
  (x, y, z) =>
    solid(x - dx, y - dy, z - dz)
