import type { AnswerTo } from '../../ask/question'
import { bendStraighten } from '../../face/question'
import { flatLap } from '../../flat/question'
import { flatEvaluate } from '../../flat/question'
import { holesCircle } from '../../face/question'
import { fitSlug } from '../../fit/question'
import { said } from '../../job/fields/said'
import { findAlloy } from '../../metal/find-alloy'
import { mechanicalOf } from '../../metal/mechanical.table'
import type { Alloy } from '../../metal/alloys.table'
import { finishAdvice, type FinishAdvice } from '../../face/finish'
import { boltedFlat, decideFace, type FaceDecision } from '../../flat/decide'
import type { Point3 } from '../../flat/plane'
import { serviceHeatC } from '../../job/service-heat'
import type { Job, Kit } from '../../job/job.schema'
import type { ProcessId } from '../../call/process.table'
import { findThread } from '../../thread/find'
import { kitDrills } from '../../thread/kit-drills'
import type { BossMethod } from '../../thread/methods.table'
import type { Thread } from '../../thread/thread'
import { askFor, type AskedForPlan } from '../ask-core'
import { BRAZE_ROD_OF } from '../../call/braze-rod.table'
import { machiningList, type MachiningList } from './machining'
import type { Working } from '../parts'

/** An answer with its working, or in words why there is none; null where nothing was asked. */
export type Found<T> = { answer: T; working: Working } | { reason: string } | null

const found = <T>(asked: AskedForPlan<T>): Found<T> =>
  asked.ok ? { answer: asked.answer, working: asked.working } : { reason: asked.reason }

/** The thread named at Rebuild, or null. */
export const threadOf = ({ rebuild }: Job): Thread | null =>
  rebuild.thread.trim() ? (findThread(rebuild.thread) ?? null) : null

/** The slug that this boss takes. */
export function slugOf(job: Job, body: Alloy, thread: Thread | null): Found<AnswerTo<typeof fitSlug>> {
  const { rebuild } = job
  if (!thread || !rebuild.bossMm.value || !rebuild.threadDeepMm.value) return null
  const { clearanceMm, chamferMm, facedMm } = said(job, 'rebuild')
  const or = <T>(key: string, value: T | null) => (value === null ? {} : { [key]: value })
  return found(
    askFor(fitSlug, 'The slug', {
      threadMajorMm: thread.majorMm,
      bossMm: rebuild.bossMm.value,
      depthMm: rebuild.threadDeepMm.value,
      bodyAlloy: body.name,
      slugAlloy: rebuild.slugAlloy || '6061',
      cold: rebuild.cold,
      clearanceMm: Math.max(0, clearanceMm),
      serviceC: serviceHeatC(job),
      chamferMm,
      facedMm: Math.max(0, facedMm),
      ...or('beneathMm', rebuild.beneathMm.value),
      ...or('slugMm', rebuild.slugMm.value),
      ...or('interferenceMm', rebuild.interferenceMm.value),
      ...or('hubC', rebuild.hubC.value),
    }),
  )
}

/** The list at the machine for the way chosen. */
export function listOf(
  job: Job,
  kit: Kit,
  body: Alloy,
  thread: Thread | null,
  way: BossMethod | null,
  slug: AnswerTo<typeof fitSlug> | null,
  proudMm: number,
  cutsMm: readonly number[],
): MachiningList | null {
  const { rebuild } = job
  if (!thread || !way || !rebuild.threadDeepMm.value || (way === 'pressed-slug' && !slug)) return null
  if ((way === 'wire-insert' || way === 'solid-insert') && (thread.flankDeg !== 60 || thread.taperDeg > 0)) return null
  const { chamferMm, facedMm } = said(job, 'rebuild')
  return machiningList({
    way,
    thread,
    depthMm: Math.max(0.5, rebuild.threadDeepMm.value),
    beneathMm: rebuild.beneathMm.value,
    proudMm,
    cutsMm,
    slug,
    chamferMm,
    facedMm: Math.min(Math.max(0, facedMm), chamferMm * 0.9),
    body,
    slugAlloy: findAlloy(rebuild.slugAlloy) ?? findAlloy('6061')!,
    drills: kitDrills(kit.drills).drills,
  })
}

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

/** Pressing a bent flange back. */
export function bendOf({ rebuild, takeIn }: Job, body: Alloy): Found<AnswerTo<typeof bendStraighten>> {
  const thickMm = rebuild.face.thickMm.value ?? takeIn.wallMm.value
  if (!rebuild.bentMm.value || !rebuild.bentOverMm.value || !thickMm) return null
  return found(
    askFor(bendStraighten, 'Pressing it back', {
      outMm: rebuild.bentMm.value,
      overMm: rebuild.bentOverMm.value,
      thickMm,
      alloy: body.name,
    }),
  )
}

/** What the coating afterwards does. */
export const finishOf = ({ takeIn }: Job, body: Alloy, filler: string, process: ProcessId): FinishAdvice =>
  finishAdvice(takeIn.finishAfter, body, findAlloy(filler) ?? null, BRAZE_ROD_OF[process] ?? null)
