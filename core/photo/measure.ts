import { Matrix, SingularValueDecomposition, solve } from 'ml-matrix'
import { NoAnswer, type Step } from '../ask/question'
import type { Point } from './point'

export interface Known {
  readonly px: Point
  readonly mm: Point
}

export interface PhotoMeasure {
  lengthMm: number
  /**
   * One standard deviation, from picking points to `pickPx` and, with more points than needed, from how badly they fit.
   */
  uncertaintyMm: number
  /** Area inside the trace, closed from its last point to its first. */
  areaMm2: number
  areaUncertaintyMm2: number
  pointsMm: [number, number][]
  /** Root mean square misfit of the known points, mm; 0 where they are just enough. */
  misfitMm: number
  working: Step[]
}

/** A way from picture to part, with what the uncertainty wants of it. */
interface Seen {
  to: (point: Point) => [number, number]
  /** Change of a mapped point with its pixel: rows X and Y, columns x and y. */
  byPixel: (point: Point) => readonly [readonly [number, number], readonly [number, number]]
  /**
   * Changes of a quantity when each known point's pixel is moved by one px in x and in y, from its change with the
   * mapped points.
   */
  byKnown: (trace: readonly Point[], slopes: readonly Point[]) => number[]
}

/**
 * Moves and scales points about their mean to a spread of one, so that the system below is well conditioned (Hartley
 * 1997).
 */
function normaliser(points: readonly Point[]): {
  to: (point: Point) => [number, number]
  from: (point: Point) => [number, number]
  spread: number
} {
  const mean = [0, 1].map(axis => points.reduce((sum, point) => sum + point[axis]!, 0) / points.length) as [
    number,
    number,
  ]
  const spread = points.reduce((sum, [x, y]) => sum + Math.hypot(x - mean[0], y - mean[1]), 0) / points.length || 1
  return {
    to: ([x, y]) => [(x - mean[0]) / spread, (y - mean[1]) / spread],
    from: ([x, y]) => [x * spread + mean[0], y * spread + mean[1]],
    spread,
  }
}

function turnAndScale([a, b]: readonly Known[]): { to: (point: Point) => [number, number]; re: number; im: number } {
  const [px, py] = [b!.px[0] - a!.px[0], b!.px[1] - a!.px[1]]
  const [mx, my] = [b!.mm[0] - a!.mm[0], b!.mm[1] - a!.mm[1]]
  const long = px * px + py * py
  if (long < 1) throw new NoAnswer('the two known points lie on one another in the picture')
  if (Math.hypot(mx, my) === 0) throw new NoAnswer('the two known points lie on one another on the part')
  // Complex quotient: turn and scale in one.
  const [re, im] = [(mx * px + my * py) / long, (my * px - mx * py) / long]
  return {
    to: ([x, y]) => [
      a!.mm[0] + re * (x - a!.px[0]) - im * (y - a!.px[1]),
      a!.mm[1] + im * (x - a!.px[0]) + re * (y - a!.px[1]),
    ],
    re,
    im,
  }
}

/** Half of a step for a difference in the middle, px. */
const STEP_PX = 0.01

function twoPoints(known: readonly Known[]): Seen {
  const { to, re, im } = turnAndScale(known)
  return {
    to,
    byPixel: () => [
      [re, -im],
      [im, re],
    ],
    byKnown: (trace, slopes) =>
      [0, 1].flatMap(n =>
        [0, 1].map(axis => {
          const moved = (step: number) =>
            turnAndScale(
              known.map((entry, m) =>
                m === n
                  ? {
                      ...entry,
                      px: [entry.px[0] + (axis === 0 ? step : 0), entry.px[1] + (axis === 1 ? step : 0)] as const,
                    }
                  : entry,
              ),
            ).to
          const [ahead, behind] = [moved(STEP_PX), moved(-STEP_PX)]
          return trace.reduce((sum, point, i) => {
            const [p, q] = [ahead(point), behind(point)]
            return sum + (slopes[i]![0] * (p[0] - q[0]) + slopes[i]![1] * (p[1] - q[1])) / (2 * STEP_PX)
          }, 0)
        }),
      ),
  }
}

