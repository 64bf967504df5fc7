import { NoAnswer } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { ZERO_C_IN_K } from '../quantity/constants'

/** Gas constant, J/(mol·K): exact in the 2019 SI, rounded. */
const GAS_J_MOLK = 8.314462618

/**
 * Dissolution of the hardening precipitates of a 6xxx alloy in T6: Myhr and Grong, Acta Metall. Mater. 39 (1991) 2693
 * and 2703, recalled from memory: all gone after 600 s at 375 °C; activation energies 30 kJ/mol (solvus) and 130 kJ/mol
 * (diffusion of magnesium); exponent ½.
 */
const REFERENCE_S = 600
const REFERENCE_K = 375 + ZERO_C_IN_K
const EXPONENT = 0.5
const ACTIVATION_J_MOL = 30_000 / EXPONENT + 130_000
/**
 * The spread of the relation over alloys and tempers, as a factor on time either way: judgement, from how far published
 * fits lie apart.
 */
const TIME_FACTOR = 3
/** Families hardened by magnesium silicide, for which the relation was made (6xxx) or stands in (Al-Si-Mg castings). */
export const HARDENED_BY_MG2SI: readonly string[] = ['wrought-6xxx', 'cast-al-si-mg']

export interface Softening {
  /** Share of the T6 hardening that is left, percent. */
  leftPct: number
  /** Least and most, as the relation spreads. */
  lowPct: number
  highPct: number
}

/** Time at a temperature after which the precipitates are gone, s. */
export function dissolutionS(temperatureC: number): number {
  return REFERENCE_S * Math.exp((ACTIVATION_J_MOL / GAS_J_MOLK) * (1 / (temperatureC + ZERO_C_IN_K) - 1 / REFERENCE_K))
}

/**
 * Share of the T6 hardening left after a temperature history, as a band.
 *
 * f = 1 − (∫ dt / t*(T))^½, the isokinetic form. Source: Myhr and Grong 1991, from memory. Valid from about 200 to 450
 * °C for minutes to hours; below that the loss it gives is small and over-ageing, which it does not know, governs over
 * days.
 * @throws NoAnswer for families hardened otherwise
 */
export function softening(
  alloy: Pick<Alloy, 'name' | 'family'>,
  times: readonly number[],
  temperaturesC: readonly number[],
): Softening {
  if (!HARDENED_BY_MG2SI.includes(alloy.family))
    throw new NoAnswer(`no relation here for how ${alloy.name} softens: it is not hardened by magnesium silicide`)
  let spent = 0
  for (let n = 1; n < times.length; n++)
    spent +=
      ((times[n]! - times[n - 1]!) * (1 / dissolutionS(temperaturesC[n - 1]!) + 1 / dissolutionS(temperaturesC[n]!))) /
      2
  const left = (factor: number) => 100 * Math.max(0, 1 - (spent * factor) ** EXPONENT)
  return { leftPct: left(1), lowPct: left(TIME_FACTOR), highPct: left(1 / TIME_FACTOR) }
}
