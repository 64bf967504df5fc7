import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import type { Point } from './point'

/** A plane's points to another plane's, through a pinhole: rows of a 3 × 3 matrix, the last figure being 1. */
export type Homography = readonly number[]

export interface Pair {
  readonly from: Point
  readonly to: Point
}

/** Weights are found anew this often: two already come within a thousandth of a pixel of the limit (tested). */
const ROUNDS = 3

/** @returns where the plane's point is seen; null where it lies beyond the horizon */
export function mapped(h: Homography, [x, y]: Point): [number, number] | null {
  const w = h[6]! * x + h[7]! * y + h[8]!
  return w <= 1e-9 ? null : [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w]
}

/** How the mapped point moves with the point: rows for x and y. */
export function slopes(h: Homography, [x, y]: Point): [[number, number], [number, number]] {
  const w = h[6]! * x + h[7]! * y + h[8]!
  const [u, v] = [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w]
  return [
    [(h[0]! - h[6]! * u) / w, (h[1]! - h[7]! * u) / w],
    [(h[3]! - h[6]! * v) / w, (h[4]! - h[7]! * v) / w],
  ]
}

const about = (points: readonly Point[]) => {
  const [mx, my] = [0, 1].map(k => points.reduce((sum, point) => sum + point[k]!, 0) / points.length) as [
    number,
    number,
  ]
  const spread = points.reduce((sum, [x, y]) => sum + Math.hypot(x - mx, y - my), 0) / points.length || 1
  return { mx, my, spread, to: ([x, y]: Point): Point => [(x - mx) / spread, (y - my) / spread] }
}

/**
 * The homography of four pairs or more: normalised linear least squares (Hartley 1997), its rows weighed anew by the
 * depth found, so that distances in the picture are what is made least.
 * @returns null where the points do not span a plane
 */
export function fitHomography(pairs: readonly Pair[]): Homography | null {
  if (pairs.length < 4) return null
  const [a, b] = [about(pairs.map(pair => pair.from)), about(pairs.map(pair => pair.to))]
  let depth = pairs.map(() => 1)
  let h: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const rows = pairs.flatMap(({ from, to }, n) => {
      const [x, y] = a.to(from)
      const [u, v] = b.to(to)
      return [
        [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
        [0, 0, 0, x, y, 1, -v * x, -v * y, v],
      ].map(row => row.map(value => value / depth[n]!))
    })
    const svd = new SingularValueDecomposition(new Matrix(rows.map(row => row.slice(0, 8))), { autoTranspose: true })
    if (svd.rank < 8 || svd.condition > 1e8) return null
    h = [...svd.solve(Matrix.columnVector(rows.map(row => row[8]!))).to1DArray(), 1]
    depth = pairs.map(({ from }) => {
      const [x, y] = a.to(from)
      return Math.max(1e-3, h[6]! * x + h[7]! * y + 1)
    })
  }
  // Back to the points' own units: B⁻¹ · h · A.
  const fromA = [1 / a.spread, 0, -a.mx / a.spread, 0, 1 / a.spread, -a.my / a.spread, 0, 0, 1]
  const toB = [b.spread, 0, b.mx, 0, b.spread, b.my, 0, 0, 1]
  const out = times(times(toB, h), fromA)
  return out[8] ? out.map(value => value / out[8]!) : null
}

/** Product of two 3 × 3 matrices kept as rows. */
export function times(a: readonly number[], b: readonly number[]): number[] {
  return Array.from({ length: 9 }, (_, n) => {
    const [row, column] = [Math.floor(n / 3) * 3, n % 3]
    return a[row]! * b[column]! + a[row + 1]! * b[column + 3]! + a[row + 2]! * b[column + 6]!
  })
}

/** The way back: from the second plane to the first. */
export function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  const out = [
    e! * i! - f! * h!,
    c! * h! - b! * i!,
    b! * f! - c! * e!,
    f! * g! - d! * i!,
    a! * i! - c! * g!,
    c! * d! - a! * f!,
    d! * h! - e! * g!,
    b! * g! - a! * h!,
    a! * e! - b! * d!,
  ]
  return out.map(value => value / out[8]!)
}

/** Focal lengths that phones and cameras have, over the picture's longer side. */
const FOCAL = { least: 0.5, most: 3, usual: 0.85 }

/**
 * How far the plane is turned from square on, degrees. The focal length is found from the homography, the line of
 * sight taken to go through the picture's middle (Zhang 2000, for one view); where the plane is so nearly square on
 * that it can't be found, a usual one is taken, which matters little there.
 */
export function tiltDeg(h: Homography, wide: number, high: number): number {
  const centred = times([1, 0, -wide / 2, 0, 1, -high / 2, 0, 0, 1], h)
  const [a, b] = [0, 1].map(k => [centred[k]!, centred[k + 3]!, centred[k + 6]!]) as [number[], number[]]
  const long = Math.max(wide, high)
  // Both conditions on 1/f²: the plane's two directions are square to one another, and equally long.
  const [p, q] = [a[0]! * b[0]! + a[1]! * b[1]!, a[2]! * b[2]!]
  const [r, s] = [a[0]! ** 2 + a[1]! ** 2 - b[0]! ** 2 - b[1]! ** 2, a[2]! ** 2 - b[2]! ** 2]
  const inverseSquare = p * p + r * r > 0 ? -(p * q + r * s) / (p * p + r * r) : 0
  const found = inverseSquare > 0 ? 1 / Math.sqrt(inverseSquare) / long : Number.NaN
  const f = (found >= FOCAL.least && found <= FOCAL.most ? found : FOCAL.usual) * long
  const [r1, r2] = [a, b].map(v => [v[0]! / f, v[1]! / f, v[2]!]) as [number[], number[]]
  const normal = [
    r1[1]! * r2[2]! - r1[2]! * r2[1]!,
    r1[2]! * r2[0]! - r1[0]! * r2[2]!,
    r1[0]! * r2[1]! - r1[1]! * r2[0]!,
  ]
  return (Math.acos(Math.min(1, Math.abs(normal[2]!) / Math.hypot(...normal))) * 180) / Math.PI
}
