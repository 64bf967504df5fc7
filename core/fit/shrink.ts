import { NoAnswer, type Step } from '../ask/question'
import type { Mechanical } from '../metal/mechanical.table'

export interface ShrinkInput {
  diameterMm: number
  interferenceMm: number
  /** Wanted between them while it goes in; all on the diameter, at sizes measured at ambient. */
  clearanceMm: number
  hub: Mechanical
  slug: Mechanical
  slugC: number
  ambientC: number
  hubC?: number | undefined
  slugDensityGcm3: number
  slugHeatJkgK: number
}
export interface ShrinkFit {
  hubC: number
  gapAtMm: number
  secondsToSeize: number
  working: Step[]
}

/** Conductivity of the air in the gap, W/(m·K), at about 60 °C: Incropera and DeWitt, table A.4, from memory. */
export const AIR_W_MK = 0.0285

/** Gap on the diameter with hub and slug at their temperatures. */
export function gapMm(
  input: Pick<ShrinkInput, 'diameterMm' | 'interferenceMm' | 'hub' | 'slug' | 'ambientC'>,
  hubC: number,
  slugC: number,
): number {
  return (
    input.diameterMm * (1 + input.hub.expansionPerK * (hubC - input.ambientC)) -
    (input.diameterMm + input.interferenceMm) * (1 + input.slug.expansionPerK * (slugC - input.ambientC))
  )
}

/**
 * Shrink fit: how hot the hub must be, the gap at a given heat, and how long until the slug has warmed enough to seize.
 *
 * Free expansion with constant coefficients. The clock: the slug as one lump (per length) warmed through the air in the
 * gap, which closes as it grows, the hub staying hot; seizing is when the gap is nothing. Rubbing on one side halves it
 * or worse: treat it as the most you have.
 * Accuracy: hub temperature to a few degrees; seconds to a half. @throws NoAnswer where it cannot be got in at the heat
 * given
 */
export function shrinkFit(input: ShrinkInput): ShrinkFit {
  const { diameterMm: d, interferenceMm, clearanceMm, hub, slug, slugC, ambientC } = input
  const slugMm = (d + interferenceMm) * (1 + slug.expansionPerK * (slugC - ambientC))
  const hubC = ambientC + ((slugMm + clearanceMm) / d - 1) / hub.expansionPerK
  const atC = input.hubC ?? hubC
  if (atC < slugC)
    throw new NoAnswer(
      `the slug at ${slugC} °C is hotter than the hub at ${Math.round(atC)} °C: there is nothing to seize`,
    )
  const gapAtMm = gapMm(input, atC, slugC)
  let seconds = 0
  if (gapAtMm > 0) {
    const steps = 400
    // The gap closes when the slug has grown by it; the integrand is smooth, so the midpoint rule will do.
    const closesC = slugC + gapAtMm / ((d + interferenceMm) * slug.expansionPerK)
    const endC = Math.min(closesC, atC - 0.01)
    const radiusM = d / 2000
    const heat = (input.slugDensityGcm3 * 1000 * input.slugHeatJkgK * radiusM) / 2
    for (let i = 0; i < steps; i++) {
      const c = slugC + ((endC - slugC) * (i + 0.5)) / steps
      const radialGapM = Math.max(0, gapMm(input, atC, c)) / 2000
      seconds += (((heat * radialGapM) / AIR_W_MK / (atC - c)) * (endC - slugC)) / steps
    }
  }
  return {
    hubC,
    gapAtMm,
    secondsToSeize: seconds,
    working: [
      {
        label: `Slug at ${slugC} °C`,
        formula: '(d + interference) × (1 + α (T − ambient))',
        value: slugMm,
        unit: 'mm',
        source: 'expansion, ASM Handbook vol. 2, from memory',
      },
      {
        label: 'Hub needed',
        formula: 'ambient + ((slug + clearance) ÷ d − 1) ÷ α',
        value: hubC,
        unit: '°C',
        source: 'expansion',
      },
      {
        label: `Gap with the hub at ${Math.round(atC)} °C`,
        formula: 'hub bore − slug',
        value: gapAtMm,
        unit: 'mm',
        source: 'expansion',
      },
      {
        label: 'Until it seizes',
        formula: '∫ ρ c r/2 × gap/2 ÷ k(air) ÷ (hub − slug) dT',
        value: seconds,
        unit: 's',
        source: 'lumped warming through the air gap; accuracy a half',
      },
    ],
  }
}
