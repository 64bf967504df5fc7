import { NoAnswer, type Step } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { mechanicalOf, type Mechanical } from '../metal/mechanical.table'
import { COLD, SOFTENS_C, type Cold } from './cold.table'
import { gapClock, type GapClock } from './gap-clock'
import { pressFit, type PressFit } from './press'
import { gapMm, shrinkFit } from './shrink'
import { SLUG_OVER_THREAD, slugAcrossMm } from './slug-size'
import { weldGroove, type WeldGroove } from './weld-groove'

/** Interference over the diameter: 0.025 to 0.04 mm on 19 mm. Common practice, no source. */
const INTERFERENCE_SHARE = 0.0017
const LEAST_SHARE = 0.025 / 19
/** Yield over stress that a hub should keep: judgement. */
const SAFE_FACTOR = 1.5
/** Least wall of the boss round a slug, as a share of it: common practice, no source. */
const WALL_SHARE = 0.15
/** Stay off what lies beneath by this, mm: common practice, no source. */
const CLEAR_BENEATH_MM = 1
/**
 * Proof stress lost a kelvin over room temperature, briefly, as a share: straight line through 15 % at 150 °C for T6
 * castings, ASM Handbook vol. 2, from memory.
 */
const PROOF_LOST_PER_K = 0.0011
const ROOM_C = 20
const TURNING_TOLERANCE_MM = 0.005
const BORE_OVER_MM = 0.5
/** How much looser the other way of going in is that is told beside the one asked for, and at least, mm. */
const LOOSER_TIMES = 2.5
const LOOSER_LEAST_MM = 0.05

export interface SlugInput {
  threadMajorMm: number
  bossMm: number
  depthMm: number
  /** Face to what lies beneath; left out, nothing is near. */
  beneathMm?: number | undefined
  body: Alloy
  slug: Alloy
  slugMm?: number | undefined
  interferenceMm?: number | undefined
  clearanceMm: number
  cold: Cold
  hubC?: number | undefined
  serviceC: number
  chamferMm: number
  facedMm: number
}
export interface SlugPlan {
  slugMm: number
  turnToMm: number
  toleranceMm: number
  interferenceMm: number
  lengthMm: number
  boreDeepMm: number
  wallMm: number
  cold: PressFit
  /** The same fit at service heat, after both have grown and softened; null where the body has grown away from it. */
  hot: { interferenceMm: number; hubHoopMPa: number; yieldFactor: number; pushOutN: number } | null
  shrink: { hubC: number; gapAtMm: number; secondsToSeize: number }
  /** What each way of cooling the slug asks of the body. */
  ways: { cold: Cold; slugC: number; hubC: number; softens: boolean }[]
  clock: GapClock
  /** With more room going in: what the body must then be at, and how long there is. */
  looser: { clearanceMm: number; hubC: number; seizesS: number | null; softens: boolean }
  groove: WeldGroove
  reasons: string[]
  working: Step[]
}

const softened = (metal: Mechanical, c: number): Mechanical => ({
  ...metal,
  proofMPa: metal.proofMPa * Math.max(0.2, 1 - PROOF_LOST_PER_K * Math.max(0, c - ROOM_C)),
})

/**
 * A slug for a stripped boss: its size and interference from wall and alloy, stresses cold and at service heat, how to
 * get it in, how long there is, and the weld groove that facing leaves.
 *
 * `fit.press` (Lamé) and `fit.shrink` beneath; sizes common practice, each named in the working. Interference is taken
 * down to the trade's least where the wall would yield, and refused below that.
 * @throws NoAnswer where the boss has no room for a slug round this thread, or no depth over what lies beneath
 */
