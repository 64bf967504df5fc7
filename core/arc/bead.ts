import { USUAL_ARC } from '../process/registry'
import { ampsNeed } from './amps'

/**
 * Section of the bead that a hand lays with one pass, mm²: so much in a thin wall, which is filled at once, and more by
 * each mm of wall over it. Published procedures of butts (one pass at 3 mm, one to two at 6, two to three at 9.5, three
 * to four at 12.7; from memory) over their usual bevels; a repair's wider groove then takes up to twice as many.
 */
const THIN_MM = 3.5
const THIN_BEAD_MM2 = 22.6
const BEAD_MM2_PER_MM = 0.25
/** No more of a rod runs into one bead than this many of its own sections. Common practice, no source. */
const MOST_ROD_AREAS = 7
/**
 * What an arc melts of a rod in a repairer's hand, g/min for each ampere: half of a procedure's. Common practice, no
 * source.
 */
const G_MIN_PER_A = 0.022
/** No faster than a hand feeds a rod: g/min over its diameter squared in mm². Common practice, no source. */
const MOST_G_MIN_PER_MM2 = 0.9
/** A repairer's hand goes no faster than half of a procedure's 200 to 300 mm a minute. Common practice, no source. */
export const MOST_TRAVEL_MM_MIN = 125
/** Arc until there is a puddle that takes rod, and back off at the end. Common practice, no source. */
export const PUDDLE_MIN = 0.15
/** A pass as short as this begins on the heat of the one before it, the sooner the shorter it is. Judgement. */
const STARTS_COLD_MM = 50

/** Section of one hand-fed bead on a wall with a rod, mm². Never less on a thicker wall. To a pass in three. */
export const beadMm2 = (wallMm: number, rodMm: number): number =>
  Math.min(THIN_BEAD_MM2 + BEAD_MM2_PER_MM * Math.max(0, wallMm - THIN_MM), MOST_ROD_AREAS * (Math.PI / 4) * rodMm ** 2)

/** What a hand lays with a rod at a current, g/min. */
export const rodDepositGMin = (a: number, rodMm: number): number =>
  Math.min(G_MIN_PER_A * a, MOST_G_MIN_PER_MM2 * rodMm ** 2)

export interface Passes {
  passes: number
  /** Before they are rounded up. */
  beads: number
  /** Minutes of arc of all of them, at the current that the wall wants cold. */
  arcMin: number
}

/**
 * Passes of hand-fed beads over a volume along a run, and their minutes of arc: each pass is as long as its travel
 * takes, no faster than a hand goes and than the current melts its rod. Accuracy: a pass, and a third of the minutes.
 */
export function rodPasses(
  { volumeMm3, runMm }: { volumeMm3: number; runMm: number },
  wallMm: number,
  rodMm: number,
  densityGcm3: number,
): Passes {
  const longMm = Math.max(1, runMm)
  const beads = volumeMm3 / (beadMm2(wallMm, rodMm) * longMm)
  const passes = Math.max(1, Math.ceil(beads - 1e-9))
  const { coldA } = ampsNeed(wallMm, 20, USUAL_ARC, 'flat')
  const meltMin = (volumeMm3 * densityGcm3) / 1000 / passes / rodDepositGMin(coldA, rodMm)
  const starts = 1 + (passes - 1) * Math.min(1, longMm / STARTS_COLD_MM)
  return { passes, beads, arcMin: passes * Math.max(longMm / MOST_TRAVEL_MM_MIN, meltMin) + starts * PUDDLE_MIN }
}
