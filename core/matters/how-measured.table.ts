import type { UnitKey } from '../quantity/units.table'

/** How far off a way of measuring is, two standard deviations: so much, or so many in a hundred; and what it takes. */
export interface HowMeasured {
  readonly plusMinus?: number
  readonly pct?: number
  readonly minutes: number
}

/** Longer than this a length is taken with a rule, mm. */
export const CALIPER_TO_MM = 150
/** Lengths by caliper and by rule, mm. Common practice, no source. */
export const CALIPER: HowMeasured = { plusMinus: 0.2, minutes: 1 }
export const RULE: HowMeasured = { plusMinus: 1, minutes: 1 }

/** Readings that are not simply measured across, by their names. Common practice, no source. */
export const BY_NAME: Readonly<Record<string, HowMeasured>> = {
  // Walls are felt through a hole or at a broken edge, and castings vary from place to place.
  wallMm: { pct: 10, minutes: 4 },
  otherMm: { pct: 10, minutes: 4 },
  plateMm: { plusMinus: 0.1, minutes: 1 },
  // The ends that are seen are not the ends: dye or a stretch of bright metal finds them.
  lengthMm: { pct: 10, minutes: 8 },
  damagedMm: { pct: 20, minutes: 3 },
  soundMm: { pct: 20, minutes: 3 },
  deepMm: { plusMinus: 0.5, minutes: 2 },
  beneathMm: { plusMinus: 2, minutes: 4 },
  // Feelers under a straightedge.
  lowMm: { plusMinus: 0.05, minutes: 5 },
  hotC: { plusMinus: 15, minutes: 3 },
  torqueNm: { pct: 15, minutes: 3 },
  pressureMPa: { pct: 10, minutes: 3 },
}
/** Sizes of the part itself, which a rule takes well whatever they are. */
export const OVER_ALL: Readonly<Record<string, HowMeasured>> = {
  lengthMm: RULE,
  widthMm: RULE,
  heightMm: RULE,
  massG: { pct: 1, minutes: 2 },
}
/** The rest by their unit; what is not here is as it was said. Common practice, no source. */
export const BY_UNIT: Partial<Record<UnitKey, HowMeasured>> = {
  mm2: { pct: 10, minutes: 3 },
  g: { pct: 1, minutes: 2 },
  c: { plusMinus: 10, minutes: 3 },
  deg: { plusMinus: 5, minutes: 2 },
  nm: { pct: 15, minutes: 3 },
  mPa: { pct: 10, minutes: 3 },
  n: { pct: 15, minutes: 3 },
}
/** What is known as it was said: nothing is measured. */
export const AS_SAID: HowMeasured = { plusMinus: 0, minutes: 0 }
/** Asking after a choice, or looking again. Judgement. */
export const LOOK_MIN = 5
/** Finding out which metal it is: spark, drop and scratch, as *Know* has them. Judgement. */
export const METAL_MIN = 12
