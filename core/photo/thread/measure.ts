import { NoAnswer } from '../../ask/question'
import { quantile, type Grey } from '../grey'
import type { Point } from '../point'
import { edgeOn, guardAxis, stripOf, type Edge, type Strip } from './edges'
import { periodOf, type Period } from './pitch'

export interface ThreadSeen {
  pitchMm: number
  /** One standard deviation; the scale's own error is not in it. */
  uncertaintyMm: number
  /** Over the crests; null where only one side is seen. */
  majorMm: number | null
  /** What the edges' softness takes off narrow crests. */
  majorUncertaintyMm: number | null
  flankDeg: number | null
  flankUncertaintyDeg: number | null
  turns: number
  depthMm: number
  /** Included angle between the two sides. */
  taperDeg: number | null
  /** How soft the edge is, as a share of the pitch. */
  softShare: number
  sides: 1 | 2
}

/** What the picture must hold for its pitch to be sure. */
const LEAST = { explained: 0.7, turns: 3, pitchPx: 4.5 }
const MOST = { softShare: 0.62, unlike: 0.01, depthShare: 0.95, offHalf: 0.2 }
/** A thread shows 0.61 of its pitch in depth (0.64 at 55°, 0.5 trapezoidal); seen aslant its grooves fill up. */
const LEAST_DEPTH_SHARE = 0.36
/** Flanks are fitted between these shares of the depth, and only where they are long enough, px. */
const FLANK = { from: 0.25, to: 0.75, leastPitchPx: 14 }
/**
 * An axis a few degrees out of the picture's plane can't be seen and shortens the pitch by up to `unseen` (3°); further
 * out its grooves begin to fill up, and the pitch is unsure by a share of what is missing (made pictures, to 10°).
 */
const ASLANT = { unseen: 0.0014, depthShare: 0.6, bySoft: 0.12, byShallow: 0.3 }
/** Part of the strip that counts as thread: its local depth is at least this share of the greatest. */
const LOCAL_SHARE = 0.45
/** A crest flat of an eighth of the pitch loses about this share of the edge's softness (made pictures). */
const CREST_SHARE = 0.25
const BINS_PER_PERIOD = 64
const LOOK_AGAIN = 3

interface Side {
  edge: Edge
  t: Float64Array
  y: Float64Array
  period: Period
}

/** Straight line through points: its slope and its height at zero. */
function line(t: ArrayLike<number>, y: ArrayLike<number>): { slope: number; at: number } {
  const n = t.length
  let [st, sy, stt, sty] = [0, 0, 0, 0]
  for (let i = 0; i < n; i++) {
    st += t[i]!
    sy += y[i]!
    stt += t[i]! * t[i]!
    sty += t[i]! * y[i]!
  }
  const slope = (n * sty - st * sy) / (n * stt - st * st || 1)
  return { slope, at: (sy - slope * st) / n }
}

/** The stretch of the edge that is thread: where it goes in and out by nearly as much as it does anywhere. */
function threaded(edge: Edge, window: number): { t: Float64Array; y: Float64Array } {
  const { outPx } = edge
  const depth = Float64Array.from(outPx, (_, i) => {
    const part = outPx.subarray(Math.max(0, i - window), i + window + 1).filter(value => !Number.isNaN(value))
    return part.length < window ? 0 : quantile(part, 0.95) - quantile(part, 0.05)
  })
  const enough = LOCAL_SHARE * quantile(depth, 0.9)
  let [best, start] = [{ from: 0, to: 0 }, -1]
  for (let i = 0; i <= depth.length; i++) {
    if (i < depth.length && depth[i]! >= enough) {
      if (start < 0) start = i
    } else if (start >= 0) {
      if (i - start > best.to - best.from) best = { from: start, to: i }
      start = -1
    }
  }
  const kept = Array.from({ length: best.to - best.from }, (_, n) => best.from + n).filter(
    i => !Number.isNaN(outPx[i]!),
  )
  return { t: Float64Array.from(kept, i => i + 0.5), y: Float64Array.from(kept, i => outPx[i]!) }
}

function sideOf(grey: Grey, strip: Strip, side: 1 | -1): Side | null {
  const edge = edgeOn(grey, strip, side)
  if (!edge) return null
  const known = [...edge.outPx.keys()].filter(i => !Number.isNaN(edge.outPx[i]!))
  const first = periodOf(
    Float64Array.from(known, i => i + 0.5),
    Float64Array.from(known, i => edge.outPx[i]!),
  )
  if (!first) return null
  const { t, y } = threaded(edge, Math.ceil(first.period * 0.75))
  const period = periodOf(t, y)
  return period && { edge, t, y, period }
}

