/** An arc as the hand has it at one moment. */
export interface ArcNow {
  /** Net, into the metal, W. */
  powerW: number
  /** Where its flux has fallen to 1/e² of the middle's, mm. */
  radiusMm: number
}

/** Past this length it goes out, mm. */
export const LONGEST_ARC_MM = 15
/** Share that enters at a close arc, less for every millimetre more. Common practice (0.55 to 0.7), judgement. */
const ENTERS = 0.66
const ENTERS_CLOSE_MM = 3
const LOST_PER_MM = 0.015
const LEAST_ENTERS = 0.3
/** More of the half-wave that cleans heats the tungsten instead of the part: share lost below 70 % negative. */
const NEGATIVE_USUAL_PCT = 70
const LOST_PER_POSITIVE_PCT = 0.004

/** Volts of an argon arc on aluminium: a foot, its length, its current. Common practice, judgement within 2 V. */
export const arcVolts = (arcMm: number, a: number): number => 10.5 + 0.8 * arcMm + 0.01 * a

/** Power and width of an arc by its length, current and balance; none where it is out. */
export function arcNow(arcMm: number, a: number, enPct: number): ArcNow | null {
  if (a <= 0 || arcMm > LONGEST_ARC_MM) return null
  const enters =
    ENTERS -
    LOST_PER_MM * Math.max(0, arcMm - ENTERS_CLOSE_MM) -
    LOST_PER_POSITIVE_PCT * Math.max(0, NEGATIVE_USUAL_PCT - enPct)
  return { powerW: Math.max(LEAST_ENTERS, enters) * a * arcVolts(arcMm, a), radiusMm: 1.8 + 0.4 * arcMm + 0.006 * a }
}
