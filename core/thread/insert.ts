import { NoAnswer, type Step } from '../ask/question'
import { form60, type Thread } from './thread'

/**
 * Wall left round an insert: this share of the bolt, and of its own outside for a solid one. Common practice, no
 * source.
 */
const WALL_SHARE = 0.35
/** Solid inserts: outside thread this much over the bolt, and its pitch by size. Common practice, no source. */
const SOLID = [
  { toMm: 4, overMm: 2, pitchMm: 0.75 },
  { toMm: 7, overMm: 4, pitchMm: 1.25 },
  { toMm: 11, overMm: 4, pitchMm: 1.5 },
  { toMm: 17, overMm: 6, pitchMm: 1.5 },
  { toMm: 100, overMm: 8, pitchMm: 2 },
] as const

export interface ThreadInsert {
  drillMm: number
  tapMajorMm: number
  outsideMm: number
  leastWallMm: number
  tapPitchMm: number
  working: Step[]
}

/**
 * Hole, tap and wall for a thread insert.
 *
 * Wire: the tapped hole takes the wire's own height all round, tap major d + 1.299038 P, drill d + 0.2165 P or a little
 * over (ISO metric and unified screw-thread insert holes; ASME B18.29.1, from memory). Solid: the outside thread a size
 * up, common practice.
 * @throws NoAnswer for threads no insert is made for
 */
export function threadInsert(thread: Thread, kind: 'wire' | 'solid'): ThreadInsert {
  if (thread.flankDeg !== 60 || thread.taperDeg > 0)
    throw new NoAnswer(`no insert is made for ${thread.designation}: weld it up or press a slug in`)
  const { majorMm: d, pitchMm: p } = thread
  if (kind === 'wire') {
    const high = ((0.75 * Math.sqrt(3)) / 2) * p
    const tapMajorMm = d + 2 * high
    const drillMm = d + 0.2165 * p
    return {
      drillMm,
      tapMajorMm,
      outsideMm: tapMajorMm,
      leastWallMm: WALL_SHARE * d,
      tapPitchMm: p,
      working: [
        {
          label: 'Tap, major',
          formula: 'd + 1.299038 P',
          value: tapMajorMm,
          unit: 'mm',
          source: 'ASME B18.29.1, from memory',
        },
        {
          label: 'Drill',
          formula: 'd + 0.2165 P, least minor of the hole',
          value: drillMm,
          unit: 'mm',
          source: 'ASME B18.29.1, from memory',
        },
        {
          label: 'Least wall',
          formula: `${WALL_SHARE} d`,
          value: WALL_SHARE * d,
          unit: 'mm',
          source: 'common practice, no source',
        },
      ],
    }
  }
  const row = SOLID.find(entry => d <= entry.toMm) ?? SOLID.at(-1)!
  const outsideMm = Math.round(d) + row.overMm
  const drillMm = form60(outsideMm, row.pitchMm).minorInternalMm
  return {
    drillMm,
    tapMajorMm: outsideMm,
    outsideMm,
    leastWallMm: WALL_SHARE * outsideMm * 0.8,
    tapPitchMm: row.pitchMm,
    working: [
      {
        label: 'Outside thread',
        formula: `M${outsideMm}x${row.pitchMm}: the bolt and ${row.overMm} mm`,
        value: outsideMm,
        unit: 'mm',
        source: 'common practice, no source',
      },
      { label: 'Drill', formula: 'outside − 1.082532 P', value: drillMm, unit: 'mm', source: 'ISO 68-1' },
    ],
  }
}