/**
 * Past this condition number of the normalised system the points lie so nearly in a line that a pixel moves the surface
 * anywhere.
 */
const WORST_CONDITION = 1e7

function homography(known: readonly Known[]): Seen {
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
  const system = new Matrix(rows)
  const svd = new SingularValueDecomposition(system, { autoTranspose: true })
  if (svd.rank < 8 || svd.condition > WORST_CONDITION)
    throw new NoAnswer('the known points do not span a surface: three of them lie in a line, or two are the same')
  const h = svd.solve(Matrix.columnVector(right)).to1DArray()
  /** Normalised X and Y of a point, and its depth. */
  const project = (point: Point) => {
    const [x, y] = px.to(point)
    const w = h[6]! * x + h[7]! * y + 1
    if (w <= 1e-6)
      throw new NoAnswer('part of the trace lies beyond the horizon of the surface: trace nearer to the known points')
    return { x, y, w, X: (h[0]! * x + h[1]! * y + h[2]!) / w, Y: (h[3]! * x + h[4]! * y + h[5]!) / w }
  }
  const scale = mm.spread / px.spread
  return {
    to: point => {
      const { X, Y } = project(point)
      return mm.from([X, Y])
    },
    byPixel: point => {
      const { w, X, Y } = project(point)
      return [
        [(scale * (h[0]! - h[6]! * X)) / w, (scale * (h[1]! - h[7]! * X)) / w],
        [(scale * (h[3]! - h[6]! * Y)) / w, (scale * (h[4]! - h[7]! * Y)) / w],
      ]
    },
    byKnown: (trace, slopes) => {
      // The quantity's change with each of the eight coefficients.
      const gradient = new Array<number>(8).fill(0)
      trace.forEach((point, i) => {
        const { x, y, w, X, Y } = project(point)
        const [sx, sy] = [(slopes[i]![0] * mm.spread) / w, (slopes[i]![1] * mm.spread) / w]
        for (const [k, value] of [
          sx * x,
          sx * y,
          sx,
          sy * x,
          sy * y,
          sy,
          -(sx * X + sy * Y) * x,
          -(sx * X + sy * Y) * y,
        ].entries())
          gradient[k]! += value
      })
      // h solves AᵀA h = Aᵀb; moving a pixel changes two rows of A: dh = (AᵀA)⁻¹ (dAᵀ (b − A h) − Aᵀ dA h).
      const weights = solve(system.transpose().mmul(system), Matrix.columnVector(gradient)).to1DArray()
      return known.flatMap((entry, n) => {
        const [X, Y] = mm.to(entry.mm)
        return [0, 1].map(axis => {
          const d = (m: number) => (m === axis ? 1 / px.spread : 0)
          const changed = [
            [d(0), d(1), 0, 0, 0, 0, -X * d(0), -X * d(1)],
            [0, 0, 0, d(0), d(1), 0, -Y * d(0), -Y * d(1)],
          ]
          return changed.reduce((sum, row, m) => {
            const at = 2 * n + m
            const left = right[at]! - rows[at]!.reduce((total, value, k) => total + value * h[k]!, 0)
            const along = row.reduce((total, value, k) => total + value * h[k]!, 0)
            return (
              sum + row.reduce((total, value, k) => total + weights[k]! * (value * left - rows[at]![k]! * along), 0)
            )
          }, 0)
        })
      })
    },
  }
}

const seenBy = (known: readonly Known[]): Seen => (known.length === 2 ? twoPoints(known) : homography(known))
const signedArea = (points: readonly Point[]) =>
  points.length < 3
    ? 0
    : points.reduce((sum, [x, y], i) => {
        const [nx, ny] = points[(i + 1) % points.length]!
        return sum + x * ny - nx * y
      }, 0) / 2
const length = (points: readonly Point[]) =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0)

/** How the length of a line of points changes with each of them: against its pieces on either side. */
function lengthSlopes(points: readonly Point[]): Point[] {
  const way = points.slice(1).map(([x, y], i): Point => {
    const [dx, dy] = [x - points[i]![0], y - points[i]![1]]
    const long = Math.hypot(dx, dy) || 1
    return [dx / long, dy / long]
  })
  return points.map((_, i) => [
    (way[i - 1]?.[0] ?? 0) - (way[i]?.[0] ?? 0),
    (way[i - 1]?.[1] ?? 0) - (way[i]?.[1] ?? 0),
  ])
}

