import { arcOf, type ArcProcess } from '../process/registry'
import type { Step } from '../ask/question'

/** AC on aluminium, flat joint, cold: 40 A a millimetre (1 A a thou of wall). Common practice, no source. */
const AMPS_PER_MM = 40
/**
 * Where heat flow turns from along the wall to all round, the rule bends: set so that 12.7 mm wants 300 A (common
 * practice, no source).
 */
const BEND_WALL_MM = 7.74
const BEND_SHARPNESS = 4
/**
 * The least current that still melts in when one waits, and the most one would use: judgement. 140 A on preheated 6–10
 * mm castings bears the lower out.
 */
const LEAST_SHARE = 0.6
const MOST_SHARE = 1.2
/** Middle of the melting range of common castings and structural alloys, °C. */
export const MELTING_C = 620

/** How a joint sheds heat against a flat butt: common practice, no source. */
export const JOINT_SHARE = {
  flat: 1,
  butt: 1,
  groove: 1,
  fillet: 1.25,
  tee: 1.25,
  lap: 1.15,
  corner: 0.85,
  edge: 0.75,
} as const
export type Joint = keyof typeof JOINT_SHARE

export interface AmpsNeed {
  a: number
  lowA: number
  highA: number
  coldA: number
  working: Step[]
}

/**
 * Average current for a wall, with the preheat worked in.
 *
 * Cold: 40 A/mm bending to 300 A at 12.7 mm. Preheat: the power a puddle wants goes with (melting − start), which is
 * what
 * Rosenthal's moving source gives for one size of puddle.
 * Valid for walls of 0.5 to 40 mm and starts below 500 °C. Accuracy: a quarter; the band is part of the answer.
 */
export function ampsNeed(wallMm: number, startC: number, process: ArcProcess, joint: Joint): AmpsNeed {
  const coldA = (AMPS_PER_MM * wallMm) / (1 + (wallMm / BEND_WALL_MM) ** BEND_SHARPNESS) ** (1 / BEND_SHARPNESS)
  const warm = (MELTING_C - startC) / (MELTING_C - 20)
  const a = coldA * warm * arcOf(process).needShare * JOINT_SHARE[joint]
  return {
    a,
    lowA: a * LEAST_SHARE,
    highA: a * MOST_SHARE,
    coldA,
    working: [
      {
        label: 'Cold, flat joint, AC TIG',
        formula: `${AMPS_PER_MM} A/mm × ${wallMm} mm, bent so that 12.7 mm wants 300 A`,
        value: coldA,
        unit: 'A',
        source: 'common practice, no source',
      },
      {
        label: 'Preheat',
        formula: `(${MELTING_C} − ${startC}) ÷ (${MELTING_C} − 20)`,
        value: warm,
        unit: '×',
        source: 'Rosenthal (1946): power for one puddle goes with melting less start',
      },
      {
        label: 'Process and joint',
        formula: `${arcOf(process).needShare} × ${JOINT_SHARE[joint]}`,
        value: arcOf(process).needShare * JOINT_SHARE[joint],
        unit: '×',
        source: 'common practice, no source',
      },
      {
        label: 'Current',
        formula: 'cold × preheat × process and joint',
        value: a,
        unit: 'A',
        source: 'the steps above',
      },
      {
        label: 'Least that melts in, and most',
        formula: `${LEAST_SHARE} × and ${MOST_SHARE} ×`,
        value: `${Math.round(a * LEAST_SHARE)} to ${Math.round(a * MOST_SHARE)}`,
        unit: 'A',
        source: 'judgement; 140 A on preheated 6–10 mm castings is common practice',
      },
    ],
  }
}
