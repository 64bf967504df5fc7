import type { Alloy } from '../../metal/alloys.table'
import { conductivityWmK } from '../../metal/conductivity'

/** Heat of melting of aluminium and its alloys, J/kg, and heat of the melt, J/(kg·K): CRC Handbook, from memory. */
const LATENT_JKG = 390_000
const LIQUID_JKGK = 1080
/** Enthalpy counts from here, °C. */
export const ZERO_C = 20
/** An alloy that melts at one temperature is given this span, K, so that its share of melt is told. */
const LEAST_SPAN_K = 0.5

/** How a metal takes up heat: enthalpy per volume over 20 °C, J/mm³, to temperature and share of melt. */
export interface Melt {
  densityGmm3: number
  /** J/(mm³·K), solid and liquid. */
  solidJ: number
  liquidJ: number
  solidusC: number
  liquidusC: number
  /** Enthalpy where it begins to melt and where it is all molten, J/mm³. */
  beginsJ: number
  endsJ: number
  /** W/(mm·K); the melt is stirred by the arc, so that it is taken to carry heat as well as the solid. Judgement. */
  conducts: number
}

export function meltOf(alloy: Alloy): Melt {
  const densityGmm3 = alloy.densityGcm3 / 1000
  const solidJ = (densityGmm3 * alloy.specificHeatJkgK) / 1000
  const liquidusC = Math.max(alloy.liquidusC, alloy.solidusC + LEAST_SPAN_K)
  const beginsJ = solidJ * (alloy.solidusC - ZERO_C)
  return {
    densityGmm3,
    solidJ,
    liquidJ: (densityGmm3 * LIQUID_JKGK) / 1000,
    solidusC: alloy.solidusC,
    liquidusC,
    beginsJ,
    endsJ: beginsJ + (densityGmm3 * LATENT_JKG) / 1000 + solidJ * (liquidusC - alloy.solidusC),
    conducts: conductivityWmK(alloy) / 1000,
  }
}

export function temperatureOf(melt: Melt, enthalpyJ: number): number {
  if (enthalpyJ <= melt.beginsJ) return ZERO_C + enthalpyJ / melt.solidJ
  if (enthalpyJ >= melt.endsJ) return melt.liquidusC + (enthalpyJ - melt.endsJ) / melt.liquidJ
  const share = (enthalpyJ - melt.beginsJ) / (melt.endsJ - melt.beginsJ)
  return melt.solidusC + share * (melt.liquidusC - melt.solidusC)
}
export const meltedShare = (melt: Melt, enthalpyJ: number): number =>
  Math.min(1, Math.max(0, (enthalpyJ - melt.beginsJ) / (melt.endsJ - melt.beginsJ)))
export const enthalpyAt = (melt: Melt, temperatureC: number): number => melt.solidJ * (temperatureC - ZERO_C)
