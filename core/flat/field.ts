import Delaunator from 'delaunator'
import type { Point3 } from './plane'

/** Height at a place inside the readings, straight over the Delaunay triangle it lies in; null outside them. */
export type HeightField = (xMm: number, yMm: number) => number | null

const ROOM = 1e-9
/** A share of area is counted on so many cells each way. */
const SHARE_CELLS = 60

/** A surface through values at the readings' places. Metal between readings is taken as straight. */
export function heightField(points: readonly Point3[], values: readonly number[]): HeightField {
  const { triangles } = Delaunator.from(points.map(({ xMm, yMm }) => [xMm, yMm]))
  return (x, y) => {
    for (let n = 0; n < triangles.length; n += 3) {
      const [i, j, k] = [triangles[n]!, triangles[n + 1]!, triangles[n + 2]!]
      const [a, b, c] = [points[i]!, points[j]!, points[k]!]
      const det = (b.yMm - c.yMm) * (a.xMm - c.xMm) + (c.xMm - b.xMm) * (a.yMm - c.yMm)
      const u = ((b.yMm - c.yMm) * (x - c.xMm) + (c.xMm - b.xMm) * (y - c.yMm)) / det
      const v = ((c.yMm - a.yMm) * (x - c.xMm) + (a.xMm - c.xMm) * (y - c.yMm)) / det
      if (u >= -ROOM && v >= -ROOM && u + v <= 1 + ROOM)
        return u * values[i]! + v * values[j]! + (1 - u - v) * values[k]!
    }
    return null
  }
}

/** Values of a field on an even grid over the readings' box, row by row from least y; null outside them. */
export function sampleField(
  field: HeightField,
  points: readonly Point3[],
  across: number,
  along: number,
): { leftMm: number; bottomMm: number; wideMm: number; highMm: number; values: (number | null)[] } {
  const [xs, ys] = [points.map(point => point.xMm), points.map(point => point.yMm)]
  const [leftMm, bottomMm] = [Math.min(...xs), Math.min(...ys)]
  const [wideMm, highMm] = [Math.max(...xs) - leftMm, Math.max(...ys) - bottomMm]
  const values = Array.from({ length: across * along }, (_, n) =>
    field(
      leftMm + (((n % across) + 0.5) / across) * wideMm,
      bottomMm + ((Math.floor(n / across) + 0.5) / along) * highMm,
    ),
  )
  return { leftMm, bottomMm, wideMm, highMm, values }
}

/** Share of the readings' area that lies nearer than a limit to the plane its gaps are from, 0 to 1. */
export function shareWithin(points: readonly Point3[], gapsMm: readonly number[], limitMm: number): number {
  const { values } = sampleField(heightField(points, gapsMm), points, SHARE_CELLS, SHARE_CELLS)
  const known = values.filter(value => value !== null)
  return known.length > 0 ? known.filter(value => value < limitMm).length / known.length : 0
}

export interface Edge {
  alongMm: number
  heightMm: number
  edgeMm: number
}

/** The most light under a straightedge, mm. */
export const lightMm = (edge: readonly Edge[]): number =>
  Math.max(0, ...edge.map(point => point.edgeMm - point.heightMm))

/** Places of an even grid over a face, row by row from its corner, mm. */
export const gridPlaces = (
  wideMm: number,
  longMm: number,
  across: number,
  along: number,
): { xMm: number; yMm: number }[] =>
  Array.from({ length: across * along }, (_, n) => ({
    xMm: Number((((n % across) / (across - 1)) * wideMm).toFixed(3)),
    yMm: Number(((Math.floor(n / across) / (along - 1)) * longMm).toFixed(3)),
  }))

const SAMPLES = 121
/** A straightedge that rests on less than this share of its length rocks: judgement. */
const ROCKS_SHARE = 1 / 3

/**
 * What a straightedge laid from one place to another shows: the face's height along it, and the height of the edge that
 * rests on its two highest places (the upper convex hull); on a crown it rocks and is held so that both ends show the
 * same. Light shows where the two part. @returns nothing where the line leaves the readings
 */
export function straightedge(
  field: HeightField,
  from: { xMm: number; yMm: number },
  to: { xMm: number; yMm: number },
): Edge[] {
  const lengthMm = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm)
  const profile = Array.from({ length: SAMPLES }, (_, n) => {
    const t = n / (SAMPLES - 1)
    return {
      alongMm: t * lengthMm,
      heightMm: field(from.xMm + t * (to.xMm - from.xMm), from.yMm + t * (to.yMm - from.yMm)),
    }
  }).filter((point): point is { alongMm: number; heightMm: number } => point.heightMm !== null)
  if (profile.length < 3) return []
  const hull: typeof profile = []
  for (const point of profile) {
    while (hull.length >= 2) {
      const [a, b] = [hull.at(-2)!, hull.at(-1)!]
      if (
        (b.heightMm - a.heightMm) * (point.alongMm - a.alongMm) >
        (point.heightMm - a.heightMm) * (b.alongMm - a.alongMm)
      )
        break
      hull.pop()
    }
    hull.push(point)
  }
  // The edge cannot bend: it rests on that piece of the hull which the middle lies over.
  const middle = (profile[0]!.alongMm + profile.at(-1)!.alongMm) / 2
  const at = Math.max(
    1,
    hull.findIndex(point => point.alongMm >= middle),
  )
  const [a, b] = [hull[at - 1]!, hull[at]!]
  const [first, last] = [profile[0]!, profile.at(-1)!]
  // On a crown it has next to nothing to rest on and is rocked until both ends show the same light.
  const rocks = b.alongMm - a.alongMm < ROCKS_SHARE * (last.alongMm - first.alongMm)
  const slope = rocks
    ? (last.heightMm - first.heightMm) / (last.alongMm - first.alongMm)
    : (b.heightMm - a.heightMm) / (b.alongMm - a.alongMm)
  const rests = rocks
    ? profile.reduce((best, point) =>
        point.heightMm - slope * point.alongMm > best.heightMm - slope * best.alongMm ? point : best,
      )
    : a
  return profile.map(point => ({ ...point, edgeMm: rests.heightMm + slope * (point.alongMm - rests.alongMm) }))
}
