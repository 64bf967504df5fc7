import { NoAnswer, type Step } from '../ask/question'
import type { Mechanical } from '../metal/mechanical.table'

/**
 * Of what is left to go, pressed out at each step but the last: judgement, so that nothing is pressed past straight.
 */
const STEP_SHARE = 0.6
/** Left alone when it is within this, mm, or this share of the bend. */
const DONE_SHARE = 0.05
const MOST_STEPS = 12
/**
 * A fully plastic bar springs back by this many times its first-yield deflection: shape factor 1.5 of a rectangle. Any
 * text on plasticity.
 */
const PLASTIC_SPRING = 1.5
/** A bend sharper than this may crack going back cold, % strain. Common practice, no source. */
const CRACKS_FROM_PCT = 3

export interface PressStep {
  pressPastMm: number
  expectMm: number
}
export interface Straighten {
  springMm: number
  steps: PressStep[]
  strainPct: number
  /** The metal may crack as it goes back, by its strain. */ mayCrack: boolean
  working: Step[]
}

/**
 * Pressing a bent flange or rim back in steps: how far past each time, since it springs back, and what it should then
 * read.
 *
 * The flange as a cantilever of a rectangle's section, loaded at its edge: deflection at first yield = ⅔ σ L² ÷ (E t);
 * fully plastic it springs back half as much again. The strain of the bend is that of an even curve over its length. A
 * guide to the first press: measure after each. @throws NoAnswer where it is hardly bent at all
 */
export function straighten(outMm: number, overMm: number, thickMm: number, metal: Mechanical): Straighten {
  const firstYieldMm = ((2 / 3) * metal.proofMPa * overMm ** 2) / (metal.youngMPa * thickMm)
  const springMm = PLASTIC_SPRING * firstYieldMm
  if (outMm <= 0) throw new NoAnswer('it is not bent')
  const steps: PressStep[] = []
  let left = outMm
  while (left > DONE_SHARE * outMm && steps.length < MOST_STEPS) {
    const go = left > 0.25 * outMm ? STEP_SHARE * left : left
    left -= go
    steps.push({ pressPastMm: springMm - left, expectMm: left })
  }
  const strainPct = (100 * thickMm * outMm) / overMm ** 2
  return {
    springMm,
    steps,
    strainPct,
    mayCrack: strainPct > CRACKS_FROM_PCT,
    working: [
      {
        label: 'Springs back',
        formula: '1.5 × ⅔ × proof × L² ÷ (E × t)',
        value: springMm,
        unit: 'mm',
        source: 'elastic bending, shape factor of a rectangle; any text on strength of materials',
      },
      { label: 'Strain of the bend', formula: 't × out ÷ L²', value: strainPct, unit: '%', source: 'even curvature' },
    ],
  }
}
