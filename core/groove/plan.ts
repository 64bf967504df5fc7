import { beadMm2, rodPasses } from '../arc/bead'
import { NoAnswer, type Step } from '../ask/question'
import type { End } from './run'
import { capAreaMm2, grooveSection } from './section'
import { layBeads, type Bead } from './beads'

export interface GrooveInput {
  crackMm: number
  wallMm: number
  sides: 1 | 2
  includedDeg: number
  rootRadiusMm: number
  landMm: number
  capMm: number
  stopHoleMm: number
  pastTipMm: number
  fillerMm: number
  rodMm: number
  efficiencyPct: number
  closed: boolean
  /** A crack that runs into a hole or an edge wants neither stop-hole nor length past it there. */
  startsIn?: End
  endsIn?: End
  fillerDensityGcm3: number
}

export interface GroovePlan {
  depthMm: number
  topWidthMm: number
  /** Whole section to be filled: all sides and caps. */
  areaMm2: number
  removedAreaMm2: number
  runMm: number
  volumeMm3: number
  removedG: number
  massG: number
  rods: number
  passes: number
  passesPerSide: number
  stopHoles: { alongMm: number; diameterMm: number }[]
  arcMin: number
  beads: Bead[]
}

/**
 * Groove, metal, rods, passes and arc time for a crack.
 *
 * The section is a round-bottomed V (`section.ts`) under a parabolic cap; the volume is section × run, the run being
 * the crack and, for one with ends, the length past both tips. Rods are whole. Passes and arc minutes are common
 * practice, to about a third.
 * @throws NoAnswer when the root face leaves no groove
 */
export function planGroove(input: GrooveInput): GroovePlan & { working: Step[] } {
  const { crackMm, wallMm, sides, includedDeg, rootRadiusMm, landMm, capMm, fillerMm, rodMm, efficiencyPct, closed } =
    input
  const depthMm = (wallMm - landMm) / sides
  if (depthMm <= 0) throw new NoAnswer(`a root face of ${landMm} mm leaves nothing to groove in a wall of ${wallMm} mm`)
  const shape = { depthMm, includedDeg, rootRadiusMm }
  const { topWidthMm, areaMm2: grooveMm2 } = grooveSection(shape)
  const cap = capAreaMm2(topWidthMm, capMm)
  const areaMm2 = sides * (grooveMm2 + cap)
  const removedAreaMm2 = sides * grooveMm2
  const { startsIn = 'tip', endsIn = 'tip' } = input
  const tips = closed ? 0 : [startsIn, endsIn].filter(end => end === 'tip').length
  const runMm = crackMm + tips * input.pastTipMm
  const volumeMm3 = areaMm2 * runMm
  const massG = (volumeMm3 * input.fillerDensityGcm3) / 1000
  const rodMm2 = (Math.PI / 4) * fillerMm ** 2
  const rodVolumeMm3 = rodMm2 * rodMm
  const rodsNeeded = volumeMm3 / (efficiencyPct / 100) / rodVolumeMm3
  // A whole number that came out a hair over, by rounding alone, is that number.
  const rods = Math.max(1, Math.ceil(rodsNeeded - 1e-9))
  const ofSide = rodPasses({ volumeMm3: volumeMm3 / sides, runMm }, wallMm, fillerMm, input.fillerDensityGcm3)
  const passesPerSide = ofSide.passes
  if (passesPerSide > 500)
    throw new NoAnswer(
      `filling this groove with a ${fillerMm} mm rod would take over 500 passes a side; take a thicker rod or fit a patch`,
    )
  const passes = passesPerSide * sides
  const arcMin = ofSide.arcMin * sides
  const stopHoles = closed
    ? []
    : [...(startsIn === 'tip' ? [-input.pastTipMm] : []), ...(endsIn === 'tip' ? [crackMm + input.pastTipMm] : [])].map(
        alongMm => ({ alongMm, diameterMm: input.stopHoleMm }),
      )
  const step = (label: string, formula: string, value: number, unit: string, source = 'plane geometry'): Step => ({
    label,
    formula,
    value,
    unit,
    source,
  })
  return {
    depthMm,
    topWidthMm,
    areaMm2,
    removedAreaMm2,
    runMm,
    volumeMm3,
    removedG: (removedAreaMm2 * runMm * input.fillerDensityGcm3) / 1000,
    massG,
    rods,
    passes,
    passesPerSide,
    stopHoles,
    arcMin,
    beads: layBeads(shape, cap, capMm, passesPerSide),
    working: [
      step('Depth of one side', `(${wallMm} wall − ${landMm} root face) ÷ ${sides}`, depthMm, 'mm'),
      step(
        'Width at the top',
        'round root tangent to both flanks: 2 [r cos a + (depth − r (1 − sin a)) tan a], a half the included angle',
        topWidthMm,
        'mm',
      ),
      step('Groove section, one side', 'circular segment at the root + trapezium above it', grooveMm2, 'mm²'),
      step('Cap, one side', `parabola: ⅔ × ${topWidthMm.toFixed(2)} × ${capMm}`, cap, 'mm²'),
      step('Section to fill', `${sides} × (groove + cap)`, areaMm2, 'mm²'),
      step(
        'Run',
        closed
          ? 'the ring itself, no ends'
          : `${crackMm} + ${tips} × ${input.pastTipMm} past ${tips === 1 ? 'the tip' : 'the tips'}`,
        runMm,
        'mm',
      ),
      step('Metal to put in', 'section × run', volumeMm3, 'mm³'),
      step('Its mass', `× ${input.fillerDensityGcm3} g/cm³`, massG, 'g', 'ASM Handbook vol. 2, recalled from memory'),
      step(
        'Rods, before rounding up',
        `volume ÷ ${efficiencyPct} % ÷ (π/4 × ${fillerMm}² × ${rodMm})`,
        rodsNeeded,
        'rods',
      ),
      step(
        'Passes, one side',
        `section ÷ ${beadMm2(wallMm, fillerMm).toFixed(1)} mm² a bead on this wall with this rod, rounded up`,
        passesPerSide,
        'passes',
        'published procedures of butts, from memory; common practice',
      ),
      step(
        'Arc time',
        "each pass as long as its travel takes, no faster than a hand goes and the wall's current melts its rod",
        arcMin,
        'min',
        'common practice, no source',
      ),
    ],
  }
}
