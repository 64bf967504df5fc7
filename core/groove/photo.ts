import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { NoAnswer, type Step } from '../ask/question'

export type Point = readonly [x: number, y: number]
export interface Known { readonly px: Point, readonly mm: Point }

export interface PhotoMeasure {
  lengthMm: number
  /** One standard deviation, from picking points to `pickPx` and, with more points than needed, from how badly they fit. */
  uncertaintyMm: number
  /** Area inside the trace, closed from its last point to its first. */
  areaMm2: number
  areaUncertaintyMm2: number
  pointsMm: [number, number][]
  /** Root mean square misfit of the known points, mm; 0 where they are just enough. */
  misfitMm: number
  working: Step[]
}

type Map2D = (point: Point) => [number, number]

/** Moves and scales points about their mean to a spread of one, so that the system below is well conditioned (Hartley 1997). */
function normaliser(points: readonly Point[]): { to: Map2D, from: Map2D } {
  const mean = [0, 1].map(axis => points.reduce((sum, point) => sum + point[axis]!, 0) / points.length) as [number, number]
  const spread = points.reduce((sum, [x, y]) => sum + Math.hypot(x - mean[0], y - mean[1]), 0) / points.length || 1
  return { to: ([x, y]) => [(x - mean[0]) / spread, (y - mean[1]) / spread], from: ([x, y]) => [x * spread + mean[0], y * spread + mean[1]] }
}

function twoPoints([a, b]: readonly Known[]): Map2D {
  const [px, py] = [b!.px[0] - a!.px[0], b!.px[1] - a!.px[1]]
  const [mx, my] = [b!.mm[0] - a!.mm[0], b!.mm[1] - a!.mm[1]]
  const long = px * px + py * py
  if (long < 1) throw new NoAnswer('the two known points lie on one another in the picture')
  if (Math.hypot(mx, my) === 0) throw new NoAnswer('the two known points lie on one another on the part')
  // Complex quotient: turn and scale in one.
  const [re, im] = [(mx * px + my * py) / long, (my * px - mx * py) / long]
  return ([x, y]) => [a!.mm[0] + re * (x - a!.px[0]) - im * (y - a!.px[1]), a!.mm[1] + im * (x - a!.px[0]) + re * (y - a!.px[1])]
}

/** Past this condition number of the normalised system the points lie so nearly in a line that a pixel moves the surface anywhere. */
const WORST_CONDITION = 1e7

function homography(known: readonly Known[]): Map2D {
  const px = normaliser(known.map(entry => entry.px))
  const mm = normaliser(known.map(entry => entry.mm))
  const rows: number[][] = []
  const right: number[] = []
  for (const entry of known) {
    const [x, y] = px.to(entry.px)
    const [X, Y] = mm.to(entry.mm)
    rows.push([x, y, 1, 0, 0, 0, -X * x, -X * y], [0, 0, 0, x, y, 1, -Y * x, -Y * y])
    right.push(X, Y)
  }
  const svd = new SingularValueDecomposition(new Matrix(rows), { autoTranspose: true })
  if (svd.rank < 8 || svd.condition > WORST_CONDITION) throw new NoAnswer('the known points do not span a surface: three of them lie in a line, or two are the same')
  const h = svd.solve(Matrix.columnVector(right)).to1DArray()
  return (point) => {
    const [x, y] = px.to(point)
    const w = h[6]! * x + h[7]! * y + 1
    if (w <= 1e-6) throw new NoAnswer('part of the trace lies beyond the horizon of the surface: trace nearer to the known points')
    return mm.from([(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w])
  }
}

const mapOf = (known: readonly Known[]) => known.length === 2 ? twoPoints(known) : homography(known)
const area = (points: readonly Point[]) => points.length < 3 ? 0 : Math.abs(points.reduce((sum, [x, y], i) => {
  const [nx, ny] = points[(i + 1) % points.length]!
  return sum + x * ny - nx * y
}, 0)) / 2
const length = (points: readonly Point[]) => points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0)

/**
 * Length and area of a trace in a picture, by a known scale (two points) or a flat known figure seen at a slant (four or more).
 *
 * Two points: turn and scale. Four or more: the plane's homography, by normalised linear least squares (Hartley 1997).
 * Uncertainty: every picked point, known and traced, is moved by `pickPx` in both directions and the changes of length are added in
 * squares; the misfit of more points than needed is added as a share of their spread. Lens distortion is not in it.
 * Exact on made pictures (tested). @throws NoAnswer where the points do not fix a scale or a plane
 */
export function measurePhoto(known: readonly Known[], trace: readonly Point[], pickPx: number): PhotoMeasure {
  const map = mapOf(known)
  const pointsMm = trace.map(map)
  const lengthMm = length(pointsMm)
  const areaMm2 = area(pointsMm)
  const moved = (points: readonly Point[], i: number, axis: 0 | 1): Point[] => points.map((point, n) => n === i ? [point[0] + (axis === 0 ? pickPx : 0), point[1] + (axis === 1 ? pickPx : 0)] : point)
  let [lengthSquares, areaSquares] = [0, 0]
  const count = (points: readonly Point[]) => {
    lengthSquares += (length(points) - lengthMm) ** 2
    areaSquares += (area(points) - areaMm2) ** 2
  }
  for (const axis of [0, 1] as const) {
    trace.forEach((_, i) => count(moved(trace, i, axis).map(map)))
    known.forEach((_, i) => {
      const px = moved(known.map(entry => entry.px), i, axis)
      count(trace.map(mapOf(known.map((entry, n) => ({ ...entry, px: px[n]! })))))
    })
  }
  const misfits = known.map((entry) => {
    const [x, y] = map(entry.px)
    return Math.hypot(x - entry.mm[0], y - entry.mm[1])
  })
  const misfitMm = known.length > 4 ? Math.sqrt(misfits.reduce((sum, value) => sum + value * value, 0) / known.length) : 0
  const reach = Math.max(...known.flatMap(a => known.map(b => Math.hypot(a.mm[0] - b.mm[0], a.mm[1] - b.mm[1]))))
  const uncertaintyMm = Math.hypot(Math.sqrt(lengthSquares), misfitMm / reach * lengthMm)
  const areaUncertaintyMm2 = Math.hypot(Math.sqrt(areaSquares), 2 * misfitMm / reach * areaMm2)
  return {
    lengthMm, uncertaintyMm, areaMm2, areaUncertaintyMm2, pointsMm, misfitMm,
    working: [
      { label: 'Picture to part', formula: known.length === 2 ? 'turn and scale from two points' : `homography from ${known.length} points, least squares`, value: known.length, unit: 'known points', source: known.length === 2 ? 'plane geometry' : 'Hartley (1997), normalised linear method' },
      { label: 'Length of the trace', formula: 'sum of its pieces, on the part', value: lengthMm, unit: 'mm', source: 'plane geometry' },
      ...(areaMm2 > 0 ? [{ label: 'Area inside it', formula: 'closed from its last point to its first; shoelace', value: areaMm2, unit: 'mm²', source: 'plane geometry' }] : []),
      { label: 'Uncertainty', formula: `every point picked to ${pickPx} px, squares added`, value: uncertaintyMm, unit: 'mm', source: 'GUM (JCGM 100), propagation by differences' },
    ],
  }
}