export function planSlug(input: SlugInput): SlugPlan {
  const { threadMajorMm, bossMm, depthMm, beneathMm, clearanceMm, serviceC } = input
  const [hub, metal] = [mechanicalOf(input.body), mechanicalOf(input.slug)]
  const slugMm = slugAcrossMm(threadMajorMm, input.slugMm)
  if (slugMm <= threadMajorMm)
    throw new NoAnswer(`a slug of ${slugMm} mm is no larger than its thread of ${threadMajorMm} mm`)
  const wallMm = (bossMm - slugMm) / 2
  if (wallMm <= 0) throw new NoAnswer(`a bore of ${slugMm} mm leaves no wall in a boss of ${bossMm} mm`)
  const deepest = beneathMm === undefined ? depthMm : Math.min(depthMm, beneathMm - CLEAR_BENEATH_MM)
  if (deepest <= 0) throw new NoAnswer(`${beneathMm} mm over what lies beneath leaves no depth for a slug`)
  const reasons: string[] = []
  if (wallMm < WALL_SHARE * slugMm)
    reasons.push(
      `the wall of ${wallMm.toFixed(1)} mm is thin for a slug of ${Number(slugMm.toPrecision(4))} mm: a smaller slug, or weld it solid`,
    )
  if (deepest < depthMm)
    reasons.push(`only ${deepest.toFixed(1)} mm deep: it stops ${CLEAR_BENEATH_MM} mm before what lies beneath`)
  const pressAt = (interferenceMm: number) =>
    pressFit({
      diameterMm: slugMm,
      interferenceMm,
      hubMm: bossMm,
      lengthMm: deepest,
      holeMm: 0,
      hub,
      slug: metal,
      friction: 0.2,
    })
  const usual = INTERFERENCE_SHARE * slugMm
  // Stress goes with interference, so the interference that keeps the factor follows from one reckoning.
  const bears = (usual * pressAt(usual).yieldFactor) / SAFE_FACTOR
  const interferenceMm = input.interferenceMm ?? Math.max(LEAST_SHARE * slugMm, Math.min(usual, bears))
  if (input.interferenceMm === undefined && bears < usual)
    reasons.push(
      `the wall bears ${(bears * 1000).toFixed(0)} µm of interference with room to spare: less is taken than usual`,
    )
  const cold = pressAt(interferenceMm)
  if (cold.yieldFactor < 1)
    reasons.push('it yields before it is home: a casting may split; less interference, or more wall')
  const hotInterferenceMm = Math.max(
    0,
    interferenceMm + slugMm * (metal.expansionPerK - hub.expansionPerK) * (serviceC - ROOM_C),
  )
  const hotFit =
    hotInterferenceMm > 0
      ? pressFit({
          diameterMm: slugMm,
          interferenceMm: hotInterferenceMm,
          hubMm: bossMm,
          lengthMm: deepest,
          holeMm: 0,
          hub: softened(hub, serviceC),
          slug: softened(metal, serviceC),
          friction: 0.2,
        })
      : null
  if (!hotFit) reasons.push('hot, the body grows away from it: only the weld holds it then')
  const shrinkInput = {
    diameterMm: slugMm,
    interferenceMm,
    clearanceMm,
    hub,
    slug: metal,
    slugC: COLD[input.cold].c,
    ambientC: ROOM_C,
    slugDensityGcm3: input.slug.densityGcm3,
    slugHeatJkgK: input.slug.specificHeatJkgK,
  }
  const shrink = shrinkFit({ ...shrinkInput, hubC: input.hubC })
  const hubC = input.hubC ?? shrink.hubC
  if (gapMm(shrinkInput, hubC, shrinkInput.slugC) <= 0)
    reasons.push('at these temperatures it does not go in by itself: warmer body, colder slug, or a press')
  const looserMm = Math.max(LOOSER_LEAST_MM, clearanceMm * LOOSER_TIMES)
  const looserC = shrinkFit({ ...shrinkInput, clearanceMm: looserMm }).hubC
  const groove = weldGroove(input.chamferMm, input.chamferMm, input.facedMm)
  if (!groove.enough)
    reasons.push(
      `only ${groove.deepMm.toFixed(1)} mm of weld is left after facing: chamfer ${groove.leastChamferMm.toFixed(1)} mm`,
    )
  return {
    slugMm,
    turnToMm: slugMm + interferenceMm,
    toleranceMm: TURNING_TOLERANCE_MM,
    interferenceMm,
    lengthMm: deepest + BORE_OVER_MM,
    boreDeepMm: deepest,
    wallMm,
    cold,
    hot: hotFit && {
      interferenceMm: hotInterferenceMm,
      hubHoopMPa: hotFit.hubHoopMPa,
      yieldFactor: hotFit.yieldFactor,
      pushOutN: hotFit.pushOutN,
    },
    shrink: { hubC: shrink.hubC, gapAtMm: shrink.gapAtMm, secondsToSeize: shrink.secondsToSeize },
    ways: (Object.keys(COLD) as Cold[]).map(way => {
      const { hubC: wayHubC } = shrinkFit({ ...shrinkInput, slugC: COLD[way].c })
      return { cold: way, slugC: COLD[way].c, hubC: wayHubC, softens: wayHubC > SOFTENS_C }
    }),
    clock: gapClock({ ...shrinkInput, hubC, lengthMm: deepest }),
    groove,
    reasons,
    looser: {
      clearanceMm: looserMm,
      hubC: looserC,
      seizesS: gapClock({ ...shrinkInput, hubC: looserC, lengthMm: deepest }).seizesS,
      softens: looserC > SOFTENS_C,
    },
    working: [
      {
        label: 'Slug across',
        formula: input.slugMm === undefined ? `${SLUG_OVER_THREAD} × the thread, to the half millimetre` : 'as given',
        value: slugMm,
        unit: 'mm',
        source: 'common practice, no source',
      },
      {
        label: 'Interference',
        formula:
          input.interferenceMm === undefined
            ? `${INTERFERENCE_SHARE} × across, less where the wall would yield`
            : 'as given',
        value: interferenceMm,
        unit: 'mm',
        source: 'common practice, no source: 0.025–0.04 mm on 19 mm',
      },
      ...cold.working,
      ...shrink.working,
      ...groove.working,
    ],
  }
}
