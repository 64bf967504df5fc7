import type { Alloy } from './alloys.table'
import { mechanicalOf } from './mechanical.table'

/**
 * Yield beside a weld as welded, MPa, where the arc has taken the temper. Sources, from memory: wrought alloys, The
 * Aluminum Association, Aluminum Design Manual (welded tensile yield); castings sold hardened by heat, the same alloy
 * as cast, ASM Specialty Handbook Aluminum and Aluminum Alloys. What is not named has no temper to lose.
 */
const SOFTENED_MPA: Readonly<Record<string, number>> = {
  '1100': 24,
  '2014': 170,
  '2017': 170,
  '2024': 170,
  '2219': 180,
  '2618': 170,
  '3003': 35,
  '3004': 60,
  '4032': 110,
  '5005': 34,
  '5052': 65,
  '5083': 125,
  '5086': 95,
  '5154': 75,
  '5454': 85,
  '5456': 130,
  '6005A': 90,
  '6060': 55,
  '6061': 105,
  '6063': 55,
  '6082': 110,
  '7005': 165,
  '7020': 205,
  '7075': 200,
  '201': 200,
  '295': 110,
  '319': 125,
  '355': 85,
  '356': 125,
  A356: 85,
  '357': 90,
  A357: 90,
}

/** Yield of the zone beside a weld, MPa, never over the alloy's own. */
export function softenedMPa(alloy: Alloy): number {
  const { proofMPa } = mechanicalOf(alloy)
  return Math.min(proofMPa, SOFTENED_MPA[alloy.name] ?? proofMPa)
}

/** Yield of a bead and its zone, MPa: the softer of the weld metal and of what lies beside it. */
export const beadYieldMPa = (base: Alloy, filler: Alloy | null | undefined): number =>
  Math.min(softenedMPa(base), filler ? mechanicalOf(filler).proofMPa : Infinity)
