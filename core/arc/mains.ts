import { arcOf, type ArcProcess } from '../process/registry'
import { dutyAt } from './duty'

/** Of what a machine draws, the share that reaches the arc, and its power factor. Common practice, no source. */
export const MACHINE_EFFICIENCY = 0.75
const POWER_FACTOR = 0.75

export interface Supply {
  process: ArcProcess
  ratedA: number
  ratedPct: number
  supplyV: number
  breakerA: number
}

/**
 * What a machine draws from the mains over its duty at a current, A: the effective current that a breaker and a lead
 * are chosen by, I₁ √(duty). Source: IEC 60974-1 (I1eff, no-load current left out), from memory. Accuracy: a fifth.
 */
export function mainsA({ process, ratedA, ratedPct, supplyV }: Omit<Supply, 'breakerA'>, a: number): number {
  const [noLoadV, perA] = arcOf(process).loadV
  const drawnA = (a * (noLoadV + perA * a)) / (MACHINE_EFFICIENCY * POWER_FACTOR * supplyV)
  return drawnA * Math.sqrt(dutyAt(ratedA, ratedPct, a, 10).dutyPct / 100)
}

/** The most welding current that a breaker bears, A: `mainsA` turned about, by bisection. */
export function mainsLimitA(supply: Supply): number {
  let [low, high] = [0, 2000]
  if (mainsA(supply, high) <= supply.breakerA) return Infinity
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (mainsA(supply, middle) <= supply.breakerA) low = middle
    else high = middle
  }
  return low
}
