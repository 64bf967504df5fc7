import Delaunator from 'delaunator'
import type { Step } from '../ask/question'
import { evaluateFlatness } from './evaluate'
import { level, type Point3 } from './plane'
import { supportPlane } from './support'

/** Metal a hand laps off on fresh 120-grit paper over a plate, mm³/min: judgement, from common practice. */
export const HAND_RATE_MM3_MIN = 120

type Corner = readonly [x: number, y: number, over: number]

/**
 * Volume under a triangle's flat top where it stands above nought; a plane triangle clipped at height nought, exactly.
 */
export function clippedVolume([p, q, r]: readonly [Corner, Corner, Corner]): number {
  const corners = [p, q, r]
  const inside: Corner[] = []
  for (let n = 0; n < 3; n++) {
    const [a, b] = [corners[n]!, corners[(n + 1) % 3]!]
    if (a[2] >= 0) inside.push(a)
    if (a[2] >= 0 !== b[2] >= 0) {
      const t = a[2] / (a[2] - b[2])
      inside.push([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), 0])
    }
  }
  let volume = 0
  for (let n = 1; n + 1 < inside.length; n++) {
    const [a, b, c] = [inside[0]!, inside[n]!, inside[n + 1]!]
    volume += ((Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1])) / 2) * (a[2] + b[2] + c[2])) / 3
  }
  return volume
}

export interface Lapping {
  removeMm: number
  volumeMm3: number
  minutes: number
  before: { minimumZoneMm: number; contact: number[] }
  half: { minimumZoneMm: number; heightsMm: number[] }
  after: { minimumZoneMm: number; heightsMm: number[] }
  working: Step[]
}

/**
 * How much must come off by lapping to bring a face within a flatness, and where it rubs first.
 *
 * The face stands on its three contact points on the plate and is worn parallel to it: everything above a level below
 * the plate goes, until the deepest point left is no further under than `toMm`. Volume by Delaunay triangles, each
 * clipped exactly; minutes by a rate.
 * Metal between the readings is taken as straight: read more finely where that is not so.
 */
export function planLapping(points: readonly Point3[], toMm: number, rateMm3Min: number): Lapping {
  const levelled = level(points).points
  const before = evaluateFlatness(points)
  const { plane, contact } = supportPlane(levelled)
  const gaps = levelled.map(([x, y, z]) => plane.a * x + plane.b * y + plane.c - z)
  const removeMm = Math.max(0, Math.max(...gaps) - toMm)
  const { triangles } = Delaunator.from(levelled.map(([x, y]) => [x, y]))
  const volumeAt = (depthMm: number) => {
    let volume = 0
    for (let n = 0; n < triangles.length; n += 3) {
      const corner = (i: number): Corner => {
        const at = triangles[n + i]!
        return [levelled[at]![0], levelled[at]![1], depthMm - gaps[at]!]
      }
      volume += clippedVolume([corner(0), corner(1), corner(2)])
    }
    return volume
  }
  const wornTo = (depthMm: number) => {
    const heights = gaps.map(gap => -Math.max(gap, depthMm))
    const again = evaluateFlatness(levelled.map(([x, y], n) => ({ xMm: x, yMm: y, zMm: heights[n]! })))
    return { minimumZoneMm: again.minimumZoneMm, heightsMm: heights.map(height => height - Math.max(...heights)) }
  }
  const volumeMm3 = volumeAt(removeMm)
  return {
    removeMm,
    volumeMm3,
    minutes: volumeMm3 / rateMm3Min,
    before: { minimumZoneMm: before.minimumZoneMm, contact },
    half: wornTo(removeMm / 2),
    after: wornTo(removeMm),
    working: [
      {
        label: 'Deepest under the plate',
        formula: 'face on its three contact points',
        value: Math.max(...gaps),
        unit: 'mm',
        source: 'geometry',
      },
      { label: 'To come off', formula: `deepest − ${toMm} mm`, value: removeMm, unit: 'mm', source: 'geometry' },
      {
        label: 'Metal',
        formula: 'Delaunay triangles, each clipped at that level',
        value: volumeMm3,
        unit: 'mm³',
        source: 'Delaunay triangulation',
      },
      {
        label: 'Minutes',
        formula: `÷ ${rateMm3Min} mm³/min`,
        value: volumeMm3 / rateMm3Min,
        unit: 'min',
        source: 'judgement, unless a rate was given',
      },
    ],
  }
}
