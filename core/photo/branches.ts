import { quantile, type Grey } from './grey'
import type { Picture } from './picture'
import type { Point } from './point'
import { lineGrey, ridge, type Line } from './ridge'
import { evenly, MOST_POINTS, tracedAlong, tracedAs, type Traced } from './trace'

export interface Branch extends Traced {
  /** Where it leaves the line it was looked for on: along it, or past one of its ends. */
  from: 'side' | 'end'
}

/** Room beside the line in which branches are followed, as a share of its length and at least, px. */
const ROOM = { share: 0.4, least: 60 }
/** A branch's ridge against the line's own: less than this share is grain. */
const AS_CLEAR = 0.3
/** Points of the window either side of the line that are the line's own. */
const OWN = 5
/** No branch is shorter, points of the window. */
const SHORTEST = 14
/** It has to lead away: how far its tip lies from the line, as a share of its own length. */
const AWAY_SHARE = 0.25
/** A line winds less than the grain of a casting. */
const MOST_WINDING = 1.45
const LEAST_SEEN = 0.75
const CONTRAST_SHARE = 0.5
/** What starts this near to an end goes on from it, px. */
const AT_END = 12
export const MOST_BRANCHES = 8

const NEIGHBOURS = [-1, 0, 1].flatMap(j => [-1, 0, 1].map(i => [i, j] as const)).filter(([i, j]) => i !== 0 || j !== 0)

/** Steps over a mask from where they start; `before` leads back. */
class Spread {
  readonly steps: Float32Array
  private readonly before: Int32Array
  constructor(
    private readonly mask: Uint8Array,
    private readonly wide: number,
  ) {
    this.steps = new Float32Array(mask.length).fill(Infinity)
    this.before = new Int32Array(mask.length).fill(-1)
  }
  /** Starts from these cells too: what lies behind them is nearer from now on. */
  from(cells: readonly number[]): void {
    let front = cells.filter(cell => this.steps[cell]! > 0)
    for (const cell of front) {
      this.steps[cell] = 0
      this.before[cell] = -1
    }
    while (front.length > 0) {
      const next: number[] = []
      for (const cell of front) {
        const x = cell % this.wide
        for (const [i, j] of NEIGHBOURS) {
          const to = cell + j * this.wide + i
          if (x + i < 0 || x + i >= this.wide || to < 0 || to >= this.mask.length || !this.mask[to]) continue
          const steps = this.steps[cell]! + (i !== 0 && j !== 0 ? Math.SQRT2 : 1)
          if (steps >= this.steps[to]!) continue
          this.steps[to] = steps
          this.before[to] = cell
          next.push(to)
        }
      }
      front = next
    }
  }
  farthest(): number {
    let best = -1
    for (let cell = 0; cell < this.steps.length; cell++)
      if (this.steps[cell]! < Infinity && (best < 0 || this.steps[cell]! > this.steps[best]!)) best = cell
    return best
  }
  wayTo(cell: number): number[] {
    const way: number[] = []
    for (let at = cell; at >= 0; at = this.before[at]!) way.push(at)
    return way.reverse()
  }
}

const gap = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])

/** Cells of the window within a distance of a line. */
function near({ wide, high }: Pick<Grey, 'wide' | 'high'>, line: readonly Point[], reach: number): number[] {
  const cells = new Set<number>()
  for (const [x, y] of line)
    for (let v = Math.max(0, Math.floor(y - reach)); v <= Math.min(high - 1, y + reach); v++)
      for (let u = Math.max(0, Math.floor(x - reach)); u <= Math.min(wide - 1, x + reach); u++)
        if (Math.hypot(u + 0.5 - x, v + 0.5 - y) <= reach) cells.add(v * wide + u)
  return [...cells]
}

/**
 * The branches of a line already traced: ridges as clear as its own that run into it and lead away from it, the longest
 * first, each followed like the line itself; and what goes on past its ends.
 *
 * One that crosses is told as two. Branches shorter than 14 points of the window, and those that keep near the line,
 * are not seen. Accuracy on made pictures: docs/method.md.
 */
export function branchesOf(picture: Picture, traced: readonly Point[], line: Line = 'dark'): Branch[] {
  const trunk = tracedAs(picture, line, traced)
  const { path } = trunk
  const [xs, ys] = [path.map(([x]) => x), path.map(([, y]) => y)]
  const room = Math.max(ROOM.least, ROOM.share * trunk.lengthPx)
  const { grey, corner, factor } = lineGrey(
    picture,
    line,
    [Math.min(...xs) - room, Math.min(...ys) - room, Math.max(...xs) + room, Math.max(...ys) + room],
    MOST_POINTS,
  )
  const field = ridge(grey, line)
  const inWindow = ([x, y]: Point): Point => [(x - corner[0]) * factor, (y - corner[1]) * factor]
  const inPicture = (cell: number): Point => [
    ((cell % field.wide) + 0.5) / factor + corner[0],
    (Math.floor(cell / field.wide) + 0.5) / factor + corner[1],
  ]
  const own = evenly(path.map(inWindow), 1)
  const onLine = own.map(([x, y]) => field.data[Math.floor(y) * field.wide + Math.floor(x)] ?? 0)
  const least = AS_CLEAR * quantile(onLine, 0.5)
  if (!(least > 0)) return []
  const spread = new Spread(
    Uint8Array.from(field.data, value => (value > least ? 1 : 0)),
    field.wide,
  )
  spread.from(near(field, own, OWN))
  const found: Branch[] = []
  for (let tries = 0; tries < 4 * MOST_BRANCHES && found.length < MOST_BRANCHES; tries++) {
    const tip = spread.farthest()
    if (tip < 0 || spread.steps[tip]! < SHORTEST) break
    const way = spread.wayTo(tip)
    const points = way.map(cell => inWindow(inPicture(cell)))
    spread.from(near(field, points, OWN))
    const start = inPicture(way[0]!)
    const lines = [path, ...found.map(branch => branch.path)].flat()
    const nearest = lines.reduce((best, point) => (gap(point, start) < gap(best, start) ? point : best))
    if (gap(nearest, start) > (2 * OWN) / factor) continue
    const away = Math.min(...path.map(point => gap(point, inPicture(tip))))
    const branch = tracedAlong(picture, line, field, points, { corner, factor }, nearest)
    const long = branch.lengthPx
    const straight = gap(branch.path[0]!, branch.path.at(-1)!)
    if (
      away < AWAY_SHARE * long ||
      long > MOST_WINDING * straight ||
      branch.seenShare < LEAST_SEEN ||
      branch.contrast < CONTRAST_SHARE * trunk.contrast
    )
      continue
    const atEnd = Math.min(gap(nearest, path[0]!), gap(nearest, path.at(-1)!)) < AT_END / factor
    found.push({ ...branch, from: atEnd ? 'end' : 'side' })
  }
  return found.sort((a, b) => b.lengthPx - a.lengthPx)
}
