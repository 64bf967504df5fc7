import type { Step } from '../ask/question'

export interface BalanceInput {
  radiusMm: number
  addedG?: number | undefined
  volumeMm3?: number | undefined
  densityGcm3?: number | undefined
  replacedDensityGcm3?: number | undefined
  atRadiusMm: number
}

/**
 * Unbalance that a repair puts on a turning part, and the mass that puts it right opposite.
 * Unbalance = mass × radius; where metal was replaced, only the difference of densities counts. Definition (ISO
 * 21940-1, from memory); exact.
 */
export function balance({ radiusMm, addedG, volumeMm3, densityGcm3, replacedDensityGcm3, atRadiusMm }: BalanceInput): {
  unbalanceGmm: number
  correctG: number
  working: Step[]
} {
  const massG = addedG ?? (volumeMm3! / 1000) * (densityGcm3! - (replacedDensityGcm3 ?? 0))
  const unbalanceGmm = massG * radiusMm
  const correctG = unbalanceGmm / atRadiusMm
  return {
    unbalanceGmm,
    correctG,
    working: [
      {
        label: 'Mass that counts',
        formula: addedG !== undefined ? 'as given' : 'volume × (new density − old)',
        value: massG,
        unit: 'g',
        source: 'mass balance',
      },
      { label: 'Unbalance', formula: `mass × ${radiusMm} mm`, value: unbalanceGmm, unit: 'g·mm', source: 'definition' },
      {
        label: 'To put opposite (or take off here, if negative)',
        formula: `÷ ${atRadiusMm} mm`,
        value: correctG,
        unit: 'g',
        source: 'definition',
      },
    ],
  }
}
