import { NoAnswer, type Step } from '../ask/question'
import { ZERO_C_IN_K } from '../quantity/constants'

export interface DecayInput {
  volumeL: number
  startKPa: number
  endKPa: number
  seconds: number
  startC: number
  endC: number
  baroKPa: number
}
export interface Decay {
  sccm: number
  kPaMin: number
  holeUm: number
  storedJ: number
  working: Step[]
}

/** Standard state of the contract: 0 °C, 101.325 kPa. */
const STANDARD_K = ZERO_C_IN_K
export const STANDARD_KPA = 101.325
const GAMMA = 1.4
const AIR_GAS_J_KG_K = 287.05
const DISCHARGE = 0.6

/**
 * Mass flow of air through a sharp hole, kg/s per m²: choked above the critical ratio, else isentropic nozzle flow. Any
 * gas-dynamics text.
 */
function massFluxKgSM2(upstreamPa: number, downstreamPa: number, upstreamK: number): number {
  const ratio = Math.max(downstreamPa / upstreamPa, (2 / (GAMMA + 1)) ** (GAMMA / (GAMMA - 1)))
  const speed = ((2 * GAMMA) / (GAMMA - 1)) * (ratio ** (2 / GAMMA) - ratio ** ((GAMMA + 1) / GAMMA))
  return upstreamPa * Math.sqrt(Math.max(0, speed) / (AIR_GAS_J_KG_K * upstreamK))
}

/**
 * Leak from the fall of pressure in a closed part, put right for its temperature.
 *
 * Gas lost by the ideal gas law between the two states, over the time. The hole is the round sharp one (discharge 0.6)
 * that would pass it at the mean pressure. Stored energy by isentropic expansion to the barometer.
 * Source: ideal gas law; ASTM E2930 (pressure decay), from memory. Pressures are gauge. A gain counts as a negative
 * leak, with no hole.
 * @throws NoAnswer where a gauge pressure lies below vacuum
 */
export function leakDecay({ volumeL, startKPa, endKPa, seconds, startC, endC, baroKPa }: DecayInput): Decay {
  const [p1, p2] = [startKPa + baroKPa, endKPa + baroKPa]
  if (p1 <= 0 || p2 <= 0)
    throw new NoAnswer('a pressure this far below the barometer cannot be: check that the readings are gauge')
  const [t1, t2] = [startC + ZERO_C_IN_K, endC + ZERO_C_IN_K]
  const lostSccc = ((volumeL * 1000 * STANDARD_K) / STANDARD_KPA) * (p1 / t1 - p2 / t2)
  const sccm = (lostSccc / seconds) * 60
  const correctedEndKPa = (p2 * t1) / t2 - baroKPa
  const kPaMin = ((startKPa - correctedEndKPa) / seconds) * 60
  const meanPa = ((p1 + p2) / 2) * 1000
  const flux = massFluxKgSM2(Math.max(meanPa, baroKPa * 1000), Math.min(meanPa, baroKPa * 1000), (t1 + t2) / 2)
  const massKgS = ((sccm / 60) * 1e-6 * STANDARD_KPA * 1000) / (AIR_GAS_J_KG_K * STANDARD_K)
  const holeUm = sccm > 0 && flux > 0 ? Math.sqrt(((4 / Math.PI) * massKgS) / (flux * DISCHARGE)) * 1e6 : 0
  const storedJ = startKPa > 0 ? ((p1 * volumeL) / (GAMMA - 1)) * (1 - (baroKPa / p1) ** ((GAMMA - 1) / GAMMA)) : 0
  return {
    sccm,
    kPaMin,
    holeUm,
    storedJ,
    working: [
      {
        label: 'End pressure at the first temperature',
        formula: 'p₂ × T₁ ÷ T₂, absolute',
        value: correctedEndKPa,
        unit: 'kPa gauge',
        source: 'ideal gas law',
      },
      {
        label: 'Leak',
        formula: 'V × T₀/p₀ × (p₁/T₁ − p₂/T₂) ÷ time',
        value: sccm,
        unit: 'cm³/min at 0 °C',
        source: 'ideal gas law; ASTM E2930, from memory',
      },
      {
        label: 'Hole that would pass it',
        formula: 'nozzle flow at the mean pressure, discharge 0.6',
        value: holeUm,
        unit: 'µm',
        source: 'isentropic flow, any gas-dynamics text',
      },
      {
        label: 'Stored energy',
        formula: 'pV ÷ (γ − 1) × [1 − (p₀/p)^((γ − 1)/γ)]',
        value: storedJ,
        unit: 'J',
        source: 'isentropic expansion',
      },
    ],
  }
}
