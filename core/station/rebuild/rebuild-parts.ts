import type { AnswerTo } from '../../ask/question'
import { flatLap } from '../../flat/question'
import { flatEvaluate } from '../../flat/question'
import { holesCircle } from '../../face/question'
import { said } from '../../job/fields/said'
import { findAlloy } from '../../metal/find-alloy'
import { mechanicalOf } from '../../metal/mechanical.table'
import type { Alloy } from '../../metal/alloys.table'
import { finishAdvice, type FinishAdvice } from '../../face/finish'
import { boltedFlat, decideFace, type FaceDecision } from '../../flat/decide'
import type { Point3 } from '../../flat/plane'
import type { Job } from '../../job/job.schema'
import { brazeRodOf, type ProcessId } from '../../process/registry'
import { askFor } from '../ask-core'
import type { Working } from '../parts'
import { found, type Found } from './found'

/** The bolt circle nearest to the holes measured. */
export function circleOf({ rebuild }: Job): Found<AnswerTo<typeof holesCircle>> {
  const holes = rebuild.holes.flatMap(({ xMm, yMm }) =>
    xMm.value === null || yMm.value === null ? [] : [{ xMm: xMm.value, yMm: yMm.value }],
  )
  if (holes.length < 3) return null
  return found(
    askFor(holesCircle, 'The bolt circle', { holes, ...(rebuild.holePlaces ? { places: rebuild.holePlaces } : {}) }),
  )
}

export interface FaceData {
  points: Point3[]
  flat: AnswerTo<typeof flatEvaluate>
  lap: AnswerTo<typeof flatLap>
  decision: FaceDecision
  bolted: ReturnType<typeof boltedFlat> | null
  workings: Record<string, Working>
}

/** A face from its readings: how flat, what to do with it, and what bolting it flat would lock in. */
export function faceOf(job: Job, body: Alloy): FaceData | { reason: string } | null {
  const { face } = job.rebuild
  const points = face.points.flatMap(({ xMm, yMm, z }): Point3[] =>
    z.value === null ? [] : [{ xMm, yMm, zMm: z.value }],
  )
  if (points.length < 4) return points.length ? { reason: 'four readings at least' } : null
  const flat = askFor(flatEvaluate, 'Flatness', { points })
  if (!flat.ok) return { reason: flat.reason }
  const lap = askFor(flatLap, 'Lapping', { points, toMm: Math.max(0, said(job, 'rebuild').face.toMm) })
  if (!lap.ok) return { reason: lap.reason }
  const over = Math.max(...points.map(point => point.xMm)) - Math.min(...points.map(point => point.xMm))
  const along = Math.max(...points.map(point => point.yMm)) - Math.min(...points.map(point => point.yMm))
  const bolted =
    face.thickMm.value && face.thickMm.value > 0
      ? boltedFlat(flat.answer.minimumZoneMm, Math.max(over, along), face.thickMm.value, mechanicalOf(body))
      : null
  return {
    points,
    flat: flat.answer,
    lap: lap.answer,
    decision: decideFace(flat.answer, lap.answer, face.seal),
    bolted,
    workings: {
      flat: flat.working,
      lap: lap.working,
      ...(bolted ? { bolted: { title: 'Bolted flat', steps: bolted.working } } : {}),
    },
  }
}

/** What the coating afterwards does. */
export const finishOf = ({ takeIn }: Job, body: Alloy, filler: string, process: ProcessId): FinishAdvice =>
  finishAdvice(takeIn.finishAfter, body, findAlloy(filler) ?? null, brazeRodOf(process) ?? null)