/** How the area inside changes with each point. */
function areaSlopes(points: readonly Point[]): Point[] {
  const n = points.length
  return points.map((_, i) => {
    const [before, after] = [points[(i + n - 1) % n]!, points[(i + 1) % n]!]
    return n < 3 ? [0, 0] : [(after[1] - before[1]) / 2, (before[0] - after[0]) / 2]
  })
}

/**
 * Length and area of a trace in a picture, by a known scale (two points) or a flat known figure seen at a slant (four
 * or more).
 *
 * Two points: turn and scale. Four or more: the plane's homography, by normalised linear least squares (Hartley 1997).
 * Uncertainty: every picked point, known and traced, is off by `pickPx` in both directions; what the length changes by
 * each is added in squares, to first order; the misfit of more points than needed is added as a share of their spread.
 * Lens distortion is not in it.
 * Takes time in proportion to the points. Exact on made pictures (tested). @throws NoAnswer where the points do not fix
 * a scale or a plane
 */
export function measurePhoto(known: readonly Known[], trace: readonly Point[], pickPx: number): PhotoMeasure {
  const seen = seenBy(known)
  const map = seen.to
  const pointsMm = trace.map(map)
  const lengthMm = length(pointsMm)
  const areaMm2 = Math.abs(signedArea(pointsMm))
  const jacobians = trace.map(seen.byPixel)
  /** Sum of the squared changes of a quantity, every pixel moved by `pickPx`. */
  const squares = (slopes: readonly Point[]) => {
    const traced = slopes.flatMap(([sx, sy], i) => {
      const [[Xx, Xy], [Yx, Yy]] = jacobians[i]!
      return [sx * Xx + sy * Yx, sx * Xy + sy * Yy]
    })
    return [...traced, ...seen.byKnown(trace, slopes)].reduce((sum, slope) => sum + (slope * pickPx) ** 2, 0)
  }
  const [lengthSquares, areaSquares] = [squares(lengthSlopes(pointsMm)), squares(areaSlopes(pointsMm))]
  const misfits = known.map(entry => {
    const [x, y] = map(entry.px)
    return Math.hypot(x - entry.mm[0], y - entry.mm[1])
  })
  const misfitMm =
    known.length > 4 ? Math.sqrt(misfits.reduce((sum, value) => sum + value * value, 0) / known.length) : 0
  const reach = Math.max(...known.flatMap(a => known.map(b => Math.hypot(a.mm[0] - b.mm[0], a.mm[1] - b.mm[1]))))
  const uncertaintyMm = Math.hypot(Math.sqrt(lengthSquares), (misfitMm / reach) * lengthMm)
  const areaUncertaintyMm2 = Math.hypot(Math.sqrt(areaSquares), ((2 * misfitMm) / reach) * areaMm2)
  return {
    lengthMm,
    uncertaintyMm,
    areaMm2,
    areaUncertaintyMm2,
    pointsMm,
    misfitMm,
    working: [
      {
        label: 'Picture to part',
        formula:
          known.length === 2
            ? 'turn and scale from two points'
            : `homography from ${known.length} points, least squares`,
        value: known.length,
        unit: 'known points',
        source: known.length === 2 ? 'plane geometry' : 'Hartley (1997), normalised linear method',
      },
      {
        label: 'Length of the trace',
        formula: 'sum of its pieces, on the part',
        value: lengthMm,
        unit: 'mm',
        source: 'plane geometry',
      },
      ...(areaMm2 > 0
        ? [
            {
              label: 'Area inside it',
              formula: 'closed from its last point to its first; shoelace',
              value: areaMm2,
              unit: 'mm²',
              source: 'plane geometry',
            },
          ]
        : []),
      {
        label: 'Uncertainty',
        formula: `every point picked to ${pickPx} px, squares added`,
        value: uncertaintyMm,
        unit: 'mm',
        source: 'GUM (JCGM 100), law of propagation',
      },
    ],
  }
}
