import { z } from 'zod'
import { normalAt } from '../noise'
import type { StandIn } from './stand-in'

const setup = z.object({
  massG: z.number().min(0).max(1e6),
  /** Hung in water from the pan: the scale then bears the part less the water it pushes away. */
  inWater: z.boolean().default(false),
  densityGcm3: z.number().min(0.5).max(25).default(2.7),
  resolutionG: z.number().min(0.001).max(1000).default(1),
})

/** A pan on its spring: radians a second, share of critical damping; more damping under water. Judgement. */
const SWING_RAD_S = 9
const DAMPING = 0.3
const DAMPING_IN_WATER = 0.7
const WATER_GCM3 = 0.998

/** A scale just loaded: the pan swings and settles (second-order step response), then stands with a little draught. */
export const scale: StandIn<typeof setup> = {
  setup,
  start({ massG, inWater, densityGcm3, resolutionG }, seed, perSecond) {
    const bornG = inWater ? massG * (1 - WATER_GCM3 / densityGcm3) : massG
    const damping = inWater ? DAMPING_IN_WATER : DAMPING
    const rate = SWING_RAD_S * Math.sqrt(1 - damping ** 2)
    return n => {
      const s = n / perSecond
      const swing =
        Math.exp(-damping * SWING_RAD_S * s) *
        (Math.cos(rate * s) + ((damping * SWING_RAD_S) / rate) * Math.sin(rate * s))
      return [Math.round((bornG * (1 - swing) + 0.3 * resolutionG * normalAt(seed, n)) / resolutionG) * resolutionG]
    }
  },
}
