import { leastSlope } from './least-slope'
import type { Plane } from './plane'

type Triple = readonly [number, number, number]

const MOST_STEPS = 1000
const FAR = 1e4
/** A touching point that bears less than this share carries nothing: the middle lies over the others. */
const CARRIES = 1e-3

/**
 * The plate a face stands on, turned over on it: the plane above all points whose three touching points hold the face's
 * middle between them. A linear programme (least height over the middle), by the dual simplex method on its columns.
 * Where the middle lies right over one point or an edge (an even crown), the face rocks there: of the planes that touch
 * it, the one with the least slope is taken.
 * @returns the plane z = a x + b y + c and the points that touch it
 */
export function supportPlane(points: readonly Triple[]): { plane: Plane; contact: number[] } {
  const middle = [0, 1].map(axis => points.reduce((sum, point) => sum + point[axis as 0 | 1], 0) / points.length) as [
    number,
    number,
  ]
  const reach = Math.max(...points.map(([x, y]) => Math.hypot(x - middle[0], y - middle[1])), 1e-6)
  const lowest = Math.min(...points.map(point => point[2]))
  const highest = Math.max(...points.map(point => point[2]))
  // Three far low points round the middle begin the basis; every true point is pulled in before them.
  const far = [0, 1, 2].map((n): Triple => [
    middle[0] + FAR * reach * Math.cos((2 * Math.PI * n) / 3),
    middle[1] + FAR * reach * Math.sin((2 * Math.PI * n) / 3),
    lowest - FAR * FAR * Math.max(highest - lowest, 1e-6),
  ])
  const all = [...points, ...far]
  let basis: [number, number, number] = [points.length, points.length + 1, points.length + 2]
  const planeThrough = ([i, j, k]: readonly number[]): Plane => {
    const [p, q, r] = [all[i!]!, all[j!]!, all[k!]!]
    const [ux, uy, uz, vx, vy, vz] = [q[0] - p[0], q[1] - p[1], q[2] - p[2], r[0] - p[0], r[1] - p[1], r[2] - p[2]]
    const det = ux * vy - uy * vx
    const [a, b] = [(uz * vy - uy * vz) / det, (ux * vz - uz * vx) / det]
    return { a, b, c: p[2] - a * p[0] - b * p[1] }
  }
  const area = (p: readonly number[], q: readonly number[], r: readonly number[]) =>
    (q[0]! - p[0]!) * (r[1]! - p[1]!) - (r[0]! - p[0]!) * (q[1]! - p[1]!)
  const sharesOf = (three: readonly number[]) => {
    const [p, q, r] = three.map(n => all[n]!) as [Triple, Triple, Triple]
    const whole = area(p, q, r)
    return [area(middle, q, r) / whole, area(p, middle, r) / whole, area(p, q, middle) / whole]
  }
  const holds = (three: readonly number[]) => Math.min(...sharesOf(three))
  let plane = planeThrough(basis)
  for (let step = 0; step < MOST_STEPS; step++) {
    let worst = -1
    let over = Math.max(highest - lowest, 1e-9) * 1e-10
    points.forEach(([x, y, z], n) => {
      const above = z - plane.a * x - plane.b * y - plane.c
      if (above > over) [worst, over] = [n, above]
    })
    if (worst < 0) break
    // Whichever point it takes the place of, the middle must stay inside.
    const choices = [0, 1, 2].map(out => basis.map((n, i) => (i === out ? worst : n)) as [number, number, number])
    basis = choices.reduce((best, choice) => (holds(choice) > holds(best) ? choice : best))
    plane = planeThrough(basis)
  }
  const shares = sharesOf(basis)
  const carrying = basis.filter((n, at) => n < points.length && shares[at]! > CARRIES)
  if (carrying.length < 3 && carrying.length > 0) return leastSlope(points, carrying)
  return { plane, contact: basis.filter(n => n < points.length).toSorted((a, b) => a - b) }
}
