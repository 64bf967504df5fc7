import type { Plane } from './plane'

type Triple = readonly [number, number, number]

const ROOM = 1e-12

/** Of t with lo ≤ t ≤ hi, the one nearest nought. */
const nearestNought = (lo: number, hi: number) => (lo > 0 ? lo : hi < 0 ? hi : 0)

/** The range of t for which g + t·n keeps g·d ≥ h for every row; a row along which nothing changes is left out. */
function range(rows: readonly Triple[], gx: number, gy: number, nx: number, ny: number): [number, number] {
  let [lo, hi] = [-Infinity, Infinity]
  for (const [dx, dy, h] of rows) {
    const [slope, want] = [nx * dx + ny * dy, h - gx * dx - gy * dy]
    if (slope > ROOM) lo = Math.max(lo, want / slope)
    else if (slope < -ROOM) hi = Math.min(hi, want / slope)
  }
  return lo > hi ? [(lo + hi) / 2, (lo + hi) / 2] : [lo, hi]
}

/**
 * The plane of least slope that lies above all points and touches one or two given ones of their upper hull. A
 * quadratic programme in two unknowns, solved by taking in one row after another (Seidel 1991, for a strictly convex
 * aim); exact.
 * @param carrying one or two indices of points that must touch
 */
export function leastSlope(
  points: readonly Triple[],
  carrying: readonly number[],
): { plane: Plane; contact: number[] } {
  const [px, py, pz] = points[carrying[0]!]!
  const rows = points.flatMap(([x, y, z], n): Triple[] => (carrying.includes(n) ? [] : [[x - px, y - py, z - pz]]))
  let [a, b] = [0, 0]
  if (carrying.length === 2) {
    const [qx, qy, qz] = points[carrying[1]!]!
    const [ex, ey, ez] = [qx - px, qy - py, qz - pz]
    const long2 = ex * ex + ey * ey
    const [gx, gy] = [(ez * ex) / long2, (ez * ey) / long2]
    const t = nearestNought(...range(rows, gx, gy, -ey, ex))
    ;[a, b] = [gx - t * ey, gy + t * ex]
  } else {
    for (const [n, [dx, dy, h]] of rows.entries()) {
      if (a * dx + b * dy >= h - ROOM) continue
      // The best now lies on this row's own line: its nearest place to nought, and from there as little as the rows
      // before allow.
      const long2 = dx * dx + dy * dy
      const [gx, gy] = [(h * dx) / long2, (h * dy) / long2]
      const t = nearestNought(...range(rows.slice(0, n), gx, gy, -dy, dx))
      ;[a, b] = [gx - t * dy, gy + t * dx]
    }
  }
  const c = pz - a * px - b * py
  const spread = Math.max(...points.map(point => Math.abs(point[2]))) + 1e-9
  return {
    plane: { a, b, c },
    contact: points.flatMap(([x, y, z], n) =>
      carrying.includes(n) || Math.abs(a * x + b * y + c - z) < spread * 1e-9 ? [n] : [],
    ),
  }
}
