import { z } from 'zod'
import { STANDARD_KPA } from '../../leak/decay'
import { ZERO_C_IN_K } from '../../quantity/constants'
import { normalAt } from '../noise'
import type { StandIn } from './stand-in'

const setup = z.object({
  startKPa: z.number().min(-90).max(2000),
  volumeL: z.number().min(0.001).max(10_000),
  /** Gas lost at the start, cm³/min at 0 °C and one atmosphere; it falls off with the pressure. */
  leakSccm: z.number().min(0).max(1e6).default(0),
  startC: z.number().min(-40).max(100).default(20),
  /** Where the air in it settles: a part just blown up is warm and cools. */
  settlesC: z.number().min(-40).max(100).default(20),
  settlesInS: z.number().min(1).max(1e5).default(120),
  baroKPa: z.number().min(50).max(120).default(101.3),
})

const RESOLUTION_KPA = 0.01
const NOISE_KPA = 0.004

/**
 * A pressure gauge on a closed part: the gas leaks out in proportion to its gauge pressure (a narrow crack, laminar),
 * and its temperature settles. Ideal gas law; the amount of gas at each time in closed form.
 */
export const gauge: StandIn<typeof setup> = {
  setup,
  start({ startKPa, volumeL, leakSccm, startC, settlesC, settlesInS, baroKPa }, seed, perSecond) {
    // In cm³ at the standard state a kPa: what the volume holds for each kPa at the starting temperature.
    const holdsPerKPa = (((volumeL * 1000) / STANDARD_KPA) * ZERO_C_IN_K) / (startC + ZERO_C_IN_K)
    const decayPerS = startKPa > 0 ? leakSccm / 60 / (holdsPerKPa * startKPa) : 0
    return n => {
      const s = n / perSecond
      const absolute = baroKPa + startKPa * Math.exp(-decayPerS * s)
      const temperatureC = settlesC + (startC - settlesC) * Math.exp(-s / settlesInS)
      const read =
        (absolute * (temperatureC + ZERO_C_IN_K)) / (startC + ZERO_C_IN_K) - baroKPa + NOISE_KPA * normalAt(seed, n)
      return [Math.round(read / RESOLUTION_KPA) * RESOLUTION_KPA]
    }
  },
}
