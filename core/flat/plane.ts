import { EigenvalueDecomposition, Matrix } from 'ml-matrix'
import { NoAnswer } from '../ask/question'

export interface Point3 {
  xMm: number
  yMm: number
  zMm: number
}
/** z = a x + b y + c. */
export interface Plane {
  a: number
  b: number
  c: number
}
/** A rotation and shift of the points so that a plane becomes z = 0. */
export interface Levelled {
  points: [number, number, number][]
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

/**
 * Of the longest reach among points, the least that they must lie off the line along it to span a plane: a slip of a
 * straightedge's width.
 */
const LEAST_SPREAD = 1e-6

/** Whether points spread over a face, seen from above: not all in one place, nor on one line. */
export function spansPlane(points: readonly Point3[]): boolean {
  const [first] = points
  if (!first) return false
  const off = points.map(p => [p.xMm - first.xMm, p.yMm - first.yMm] as const)
  const far = off.reduce((best, p) => (Math.hypot(...p) > Math.hypot(...best) ? p : best))
  const reach = Math.hypot(...far)
  return reach > 0 && off.some(p => Math.abs(p[0] * far[1] - p[1] * far[0]) > LEAST_SPREAD * reach * reach)
}

/**
 * Turns points into the frame of their least-squares plane (distances at right angles to it): x and y in the plane, z
 * off it.
 * Source: total least squares by the eigenvectors of the scatter matrix; any text on coordinate metrology.
 * @throws NoAnswer where all points lie in one line
 */
export function level(points: readonly Point3[]): Levelled {
  const [mx, my, mz] = [mean(points.map(p => p.xMm)), mean(points.map(p => p.yMm)), mean(points.map(p => p.zMm))]
  const moved = points.map(p => [p.xMm - mx, p.yMm - my, p.zMm - mz] as const)
  const scatter = Matrix.zeros(3, 3)
  for (const p of moved)
    for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) scatter.set(i, j, scatter.get(i, j) + p[i]! * p[j]!)
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(scatter, { assumeSymmetric: true })
  const order = [0, 1, 2].toSorted((a, b) => realEigenvalues[a]! - realEigenvalues[b]!)
  if (realEigenvalues[order[1]!]! < 1e-12 * realEigenvalues[order[2]!]!)
    throw new NoAnswer('the points all lie in one line: a face wants them spread over it')
  let normal = [0, 1, 2].map(i => eigenvectorMatrix.get(i, order[0]!))
  // Up stays up.
  if (normal[2]! < 0) normal = normal.map(value => -value)
  // x of the plane as near to the reader's x as can be.
  const along = [1 - normal[0]! ** 2, -normal[0]! * normal[1]!, -normal[0]! * normal[2]!]
  const length = Math.hypot(...along)
  const u = length > 1e-9 ? along.map(value => value / length) : [0, 1, 0]
  const v = [
    normal[1]! * u[2]! - normal[2]! * u[1]!,
    normal[2]! * u[0]! - normal[0]! * u[2]!,
    normal[0]! * u[1]! - normal[1]! * u[0]!,
  ]
  const dot = (axis: readonly number[], p: readonly number[]) => axis[0]! * p[0]! + axis[1]! * p[1]! + axis[2]! * p[2]!
  return { points: moved.map(p => [dot(u, p), dot(v, p), dot(normal, p)]) }
}
