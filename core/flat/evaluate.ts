import type { Step } from '../ask/question'
import { minimaxPlane } from './minimum-zone'
import { level, type Point3 } from './plane'
import { bowOf, type FaceShape } from './shape'
import { supportPlane } from './support'

/** Points this near the top of the zone are high ones, as a share of it: judgement. */
const HIGH_SHARE = 0.1
/** The blue takes where the gap to the plate is less than this, mm: common practice, no source. */
export const BLUE_MM = 0.005

export interface Flatness {
  minimumZoneMm: number
  leastSquaresMm: number
  shape: FaceShape
  /** Points near the top of the zone. */
  high: number[]
  /** Points the face stands on, turned over on a true plate. */
  contact: number[]
  /** Points a blued plate marks. */
  blue: number[]
  /** Height of each point over the middle of the zone, mm. */
  heightsMm: number[]
  /** Gap of each point to the plate it stands on, mm. */
  gapsMm: number[]
  explainedPct: number
  working: Step[]
}

/**
 * Flatness of a face from readings anywhere on it.
 *
 * Minimum zone: the least distance between two parallel planes that hold every point (ISO 12781, ASME Y14.5), by linear
 * minimax in the frame of the least-squares plane, levelled twice so that distances are at right angles. Exact to a
 * nanometre on faces whose unevenness is under a hundredth of their length.
 * @throws NoAnswer where the points lie in one line
 */
export function evaluateFlatness(points: readonly Point3[]): Flatness {
  const first = level(points)
  const heights = first.points.map(point => point[2])
  const leastSquaresMm = Math.max(...heights) - Math.min(...heights)
  const found = minimaxPlane(first.points)
  const upright = 1 / Math.sqrt(1 + found.plane.a ** 2 + found.plane.b ** 2)
  const minimumZoneMm = 2 * found.halfMm * upright
  const off = first.points.map(([x, y, z]) => (z - found.plane.a * x - found.plane.b * y - found.plane.c) * upright)
  const { plane, contact } = supportPlane(first.points)
  const gapsMm = first.points.map(([x, y, z]) => Math.max(0, plane.a * x + plane.b * y + plane.c - z))
  const { shape, explainedPct } = bowOf(first.points, minimumZoneMm)
  return {
    minimumZoneMm,
    leastSquaresMm,
    shape,
    contact,
    explainedPct,
    heightsMm: off,
    gapsMm,
    high: off.flatMap((value, n) => (value >= minimumZoneMm * (0.5 - HIGH_SHARE) ? [n] : [])),
    blue: gapsMm.flatMap((gap, n) => (gap < BLUE_MM ? [n] : [])),
    working: [
      {
        label: 'Least-squares plane',
        formula: 'greatest less least distance at right angles to it',
        value: leastSquaresMm,
        unit: 'mm',
        source: 'ISO 12781-1, from memory',
      },
      {
        label: 'Minimum zone',
        formula: `linear minimax, ${found.exchanges} exchanges`,
        value: minimumZoneMm,
        unit: 'mm',
        source: 'ISO 12781-1, ASME Y14.5, from memory; Stiefel (1960)',
      },
      {
        label: 'Shape',
        formula: 'signs of the two bows of the nearest curved surface',
        value: shape,
        unit: '',
        source: 'judgement',
      },
      {
        label: 'Of the unevenness, curved surface explains',
        formula: '1 − left over ÷ all',
        value: explainedPct,
        unit: '%',
        source: 'least squares',
      },
    ],
  }
}
