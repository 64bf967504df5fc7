import { AIR_W_MK, gapMm, type ShrinkInput } from './shrink'

export interface GapPoint {
  s: number
  gapMm: number
  slugC: number
  hubC: number
}
export interface GapClock {
  points: GapPoint[]
  seizesS: number | null
}

/** Body round the slug, as one lump: what it weighs, holds and loses. Left out, it stays at its heat. */
export interface Hub {
  massKg: number
  heatJkgK: number
  areaMm2: number
  filmWm2K: number
}

/** Shorter than the time in which the gap closes by half, s; the march shortens it further by itself. */
const LONGEST_STEP_S = 0.5
const CHANGE_SHARE = 0.02
const MOST_S = 900
const MOST_STEPS = 200_000
/** The air between them counts as no thinner than this, mm: roughness. Judgement. */
const LEAST_GAP_MM = 0.0005

/**
 * The clock of a shrink fit: gap against time as the slug warms through the air in the closing gap and the body cools,
 * until it seizes.
 *
 * Slug and body as lumps (per length of slug `lengthMm`), the two warmed and cooled by what crosses the gap; free
 * expansion. With a body that stays hot it comes to `fit.shrink`'s seconds. Explicit march, step kept to a fiftieth of
 * the gap's change; accuracy of the model a half.
 * @returns points thinned to about 120; `seizesS` is null where it never does within a quarter of an hour
 */
export function gapClock(input: ShrinkInput & { hubC: number; lengthMm: number }, hub?: Hub): GapClock {
  const { diameterMm: d, interferenceMm, slugDensityGcm3, slugHeatJkgK, lengthMm, ambientC } = input
  const [radiusM, lengthM] = [d / 2000, lengthMm / 1000]
  const sideM2 = 2 * Math.PI * radiusM * lengthM
  const slugJK = slugDensityGcm3 * 1000 * slugHeatJkgK * Math.PI * radiusM ** 2 * lengthM
  const hubJK = hub ? hub.massKg * hub.heatJkgK : Infinity
  const growsMmK = (d + interferenceMm) * input.slug.expansionPerK
  let [s, slugC, hubC] = [0, input.slugC, input.hubC]
  let gap = gapMm(input, hubC, slugC)
  const points: GapPoint[] = [{ s, gapMm: gap, slugC, hubC }]
  let seizesS: number | null = gap <= 0 ? 0 : null
  for (let step = 0; seizesS === null && s < MOST_S && step < MOST_STEPS; step++) {
    const throughW = (AIR_W_MK * sideM2 * (hubC - slugC)) / (Math.max(LEAST_GAP_MM, gap) / 2000)
    const lostW = hub ? hub.filmWm2K * hub.areaMm2 * 1e-6 * (hubC - ambientC) : 0
    const slugKs = throughW / slugJK
    const hubKs = -(throughW + lostW) / hubJK
    const closesMmS = growsMmK * slugKs - d * input.hub.expansionPerK * hubKs
    if (closesMmS <= 0) break
    const dt = Math.min(LONGEST_STEP_S, (CHANGE_SHARE * Math.max(gap, 2 * LEAST_GAP_MM)) / closesMmS)
    s += dt
    slugC += slugKs * dt
    hubC += hubKs * dt
    gap = gapMm(input, hubC, slugC)
    if (gap <= 0) seizesS = s
    points.push({ s, gapMm: Math.max(0, gap), slugC, hubC })
  }
  const every = Math.max(1, Math.ceil(points.length / 120))
  return { points: points.filter((_, n) => n % every === 0 || n === points.length - 1), seizesS }
}
