import { quantile, sample, type Grey } from './grey'
import type { Point } from './point'
import { lineGrey, lineTone, ridge, type Line } from './ridge'
import type { Picture } from './picture'
import { cheapestWay } from './way'

export interface Traced {
  /** Follows the line from the first point to the last, px. */
  path: Point[]
  /** How much the line stands off its sides, as a share of the brighter of the two: 0 none, 1 black on white. */
  contrast: number
  /** Share of the way on which there is a line to be seen. */
  seenShare: number
  lengthPx: number
}

/** Room beside the straight line between two clicks, as a share of its length and at least, px. */
const ROOM = { share: 0.35, least: 48 }
/** Windows with more points than this are searched at a smaller scale; the line is found again in the full picture. */
export const MOST_POINTS = 140_000
/** The ridge that counts as a clear line: all but this share of the window lies under it. */
const CLEAR = 0.999
/** What a step costs where there is no line at all, against one on the clearest: it may cross gaps, not wander. */
const BARE = 30
/** How far the line's middle is looked for beside the way, px of the scale it was found at. */
const BESIDE = 2.5
/** A click within this of the line goes to it, px. */
const SNAP = 6
/** The path is smoothed over this many points either side, so that steps of the grid add nothing to its length. */
const SMOOTH = 3
const EVERY_PX = 2
/** Sides against which the contrast is read, px from the middle. */
const SIDES = [4, 6, 8]
const SEEN_CONTRAST = 0.06
/** Below this share of the way with a line in sight, part of it is a guess. */
export const FAINT_SHARE = 0.85

const distance = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1])
export const pathLength = (path: readonly Point[]) =>
  path.slice(1).reduce((sum, point, n) => sum + distance(path[n]!, point), 0)

/** The best spot for a click within a few pixels of it, weighed by how far it lies off. */
function snapped(field: Grey, [x, y]: Point, reach: number): Point {
  let best: Point = [Math.floor(x), Math.floor(y)]
  let most = -1
  for (let j = -Math.ceil(reach); j <= reach; j++)
    for (let i = -Math.ceil(reach); i <= reach; i++) {
      const [u, v] = [Math.floor(x) + i, Math.floor(y) + j]
      if (u < 0 || v < 0 || u >= field.wide || v >= field.high || Math.hypot(i, j) > reach) continue
      const value = field.data[v * field.wide + u]! * (1 - 0.6 * (Math.hypot(i, j) / reach))
      if (value > most) {
        most = value
        best = [u, v]
      }
    }
  return [Math.min(field.wide - 1, Math.max(0, best[0])), Math.min(field.high - 1, Math.max(0, best[1]))]
}

/** Points at even steps along a line, its ends kept. */
export function evenly(path: readonly Point[], every: number): Point[] {
  const whole = pathLength(path)
  const pieces = Math.max(1, Math.round(whole / every))
  const out: Point[] = [path[0]!]
  let [at, gone] = [0, 0]
  for (let n = 1; n < pieces; n++) {
    const want = (n * whole) / pieces
    while (at + 2 < path.length && gone + distance(path[at]!, path[at + 1]!) < want) {
      gone += distance(path[at]!, path[at + 1]!)
      at++
    }
    const piece = distance(path[at]!, path[at + 1]!) || 1
    const share = Math.min(1, (want - gone) / piece)
    const [a, b] = [path[at]!, path[at + 1]!]
    out.push([a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])])
  }
  out.push(path.at(-1)!)
  return out
}

/** Each point the mean of its neighbours under a triangle; the ends stay. */
function smoothed(path: readonly Point[], reach: number): Point[] {
  return path.map((point, n) => {
    const most = Math.min(reach, n, path.length - 1 - n)
    if (most === 0) return point
    let [x, y, weights] = [0, 0, 0]
    for (let k = -most; k <= most; k++) {
      const weight = most + 1 - Math.abs(k)
      x += weight * path[n + k]![0]
      y += weight * path[n + k]![1]
      weights += weight
    }
    return [x / weights, y / weights]
  })
}

const normalAt = (path: readonly Point[], n: number): Point => {
  const [a, b] = [path[Math.max(0, n - 1)]!, path[Math.min(path.length - 1, n + 1)]!]
  const long = distance(a, b) || 1
  return [-(b[1] - a[1]) / long, (b[0] - a[0]) / long]
}

/** Each point moved square to the path onto the middle of the line, by the weighted mean of the ridge there. */
function centred(field: Grey, path: readonly Point[], beside: number): Point[] {
  return path.map((point, n) => {
    const [nx, ny] = normalAt(path, n)
    let [sum, weights] = [0, 0]
    for (let off = -beside; off <= beside; off += 0.5) {
      const weight = sample(field, point[0] + off * nx, point[1] + off * ny) ** 2 * (1 - (off / (beside + 0.5)) ** 2)
      sum += weight * off
      weights += weight
    }
    const shift = weights > 0 ? sum / weights : 0
    return [point[0] + shift * nx, point[1] + shift * ny]
  })
}

