import { z } from 'zod'
import { ZERO_C_IN_K } from '../../quantity/constants'
import { normalAt } from '../noise'
import type { StandIn } from './stand-in'
import { curveAt, curveSchema } from './thermocouple'

/** First and second radiation constants: W·µm⁴/m² and µm·K. CODATA, exact since 2019, rounded. */
const C1 = 3.741772e8
const C2 = 14387.77
/** The band a hand-held thermometer sees through, µm: common practice, no source. */
const BAND_UM = [8, 14] as const
const SLICES = 24

/** Emitted by a black body within the band, W/m²: Planck's law by Simpson's rule. */
export function bandRadianceWM2(temperatureC: number, [from, to]: readonly [number, number] = BAND_UM): number {
  const kelvin = temperatureC + ZERO_C_IN_K
  const planck = (um: number) => C1 / (um ** 5 * Math.expm1(C2 / (um * kelvin)))
  const step = (to - from) / SLICES
  let sum = planck(from) + planck(to)
  for (let n = 1; n < SLICES; n++) sum += planck(from + n * step) * (n % 2 ? 4 : 2)
  return (sum * step) / 3
}

/** The black body's temperature for what comes through the band, °C, by bisection between −100 and 1500. */
export function bandTemperatureC(radianceWM2: number): number {
  let [low, high] = [-100, 1500]
  for (let n = 0; n < 50; n++) {
    const middle = (low + high) / 2
    if (bandRadianceWM2(middle) < radianceWM2) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * What an infrared thermometer shows: the metal sends its own share and mirrors the surroundings; the instrument
 * believes the emissivity it is set to. Exact for grey surfaces in even surroundings; Planck's law.
 */
export function infraredShownC(partC: number, surface: number, set: number, roundC: number): number {
  const round = bandRadianceWM2(roundC)
  const seen = surface * bandRadianceWM2(partC) + (1 - surface) * round
  return bandTemperatureC(Math.max(1e-6, (seen - (1 - set) * round) / set))
}

const setup = z.object({
  curve: curveSchema,
  /**
   * Emissivity of the metal: bright about 0.1, blasted 0.3, a dot of matt paint 0.95. Incropera and DeWitt table A.11,
   * from memory.
   */
  emissivity: z.number().min(0.02).max(1).default(0.1),
  set: z.number().min(0.05).max(1).default(0.95),
  roundC: z.number().min(-50).max(200).default(20),
})

/**
 * How much the emissivity seen jumps about with the angle of a hand and with what the metal mirrors, as a share:
 * judgement.
 */
const JUMPS = 0.25
/** The hand's aim stays for about this long before it wanders elsewhere, s. */
const AIM_S = 0.4
const RESOLUTION_C = 0.1

/** An infrared thermometer in the hand: far too low on bright metal, and jumping about. */
export const infrared: StandIn<typeof setup> = {
  setup,
  start:
    ({ curve, emissivity, set, roundC }, seed, perSecond) =>
    n => {
      const s = n / perSecond
      const aim = normalAt(seed, Math.floor(s / AIM_S))
      const seen = Math.min(1, Math.max(0.01, emissivity * (1 + JUMPS * aim * (1 - emissivity))))
      return [Math.round(infraredShownC(curveAt(curve, s), seen, set, roundC) / RESOLUTION_C) * RESOLUTION_C]
    },
}