/** The strip turned and moved so that it runs down the middle of the two sides, or along the one. */
function straightened(strip: Strip, sides: readonly { side: 1 | -1; seen: Side }[]): Strip {
  const lines = sides.map(({ side, seen }) => {
    const { slope, at } = line(seen.t, seen.y)
    return { slope: side * slope, at: side * at }
  })
  const [slope, at] = [
    lines.reduce((sum, each) => sum + each.slope, 0) / lines.length,
    lines.length === 2 ? lines.reduce((sum, each) => sum + each.at, 0) / 2 : 0,
  ]
  const { from, along, off, longPx } = strip
  const place = (t: number): Point => [
    from[0] + t * along[0] + (at + slope * t) * off[0],
    from[1] + t * along[1] + (at + slope * t) * off[1],
  ]
  return stripOf([place(0), place(longPx)])
}

/** The mean profile over one turn: middle height in each part of the period; parts that hold nothing are left out. */
function folded({ t, y, period }: Side): Float64Array {
  const { slope, at } = line(t, y)
  const bins = Math.min(BINS_PER_PERIOD, Math.max(12, Math.round(2 * period.period)))
  const lists = Array.from({ length: bins }, (): number[] => [])
  const mean = at + slope * ((t[0]! + t.at(-1)!) / 2)
  for (let i = 0; i < t.length; i++) {
    const turn = (t[i]! - period.phase) / period.period
    lists[Math.floor((turn - Math.floor(turn)) * bins) % bins]!.push(y[i]! - slope * t[i]! - at + mean)
  }
  return Float64Array.from(lists, list => (list.length ? quantile(list, 0.5) : Number.NaN))
}

/** Included angle of the flanks of a mean profile whose crest stands at its start. */
function flanks(profile: Float64Array, periodPx: number): { deg: number; error: number } | null {
  const known = profile.filter(value => !Number.isNaN(value))
  const [root, crest] = [quantile(known, 0.03), quantile(known, 0.97)]
  const [low, high] = [root + FLANK.from * (crest - root), root + FLANK.to * (crest - root)]
  const bins = profile.length
  const angles: number[] = []
  const errors: number[] = []
  for (const side of [1, -1]) {
    const [out, along]: [number[], number[]] = [[], []]
    for (let k = 0; k < bins / 2; k++) {
      const value = profile[(side * k + (side < 0 ? bins - 1 : 0) + bins) % bins]!
      if (value >= low && value <= high) {
        out.push(value)
        along.push(((k + 0.5) * periodPx) / bins)
      }
    }
    if (out.length < 4) return null
    const { slope, at } = line(out, along)
    const left = Math.sqrt(
      out.reduce((sum, value, n) => sum + (along[n]! - at - slope * value) ** 2, 0) / Math.max(1, out.length - 2),
    )
    const middle = out.reduce((sum, value) => sum + value, 0) / out.length
    const spread = Math.sqrt(out.reduce((sum, value) => sum + (value - middle) ** 2, 0))
    angles.push((Math.atan(Math.abs(slope)) * 180) / Math.PI)
    errors.push((((left / spread) * 180) / Math.PI) * Math.cos(Math.atan(slope)) ** 2)
  }
  return { deg: angles[0]! + angles[1]!, error: Math.hypot(errors[0]!, errors[1]!, 0.5) }
}

function refuse(sides: readonly Side[], mean: number): void {
  if (mean < LEAST.pitchPx)
    throw new NoAnswer(`a turn is only ${mean.toFixed(1)} px long: take the picture from nearer`)
  const soft = Math.max(...sides.map(({ edge }) => edge.softPx)) / mean
  if (soft > MOST.softShare)
    throw new NoAnswer('the thread is out of focus: its edge is softer than its flanks are long. Hold still, go nearer')
  const explained = Math.min(...sides.map(({ period }) => period.explained))
  if (explained < LEAST.explained)
    throw new NoAnswer(
      `no even pitch: waves explain only ${Math.round(100 * explained)} % of the edge. Clean it, or lay it square to the camera`,
    )
  const [one, other] = sides
  if (one && other && Math.abs(one.period.period - other.period.period) > MOST.unlike * mean)
    throw new NoAnswer('the two sides show different pitches: the axis does not lie along the thread, or it is bent')
}

