import { z } from 'zod'
import { evenAt, normalAt } from '../noise'
import type { StandIn } from './stand-in'

const setup = z.object({
  setA: z.number().min(1).max(2000),
  gun: z.enum(['tig', 'mig']).default('tig'),
  /** Welds so long, then rests so long, over and over. */
  arcS: z.number().min(0.1).max(3600).default(25),
  restS: z.number().min(0).max(3600).default(10),
})

/** Conventional load voltage: 10 V + 0.04 V/A for TIG, 14 V + 0.05 V/A for MIG. IEC 60974-1, from memory. */
const LOAD_V = { tig: [10, 0.04], mig: [14, 0.05] } as const
/** The arc comes up in about this time, s; the pedal hunts a little; the hand's arc length wanders. Judgement. */
const RISES_S = 0.15
const PEDAL_SHARE = 0.015
const LENGTH_V = 0.5

/**
 * A machine's own readout: nothing between arcs; current and voltage while it burns, after the conventional load line.
 */
export const arc: StandIn<typeof setup> = {
  setup,
  start({ setA, gun, arcS, restS }, seed, perSecond) {
    const [base, slope] = LOAD_V[gun]
    return n => {
      const within = (n / perSecond) % (arcS + restS)
      if (within >= arcS) return [0, 0]
      const pedal = 1 + PEDAL_SHARE * normalAt(seed, Math.floor(n / perSecond))
      const a = setA * (1 - Math.exp(-within / RISES_S)) * pedal
      const v = base + slope * a + LENGTH_V * (2 * evenAt(seed, n + 500_000_000) - 1)
      return [Math.round(a), Math.round(v * 10) / 10]
    }
  },
}
