import { boltedFlat } from '../../flat/decide'
import { planLapping, HAND_RATE_MM3_MIN, type Lapping } from '../../flat/lap'
import { evaluateFlatness } from '../../flat/evaluate'
import { spansPlane, type Point3 } from '../../flat/plane'
import type { Job } from '../../job/job.schema'
import type { Mechanical } from '../../metal/mechanical.table'
import type { Watched } from '../../warp/watch'

type Foretold = Job['weld']['foretold'][number]

/** What the bow of faces is learnt under. */
export const BOW = 'bow'
/** As many places of a face as are kept with a job. */
const MOST_KEPT = 90
const EXTREMES = 12
const round = (value: number) => Math.round(value * 1e4) / 1e4

/** Some of the places that were looked at: spread evenly, with the highest and the lowest, which say how flat it is. */
export function fewOf({ atMm, heightsMm }: Extract<Watched, { kind: 'face' }>): Foretold['points'] {
  const step = Math.max(1, Math.ceil(atMm.length / (MOST_KEPT - 2 * EXTREMES)))
  const byHeight = heightsMm.map((_, n) => n).sort((a, b) => heightsMm[a]! - heightsMm[b]!)
  const ends = new Set([...byHeight.slice(0, EXTREMES), ...byHeight.slice(-EXTREMES)])
  return atMm.flatMap(([x, y], n) =>
    n % step === 0 || ends.has(n) ? [[round(x), round(y), round(heightsMm[n]!)] as [number, number, number]] : [],
  )
}

/** What a face is foretold to ask for after the weld. */
export interface ForetoldFace {
  name: string
  points: Point3[]
  heightsMm: number[]
  zoneMm: number
  /** Leave so much proud all over, and it cleans up flat at its own height. */
  overBuildMm: number
  lap: Lapping
  /** What bolting it down as it lies would lock in; null where its thickness or metal is not known. */
  bolted: { stressMPa: number; ofProof: number } | null
}

/** Left for the last cut over what the bow takes, mm. Common practice, no source. */
const CLEAN_UP_MM = 0.2

/**
 * A foretold face as it will be met at the bench: what to leave on it, what lapping would take, what bolting it down
 * would lock in.
 * @param toMm flat to within, for the lapping
 * @param factor what this shop's faces came out over what was foretold of them
 * @param metal the part's, and its thickness at the face; null where one is not known
 */
export function foretoldFace(
  { name, points: kept }: Foretold,
  toMm: number,
  metal: { mechanical: Mechanical; thickMm: number } | null,
  factor = 1,
): ForetoldFace | null {
  const points = kept.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm: factor * zMm }))
  if (points.length < 4 || !spansPlane(points)) return null
  const { minimumZoneMm, heightsMm } = evaluateFlatness(points)
  const reach = (of: (point: Point3) => number) => Math.max(...points.map(of)) - Math.min(...points.map(of))
  return {
    name,
    points,
    heightsMm,
    zoneMm: minimumZoneMm,
    overBuildMm: Math.ceil((minimumZoneMm + CLEAN_UP_MM) * 20 - 1e-9) / 20,
    lap: planLapping(points, toMm, HAND_RATE_MM3_MIN),
    bolted: metal
      ? boltedFlat(
          minimumZoneMm,
          Math.max(
            reach(point => point.xMm),
            reach(point => point.yMm),
          ),
          metal.thickMm,
          metal.mechanical,
        )
      : null,
  }
}

/** The one face of a job that was foretold and then measured, out of flat by both, mm; null without exactly one. */
export function bowOf(
  { weld }: Pick<Job, 'weld'>,
  measuredMm: number | null,
): { foretoldMm: number; measuredMm: number } | null {
  const faces = weld.foretold.flatMap(({ points }) => {
    const places = points.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm }))
    return places.length > 3 && spansPlane(places) ? [evaluateFlatness(places).minimumZoneMm] : []
  })
  return measuredMm !== null && faces.length === 1 ? { foretoldMm: faces[0]!, measuredMm } : null
}
