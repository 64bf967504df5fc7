import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import type { Plane } from './plane'

type Triple = readonly [number, number, number]

const MOST_EXCHANGES = 500
/** A point this share of the zone outside it is not yet let in. */
const SETTLED = 1e-12

/**
 * The plane with the least greatest distance (along z) to four points, and that distance: Chebyshev's levelled
 * reference.
 */
function levelled(points: readonly Triple[]): { t: number; signs: number[] } | null {
  // λ with Σλ = Σλx = Σλy = 0: the cofactors of the 3 × 4 system.
  const column = (skip: number) => points.filter((_, n) => n !== skip)
  const det = ([p, q, r]: readonly Triple[]) => (q![0] - p![0]) * (r![1] - p![1]) - (r![0] - p![0]) * (q![1] - p![1])
  const lambda = points.map((_, n) => (n % 2 ? -1 : 1) * det(column(n)))
  const sum = lambda.reduce((total, value) => total + Math.abs(value), 0)
  if (sum === 0) return null
  const deviation = lambda.reduce((total, value, n) => total + value * points[n]![2], 0) / sum
  return { t: Math.abs(deviation), signs: lambda.map(value => Math.sign(value) * (deviation < 0 ? -1 : 1)) }
}

/**
 * Plane through the levelled reference: z − t·sign at each of the points that carry it; the smallest one where it is
 * not fixed.
 */
function planeOf(points: readonly Triple[], t: number, signs: readonly number[]): Plane {
  const carry = points.flatMap((point, n) => (signs[n] ? [{ point, sign: signs[n]! }] : []))
  const matrix = new Matrix(carry.map(({ point }) => [point[0], point[1], 1]))
  const right = Matrix.columnVector(carry.map(({ point, sign }) => point[2] - sign * t))
  const [a, b, c] = new SingularValueDecomposition(matrix, { autoTranspose: true }).solve(right).to1DArray() as [
    number,
    number,
    number,
  ]
  return { a, b, c }
}

/**
 * The plane that lies nearest to all points in the greatest distance (along z): the linear minimax fit, by the exchange
 * of one point of a reference of four at a time (Stiefel 1960; the dual simplex method of its linear programme). Exact;
 * a second opinion by another linear programme is in the tests.
 * @param points a levelled face: x, y, z; z small against the face
 * @returns the plane, half the zone, and which points carry it (upper and lower)
 */
export function minimaxPlane(points: readonly Triple[]): {
  plane: Plane
  halfMm: number
  upper: number[]
  lower: number[]
  exchanges: number
} {
  const spread = Math.max(...points.map(([x, y]) => Math.hypot(x, y)), 1e-9)
  // A hair of the face off grid, always the same, so that no three points stand quite in line and every reference fixes
  // its plane.
  const at = points.map(([x, y, z], n): Triple => [
    x + spread * 1e-7 * Math.sin(12.9898 * (n + 1)),
    y + spread * 1e-7 * Math.sin(78.233 * (n + 1)),
    z,
  ])
  const extreme = (score: (point: Triple) => number, taken: readonly number[]) =>
    at.reduce((best, point, n) => (!taken.includes(n) && (best < 0 || score(point) > score(at[best]!)) ? n : best), -1)
  let reference: number[] = []
  for (const score of [
    ([x, y]: Triple) => x + y,
    ([x, y]: Triple) => -x - y,
    ([x, y]: Triple) => x - y,
    ([x, y]: Triple) => y - x,
  ])
    reference.push(extreme(score, reference))
  let plane: Plane = { a: 0, b: 0, c: 0 }
  let t = 0
  let exchanges = 0
  for (; exchanges < MOST_EXCHANGES; exchanges++) {
    const own = levelled(reference.map(n => at[n]!))
    if (own) {
      t = own.t
      plane = planeOf(
        reference.map(n => at[n]!),
        t,
        own.signs,
      )
    }
    const off = (n: number) => at[n]![2] - plane.a * at[n]![0] - plane.b * at[n]![1] - plane.c
    let worst = 0
    for (let n = 1; n < at.length; n++) if (Math.abs(off(n)) > Math.abs(off(worst))) worst = n
    if (Math.abs(off(worst)) <= t * (1 + SETTLED) + 1e-15 || reference.includes(worst)) break
    // The new point takes the place of that one without which the reference stands highest.
    const choices = reference.map((_, out) => reference.map((n, i) => (i === out ? worst : n)))
    reference = choices.reduce((best, choice) =>
      (levelled(choice.map(n => at[n]!))?.t ?? -1) > (levelled(best.map(n => at[n]!))?.t ?? -1) ? choice : best,
    )
  }
  const off = points.map(([x, y, z]) => z - plane.a * x - plane.b * y - plane.c)
  const half = Math.max(...off.map(Math.abs))
  const near = Math.max(half * 1e-4, 1e-9)
  return {
    plane,
    halfMm: half,
    exchanges,
    upper: off.flatMap((value, n) => (half - value < near ? [n] : [])),
    lower: off.flatMap((value, n) => (half + value < near ? [n] : [])),
  }
}
