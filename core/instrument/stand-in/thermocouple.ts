import { z } from 'zod'
import { normalAt } from '../noise'
import type { StandIn } from './stand-in'

/** The part's temperature over time, from the heat model of its job. */
export const curveSchema = z
  .array(z.object({ s: z.number().min(0).max(1e6), c: z.number().min(-100).max(1500) }))
  .min(1)
  .max(2000)
  .refine(points => points.every((at, n) => n === 0 || at.s > points[n - 1]!.s), { error: 'the times must rise' })

const setup = z.object({
  curve: curveSchema,
  /**
   * How the bead and its contact lag behind the metal, s. A bare bead pressed on takes about half a second: common
   * practice, no source.
   */
  lagS: z.number().min(0.01).max(60).default(0.6),
})

/**
 * Tolerance of type K, class 2: 2.5 °C or 0.75 %, whichever is more. IEC 60584-1, from memory; taken as two standard
 * deviations.
 */
const toleranceC = (c: number) => Math.max(2.5, 0.0075 * Math.abs(c))
const NOISE_C = 0.05
const RESOLUTION_C = 0.1

/** The curve at a time: straight between its points, level beyond them. */
export function curveAt(curve: readonly { s: number; c: number }[], s: number): number {
  const after = curve.findIndex(point => point.s >= s)
  if (after === 0) return curve[0]!.c
  if (after < 0) return curve.at(-1)!.c
  const [a, b] = [curve[after - 1]!, curve[after]!]
  return a.c + ((b.c - a.c) * (s - a.s)) / (b.s - a.s)
}

/**
 * A type K thermocouple on the part: it follows the heat model's curve as a first-order lag (exact for a straight piece
 * of curve), with an error of its own within the class and a little noise.
 */
export const thermocouple: StandIn<typeof setup> = {
  setup,
  start({ curve, lagS }, seed, perSecond) {
    const bias = normalAt(seed, -1) / 2
    const stepS = 1 / perSecond
    const decay = Math.exp(-stepS / lagS)
    let bead = curve[0]!.c
    return n => {
      if (n > 0) {
        const [from, to] = [curveAt(curve, (n - 1) * stepS), curveAt(curve, n * stepS)]
        const slope = (to - from) / stepS
        // dT/dt = (part − T) ÷ lag for a part that goes along a straight line: the bead trails it by slope × lag.
        bead = to - slope * lagS + (bead - from + slope * lagS) * decay
      }
      const read = bead + bias * toleranceC(bead) + NOISE_C * normalAt(seed, n)
      return [Math.round(read / RESOLUTION_C) * RESOLUTION_C]
    }
  },
}