/** The line between two clicks; one in the middle of a trace is drawn onto the line. */
function stretch(picture: Picture, line: Line, from: Point, to: Point, snap: { from: boolean; to: boolean }): Point[] {
  const room = Math.max(ROOM.least, ROOM.share * distance(from, to))
  const {
    grey: small,
    corner,
    factor,
  } = lineGrey(
    picture,
    line,
    [
      Math.min(from[0], to[0]) - room,
      Math.min(from[1], to[1]) - room,
      Math.max(from[0], to[0]) + room,
      Math.max(from[1], to[1]) + room,
    ],
    MOST_POINTS,
  )
  const field = ridge(small, line)
  const clear = Math.max(1e-3, quantile(someOf(field.data), CLEAR))
  const cost = field.data.map(value => 1 / (1 / BARE + Math.min(1, value / clear) ** 2))
  const least = 1 / (1 / BARE + 1)
  const cell = ([x, y]: Point, snaps: boolean): Point =>
    snapped(field, [(x - corner[0]) * factor, (y - corner[1]) * factor], snaps ? SNAP * factor : 0)
  const way = cheapestWay(cost, field.wide, field.high, cell(from, snap.from), cell(to, snap.to), least)
  const middles = way.map(([x, y]): Point => [x + 0.5, y + 0.5])
  return drawnOn(field, middles).map(([x, y]): Point => [x / factor + corner[0], y / factor + corner[1]])
}

/** A way over a field of ridges drawn onto the line's middle and smoothed. */
const drawnOn = (field: Grey, way: readonly Point[]) => smoothed(centred(field, smoothed(way, 2), BESIDE), SMOOTH)

/**
 * The first point of a path put where the click stands along the line: a click beside the line neither adds the way to
 * it nor takes any off.
 */
function squaredEnd(path: readonly Point[], click: Point): Point[] {
  const from = path.findIndex(point => distance(point, click) >= 2 * SNAP)
  const further = path.findIndex(point => distance(point, click) >= 4 * SNAP)
  if (from < 0 || further < 0) return [...path]
  const [q, r] = [path[from]!, path[further]!]
  const long = distance(q, r) || 1
  const [tx, ty] = [(q[0] - r[0]) / long, (q[1] - r[1]) / long]
  const out = (click[0] - q[0]) * tx + (click[1] - q[1]) * ty
  return [[q[0] + out * tx, q[1] + out * ty], ...path.slice(from)]
}

/** Brightness of the line against its sides along the path, as shares of the brighter. */
function contrasts(picture: Picture, line: Line, path: readonly Point[]): number[] {
  const tone = lineTone(picture, line)
  return path.map((point, n) => {
    const [nx, ny] = normalAt(path, n)
    const at = (off: number) => tone(point[0] + off * nx, point[1] + off * ny)
    const middle = [-1, 0, 1].map(at)
    const side = (sign: 1 | -1) => SIDES.reduce((sum, off) => sum + at(sign * off), 0) / SIDES.length
    // The nearer of its two sides: a shadow's edge is dark on one side only.
    if (line === 'dark') {
      const ground = Math.min(side(1), side(-1))
      return ground > 0 ? (ground - Math.min(...middle)) / ground : 0
    }
    const ground = Math.max(side(1), side(-1))
    const most = Math.max(...middle)
    return most > 0 ? (most - ground) / most : 0
  })
}

/**
 * The line that clicks lie along: the cheapest way between each two over the picture's ridges, drawn onto the line's
 * middle and smoothed.
 *
 * Lines from 1 to some 10 px wide, darker than both sides (or brighter); gaps are crossed straight. The clicks at the
 * ends say how far the line goes; those between only which way. Accuracy on made pictures: docs/method.md.
 */
export function traceLine(picture: Picture, points: readonly Point[], line: Line = 'dark'): Traced {
  const joined = points.slice(1).flatMap((to, n) => {
    const part = stretch(picture, line, points[n]!, to, { from: n > 0, to: n < points.length - 2 })
    return n > 0 ? part.slice(1) : part
  })
  const ended = squaredEnd(joined, points[0]!)
  const whole = squaredEnd(ended.reverse(), points.at(-1)!).reverse()
  return tracedAs(picture, line, whole)
}

/** A path as it stands in the picture: its length, and how much of a line lies under it. */
export function tracedAs(picture: Picture, line: Line, way: readonly Point[]): Traced {
  const path = evenly(way, EVERY_PX)
  const seen = contrasts(picture, line, path)
  return {
    path,
    contrast: Math.max(0, quantile(seen, 0.5)),
    seenShare: seen.filter(value => value >= SEEN_CONTRAST).length / seen.length,
    lengthPx: pathLength(path),
  }
}

/**
 * A way found over a window's ridges as a trace of the picture, begun at a point of the line that it leaves.
 * @param way middles of cells of the window
 */
export function tracedAlong(
  picture: Picture,
  line: Line,
  field: Grey,
  way: readonly Point[],
  { corner, factor }: { corner: Point; factor: number },
  start: Point,
): Traced {
  const onLine = drawnOn(field, way).map(([x, y]): Point => [x / factor + corner[0], y / factor + corner[1]])
  return tracedAs(picture, line, [start, ...onLine])
}

/** No more than some ten thousand of the values, evenly taken. */
const someOf = (values: Float32Array) => {
  const step = Math.max(1, Math.floor(values.length / 20_000))
  return Float32Array.from({ length: Math.ceil(values.length / step) }, (_, n) => values[n * step]!)
}
