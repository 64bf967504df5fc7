import type { Step } from '../ask/question'
import { NoAnswer } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { mechanicalOf } from '../metal/mechanical.table'
import { reachOfRise } from './squeezed'

/**
 * Share of a bead's own thermal shrinkage that stays as a pull along it. Source: Okerblom, The Calculations of
 * Deformations of Welded Metal Structures (1958): 0.335 q α ÷ (ρ c) of longitudinal shrinkage volume; White, Leggatt
 * and Dwight (1980) measured the same as a tendon force of about 0.2 q for steel. From memory.
 */
const ALONG_SHARE = 0.335
/** Hottest at a distance y from a line source through a plate is q ÷ (ρ c w) ÷ y times this. Source: Rosenthal 1941. */
const PEAK_SHARE = Math.sqrt(1 / (2 * Math.PI * Math.E))
/** A zone that was squeezed past yield in heating and again in cooling was this many yields hot. Source: as above. */
const YIELDS = 2

export interface BeadGiven {
  alloy: Alloy
  /** Net heat into the metal along the bead, J/mm. */
  heatJMm: number
  wallMm: number
  preheatC: number
  /** What enters the metal, W, where it is known: the zone is then that of an arc at its own speed. */
  powerW?: number | undefined
}
export interface BeadShrinks {
  /** Force that the cooled bead pulls with along itself, N. */
  tendonN: number
  /** What a plate free to move draws in across the bead, mm. */
  acrossMm: number
  angularDeg: number
  strainAlong: number
  strainAcross: number
  widthMm: number
  depthMm: number
  working: Step[]
}

const reachedBy = (heatJMm: number, heatCapacity: number, thickMm: number, riseC: number) =>
  (PEAK_SHARE * heatJMm) / (heatCapacity * thickMm * riseC)

/**
 * Shrinkage of one bead along, across and about itself, and the zone that carries it as inherent strain.
 *
 * Tendon force 0.335 E α q ÷ (ρ c), free transverse shrinkage α q ÷ (ρ c w), both lessened by preheat as the span that
 * is left up to melting; the zone is where it got twice the yield strain hot, as deep as a thick wall lets that heat
 * reach; the angle is that of a plate whose skin alone shrinks. For beads much longer than their zone, small strains.
 * Sources: Okerblom 1958; White, Leggatt and Dwight 1980; Ueda and Murakawa for strains in a zone: from memory. The
 * lessening by preheat is judgement. Accuracy: published measurements lie within about a third either way.
 * @throws NoAnswer where nothing is known of the alloy's stiffness, or the preheat is past its solidus
 */
export function beadShrinks({ alloy, heatJMm, wallMm, preheatC, powerW }: BeadGiven): BeadShrinks {
  if (preheatC >= alloy.solidusC)
    throw new NoAnswer(`${alloy.name} begins to melt at ${alloy.solidusC} °C: the preheat must lie below`)
  const { youngMPa, expansionPerK, proofMPa } = mechanicalOf(alloy)
  const heatCapacity = alloy.densityGcm3 * 1e-3 * alloy.specificHeatJkgK * 1e-3
  const leftShare = (alloy.solidusC - preheatC) / (alloy.solidusC - 20)
  const shrinkMm2 = (leftShare * expansionPerK * heatJMm) / heatCapacity
  const tendonN = ALONG_SHARE * youngMPa * shrinkMm2
  const acrossMm = shrinkMm2 / wallMm
  const riseC = (YIELDS * proofMPa) / youngMPa / expansionPerK
  // In a thick wall the heat spreads round in a half circle: πr²/2 of it takes the place of 2y times the wall.
  const roundMm = Math.sqrt((2 * heatJMm) / (Math.PI * Math.E * heatCapacity * riseC))
  const depthMm = Math.min(wallMm, roundMm)
  const fastMm = depthMm < wallMm ? roundMm : reachedBy(heatJMm, heatCapacity, wallMm, riseC)
  const halfMm = powerW ? Math.min(fastMm, reachOfRise(alloy, powerW, powerW / heatJMm, wallMm, riseC)) : fastMm
  const widthMm = 2 * Math.max(halfMm, depthMm / 2)
  const strainAlong = -tendonN / (youngMPa * widthMm * depthMm)
  const strainAcross = (-acrossMm * wallMm) / (widthMm * depthMm)
  const angle = (6 * -strainAcross * widthMm * depthMm * (wallMm - depthMm)) / wallMm ** 3
  const step = (label: string, formula: string, value: number, unit: string, source: string): Step => ({
    label,
    formula,
    value,
    unit,
    source,
  })
  return {
    tendonN,
    acrossMm,
    angularDeg: (angle * 180) / Math.PI,
    strainAlong,
    strainAcross,
    widthMm,
    depthMm,
    working: [
      step('Shrinkage volume', 'α q ÷ (ρ c), lessened by preheat', shrinkMm2, 'mm²', 'Okerblom 1958, from memory'),
      step('Tendon force', '0.335 E × that', tendonN, 'N', 'Okerblom; White, Leggatt and Dwight 1980, from memory'),
      step('Across', 'that ÷ wall', acrossMm, 'mm', 'Okerblom 1958, from memory'),
      step('Zone across', 'where it got 2 σy ÷ (E α) hot', widthMm, 'mm', 'Rosenthal 1941'),
      step('Zone deep', 'as far in as that heat reaches', depthMm, 'mm', 'the same, in a half round'),
      step(
        'Angle',
        '6 ε w d (t − d) ÷ t³',
        (angle * 180) / Math.PI,
        'deg',
        'a plate whose skin shrinks: Timoshenko 1925',
      ),
    ],
  }
}
