import { NoAnswer } from '../../ask/question'
import { quantile, sample, type Grey } from '../grey'
import type { Point } from '../point'

/** The picture seen along a thread's axis: `along` runs with it, `off` square to it, both px. */
export interface Strip {
  readonly from: Point
  readonly along: Point
  readonly off: Point
  readonly longPx: number
}

export function stripOf([from, to]: readonly [Point, Point]): Strip {
  const longPx = Math.hypot(to[0] - from[0], to[1] - from[1])
  const along: Point = [(to[0] - from[0]) / longPx, (to[1] - from[1]) / longPx]
  return { from, along, off: [-along[1], along[0]], longPx }
}

export const inStrip = (grey: Grey, { from, along, off }: Strip, t: number, d: number): number =>
  sample(grey, from[0] + t * along[0] + d * off[0], from[1] + t * along[1] + d * off[1])

/** One outer edge of what lies along the strip. */
export interface Edge {
  /** Distance outward from the strip's line at each whole px along it; NaN where none is found. */
  outPx: Float64Array
  /** How far the brightness takes to change over the edge, px: its middle value. */
  softPx: number
  /** Brightness outside and inside. */
  ground: number
  body: number
}

/** Least difference between ground and body, of 255. */
const LEAST_CONTRAST = 25
/** How far out an edge is looked for, as a share of the strip's length, and at least, px. */
const LOOK = { share: 1.5, least: 40 }
/** Bands either side of the edge's mean place, as shares of its distance from the axis, where levels are read. */
const BANDS = { outside: [0.2, 0.45], inside: [0.3, 0.6] } as const

/** How far the strip can go out to one side before it leaves the picture. */
function roomOn(grey: Grey, { from, along, off, longPx }: Strip, side: 1 | -1): number {
  let room = Math.max(LOOK.least, LOOK.share * longPx)
  for (const t of [0, longPx / 2, longPx])
    for (const k of [0, 1] as const) {
      const [at, step, most] = [from[k] + t * along[k], side * off[k], k === 0 ? grey.wide : grey.high]
      if (Math.abs(step) > 1e-9) room = Math.min(room, Math.max(0, (step > 0 ? most - at : at) / Math.abs(step)))
    }
  return room
}

/** Where the mean brightness across the strip changes most, out from the axis; null where it hardly changes. */
function meanEdge(grey: Grey, strip: Strip, side: 1 | -1, room: number): { at: number; sign: 1 | -1 } | null {
  const steps = Math.floor(room)
  const mean = new Float64Array(steps)
  const columns = Math.min(200, Math.floor(strip.longPx))
  for (let d = 0; d < steps; d++) {
    let sum = 0
    for (let n = 0; n < columns; n++) sum += inStrip(grey, strip, ((n + 0.5) * strip.longPx) / columns, side * d)
    mean[d] = sum / columns
  }
  // Levels further in and further out of each place, so that a broad ramp of teeth counts for as much as a sharp edge.
  const band = Math.max(3, Math.round(steps * 0.06))
  let best = { at: 0, step: 0 }
  const level = (a: number, b: number) => {
    let sum = 0
    for (let d = a; d < b; d++) sum += mean[d]!
    return sum / (b - a)
  }
  for (let d = 2 * band; d + 2 * band < steps; d++) {
    const step = level(d + band, d + 2 * band) - level(d - 2 * band, d - band)
    if (Math.abs(step) > Math.abs(best.step)) best = { at: d, step }
  }
  return Math.abs(best.step) < LEAST_CONTRAST ? null : { at: best.at, sign: best.step > 0 ? 1 : -1 }
}

/**
 * The outer edge on one side, column by column: where the brightness, coming from outside, first passes half way from
 * the ground's to the body's, between pixels.
 * @returns null where nothing stands off its ground on that side
 */
export function edgeOn(grey: Grey, strip: Strip, side: 1 | -1): Edge | null {
  const room = roomOn(grey, strip, side)
  if (room < 8) return null
  const mean = meanEdge(grey, strip, side, room)
  if (!mean) return null
  const columns = Math.floor(strip.longPx)
  const band = (from: number, to: number) => {
    const values: number[] = []
    const columnStep = Math.max(1, Math.floor(columns / 100))
    for (let t = 0; t < columns; t += columnStep)
      for (let k = 0; k <= 8; k++) values.push(inStrip(grey, strip, t, side * (from + ((to - from) * k) / 8)))
    return quantile(values, 0.5)
  }
  const outer = Math.min(room - 1, mean.at * (1 + BANDS.outside[1]) + 4)
  const ground = band(Math.min(outer - 1, mean.at * (1 + BANDS.outside[0]) + 2), outer)
  const body = band(Math.max(0, mean.at * (1 - BANDS.inside[1])), Math.max(1, mean.at * (1 - BANDS.inside[0])))
  if (Math.abs(ground - body) < LEAST_CONTRAST) return null
  const half = (ground + body) / 2
  const toBody = body > ground ? 1 : -1
  const outPx = new Float64Array(columns).fill(Number.NaN)
  const soft: number[] = []
  for (let t = 0; t < columns; t++) {
    const at = (d: number) => toBody * (inStrip(grey, strip, t + 0.5, side * d) - half)
    for (let d = outer; d >= 1; d--) {
      const [here, next] = [at(d), at(d - 1)]
      // It has to stay beyond: one pixel of noise is no edge.
      if (here <= 0 && next > 0 && at(d - 2) > 0) {
        outPx[t] = d - here / (here - next)
        const slope = Math.abs(at(outPx[t]! - 0.75) - at(outPx[t]! + 0.75)) / 1.5
        soft.push(Math.abs(ground - body) / Math.max(1e-6, slope))
        break
      }
    }
  }
  const found = outPx.reduce((count, value) => count + (Number.isNaN(value) ? 0 : 1), 0)
  return found < 0.6 * columns ? null : { outPx, softPx: quantile(soft, 0.25), ground, body }
}

/** @throws NoAnswer where the two ends of the axis are too near to one another to hold a thread */
export function guardAxis([from, to]: readonly [Point, Point]): void {
  if (Math.hypot(to[0] - from[0], to[1] - from[1]) < 24)
    throw new NoAnswer('the axis is too short: draw it along several turns of the thread')
}
