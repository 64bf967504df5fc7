import { contours } from 'd3-contour'
import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { softened } from './gauss'
import { quantile, scaledBy, type Grey } from './grey'
import { otsu, partsOf } from './parts'
import type { Picture } from './picture'
import type { Point } from './point'

export interface Outlined {
  /** Round the object, px; its first point is not repeated. */
  outer: Point[]
  holes: Point[][]
  /** 1 on the object, row by row. */
  mask: Uint8Array
  /** Share of the picture. */
  share: number
}

/** Pictures are looked at no larger than this on their longer side. */
const SIDE_PX = 900
/** The ground is plain where the rim's colours lie this near to their middle, of 255. */
const PLAIN = 26
/** How well ground and object must part. */
const PARTED = 0.6
const SHARE = { least: 0.01, most: 0.97 }
/** Holes smaller than this share of the object are specks. */
const LEAST_HOLE = 8e-4
/** The outline is thinned so that no point of it moves by more, px at the scale it is looked at. */
const THIN_PX = 0.8
/** The rim of the picture that shows the ground, as a share of its shorter side. */
const RIM = 0.03

const channel = ({ wide, high, rgba }: Picture, k: number): Grey => ({
  wide,
  high,
  data: Float32Array.from({ length: wide * high }, (_, i) => rgba[4 * i + k]!),
})

/** The line with as few points as keep every point of it within a distance (Douglas and Peucker 1973). */
export function thinned(line: readonly Point[], within: number): Point[] {
  if (line.length < 3) return [...line]
  const [a, b] = [line[0]!, line.at(-1)!]
  const long = Math.hypot(b[0] - a[0], b[1] - a[1])
  let [most, at] = [0, 0]
  for (let n = 1; n < line.length - 1; n++) {
    const [x, y] = line[n]!
    const off =
      long > 0
        ? Math.abs((b[0] - a[0]) * (a[1] - y) - (a[0] - x) * (b[1] - a[1])) / long
        : Math.hypot(x - a[0], y - a[1])
    if (off > most) [most, at] = [off, n]
  }
  if (most <= within) return [a, b]
  return [...thinned(line.slice(0, at + 1), within).slice(0, -1), ...thinned(line.slice(at), within)]
}

const ringArea = (ring: readonly Point[]) =>
  Math.abs(
    ring.reduce((sum, [x, y], n) => {
      const [u, v] = ring[(n + 1) % ring.length]!
      return sum + x * v - u * y
    }, 0) / 2,
  )

/** A closed ring thinned: split at the point farthest from its first. */
export function thinRing(ring: readonly Point[], within: number): Point[] {
  const [x, y] = ring[0]!
  const far = ring.reduce((best, [u, v], n) => {
    const [p, q] = ring[best]!
    return Math.hypot(u - x, v - y) > Math.hypot(p - x, q - y) ? n : best
  }, 0)
  return [
    ...thinned(ring.slice(0, far + 1), within).slice(0, -1),
    ...thinned([...ring.slice(far), ring[0]!], within).slice(0, -1),
  ]
}

/**
 * The ground's brightness over the picture, shade and all: a plane through the rim, fitted anew without what lies far
 * off it (an object that reaches the rim).
 */
function groundOf({ wide, high, data }: Grey, onRim: readonly number[]): (at: number) => number {
  const row = (i: number) => [1, (i % wide) / wide - 0.5, Math.floor(i / wide) / high - 0.5]
  const at = (of: readonly number[], i: number) => row(i).reduce((sum, value, k) => sum + value * of[k]!, 0)
  const some = onRim.filter((_, n) => n % Math.max(1, Math.floor(onRim.length / 2000)) === 0)
  let kept = some
  let of = [
    quantile(
      some.map(i => data[i]!),
      0.5,
    ),
    0,
    0,
  ]
  for (let round = 0; round < 4; round++) {
    const spread = quantile(
      kept.map(i => Math.abs(data[i]! - at(of, i))),
      0.5,
    )
    const near = some.filter(i => Math.abs(data[i]! - at(of, i)) <= Math.max(3, 2.5 * spread))
    if (near.length < 12) break
    kept = near
    const system = new Matrix(kept.map(row))
    of = new SingularValueDecomposition(system, { autoTranspose: true })
      .solve(Matrix.columnVector(kept.map(i => data[i]!)))
      .to1DArray()
  }
  return i => at(of, i)
}

/**
 * The one object that lies on a plain ground: what differs in colour from the picture's rim, its outline between
 * pixels by marching squares, and the holes the ground shows through.
 * @returns null where the rim is not plain, or nothing stands off it
 */
export function outlineOf(picture: Picture): Outlined | null {
  const factor = Math.min(1, SIDE_PX / Math.max(picture.wide, picture.high))
  const planes = [0, 1, 2].map(k => {
    const plane = channel(picture, k)
    return softened(factor < 1 ? scaledBy(plane, factor) : plane, 1.2)
  })
  const { wide, high } = planes[0]!
  const rim = Math.max(2, Math.round(RIM * Math.min(wide, high)))
  const onRim: number[] = []
  for (let i = 0; i < wide * high; i++) {
    const [x, y] = [i % wide, Math.floor(i / wide)]
    if (x < rim || y < rim || x >= wide - rim || y >= high - rim) onRim.push(i)
  }
  const grounds = planes.map(plane => groundOf(plane, onRim))
  const off = new Float32Array(wide * high)
  for (let i = 0; i < off.length; i++) off[i] = Math.hypot(...planes.map((plane, k) => plane.data[i]! - grounds[k]!(i)))
  if (
    quantile(
      onRim.map(i => off[i]!),
      0.8,
    ) > PLAIN
  )
    return null
  const { level, explained } = otsu(off, 0, quantile(off, 0.999))
  if (explained < PARTED || level < PLAIN / 2) return null
  const mask = Uint8Array.from(off, value => (value > level ? 1 : 0))
  const { labels, parts } = partsOf(mask, wide, high)
  const largest = parts.reduce<(typeof parts)[number] | null>(
    (best, part) => (best && best.count >= part.count ? best : part),
    null,
  )
  const share = (largest?.count ?? 0) / mask.length
  if (!largest || share < SHARE.least || share > SHARE.most) return null
  // Only the largest object is drawn; the others are laid flat to the ground.
  const own = Float64Array.from(off, (value, i) => (mask[i] && labels[i] !== largest.label ? 0 : value))
  const drawn = contours().size([wide, high]).thresholds([level])([...own])[0]
  const polygon = (drawn?.coordinates ?? [])
    .map(rings => rings.map(ring => ring.slice(0, -1).map(([x, y]): Point => [x!, y!])))
    .reduce<Point[][] | null>((best, rings) => (best && ringArea(best[0]!) >= ringArea(rings[0]!) ? best : rings), null)
  if (!polygon?.[0]) return null
  const back = (ring: readonly Point[]) =>
    thinRing(ring, THIN_PX).map(([x, y]): Point => [(x * picture.wide) / wide, (y * picture.high) / high])
  const whole = Uint8Array.from({ length: picture.wide * picture.high }, (_, i) => {
    const [x, y] = [i % picture.wide, Math.floor(i / picture.wide)]
    const at = Math.min(high - 1, Math.floor((y * high) / picture.high)) * wide
    return labels[at + Math.min(wide - 1, Math.floor((x * wide) / picture.wide))] === largest.label ? 1 : 0
  })
  return {
    outer: back(polygon[0]),
    holes: polygon
      .slice(1)
      .filter(ring => ringArea(ring) > LEAST_HOLE * ringArea(polygon[0]!))
      .map(back),
    mask: whole,
    share,
  }
}