/**
 * A thread seen from the side: its edges against the ground, the pitch from waves fitted to them, the diameter over
 * the crests, and the flanks' included angle from the mean profile of one turn.
 *
 * Wants three turns or more, at least 4.5 px to a turn, an even ground. The silhouette of a screw's groove is a little
 * narrower than its section along the axis: below 0.5° at the flanks of standard threads.
 * Accuracy on made pictures: docs/method.md. @throws NoAnswer where it is out of focus, seen aslant, uneven, or does
 * not stand off its ground
 */
export function measureThread(grey: Grey, axis: readonly [Point, Point], mmPerPx: number): ThreadSeen {
  guardAxis(axis)
  let strip = stripOf(axis)
  let sides: { side: 1 | -1; seen: Side }[] = []
  for (let look = 0; look < LOOK_AGAIN; look++) {
    sides = ([1, -1] as const).flatMap(side => {
      const seen = sideOf(grey, strip, side)
      return seen ? [{ side, seen }] : []
    })
    if (!sides.length)
      throw new NoAnswer(
        'nothing with turns stands off its ground along this axis: lay the thread on a plain, even ground',
      )
    // A side that shows nothing of the other's turns is a shadow or the end of the ground.
    if (sides.length === 2) {
      const best = Math.max(...sides.map(({ seen }) => seen.period.explained))
      sides = sides.filter(({ seen }) => best < LEAST.explained || seen.period.explained > best / 2)
    }
    if (look + 1 < LOOK_AGAIN) strip = straightened(strip, sides)
  }
  const seen = sides.map(each => each.seen)
  const weights = seen.map(({ period }) => 1 / Math.max(1e-6, period.error) ** 2)
  const mean =
    seen.reduce((sum, { period }, n) => sum + weights[n]! * period.period, 0) /
    weights.reduce((sum, weight) => sum + weight, 0)
  refuse(seen, mean)
  const profiles = seen.map(folded)
  const [crests, roots] = [0.97, 0.03].map(share =>
    profiles.map(profile =>
      quantile(
        profile.filter(value => !Number.isNaN(value)),
        share,
      ),
    ),
  ) as [number[], number[]]
  const depths = crests.map((crest, n) => crest - roots[n]!)
  const depth = depths.reduce((sum, value) => sum + value, 0) / depths.length
  if (depth < LEAST_DEPTH_SHARE * mean)
    throw new NoAnswer(
      `the grooves look only ${(depth / mean).toFixed(2)} of the pitch deep: the thread is seen aslant (its turns as ovals), is worn out, or is out of focus. Lay it square to the camera`,
    )
  if (depth > MOST.depthShare * mean)
    throw new NoAnswer('the grooves are deeper than the pitch is long: this is no thread, or the axis lies across it')
  const turns = Math.min(...seen.map(({ t }) => (t.at(-1)! - t[0]!) / mean))
  if (turns < LEAST.turns) throw new NoAnswer(`only ${turns.toFixed(1)} turns are seen: three at least`)
  const apart = seen.length === 2 ? Math.abs(seen[0]!.period.period - seen[1]!.period.period) / 2 : 0
  const statistical = 1 / Math.sqrt(weights.reduce((sum, weight) => sum + weight, 0))
  const softShare = Math.max(...seen.map(({ edge }) => edge.softPx)) / mean
  const shallow = Math.max(0, ASLANT.depthShare - ASLANT.bySoft * softShare - depth / mean)
  const aslant = Math.hypot(ASLANT.unseen, ASLANT.byShallow * shallow) * mean
  const angles = mean >= FLANK.leastPitchPx ? profiles.flatMap(profile => flanks(profile, mean) ?? []) : []
  const tapers = seen.map(({ t, y }) => line(t, y).slope)
  return {
    pitchMm: mean * mmPerPx,
    uncertaintyMm: Math.hypot(statistical, apart, aslant) * mmPerPx,
    majorMm: seen.length === 2 ? (crests[0]! + crests[1]!) * mmPerPx : null,
    majorUncertaintyMm:
      seen.length === 2 ? CREST_SHARE * Math.max(...seen.map(({ edge }) => edge.softPx)) * mmPerPx : null,
    flankDeg: angles.length ? angles.reduce((sum, { deg }) => sum + deg, 0) / angles.length : null,
    flankUncertaintyDeg: angles.length
      ? Math.max(
          ...angles.map(({ error }) => error),
          angles.length === 2 ? Math.abs(angles[0]!.deg - angles[1]!.deg) / 2 : 0,
        )
      : null,
    turns,
    depthMm: depth * mmPerPx,
    taperDeg: seen.length === 2 ? ((Math.atan(tapers[0]!) + Math.atan(tapers[1]!)) * 180) / Math.PI : null,
    softShare,
    sides: seen.length === 2 ? 2 : 1,
  }
}
