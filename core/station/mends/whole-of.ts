import { z } from 'zod'
import { NoAnswer } from '../../ask/question'
import { shapeOf } from '../../field/field'
import { ringOf } from '../../job-plan/decide/order'
import { newMend } from '../../job/new-mend'
import { isOfKind, kindOf, NOTIONAL } from '../../mend/registry'
import type { Job, Kit } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { findAlloy } from '../../metal/find-alloy'
import type { JobGiven, MendGiven } from '../../job-plan/job-given'
import type { JobPlanned } from '../../job-plan/job-planned'
import { planWhole } from '../../job-plan/plan'
import { leftOutOf } from '../prove/left-out'
import type { Doing } from '../../job-plan/doing'
import { groundOutPasses } from '../../puddle/next-move'
import { warmedOnCells } from '../warm/warm-on-part'
import { said } from '../../job/fields/said'
import type { KnowData } from '../know/know'
import { warmWish } from '../warm/warm-decision'
import { fillersOf, kitOf, laysGiven } from './at-hand'
import { partOf, resolved } from './mend-given'

type Bodies = JobGiven['part']['bodies']

/** A stored job as `job.plan` takes it, and what came of it. */
export interface WholeOfJob {
  part: JobGiven['part']
  /** Taken for its mass, g, where nobody weighed or measured it. */
  assumedG: number | null
  /** The part's own, then the other piece of each joint that has one, by the joint's id. */
  bodies: Bodies
  /** Every mend with its readings, or what it wants. */
  ready: { mend: StoredMend; found: ReturnType<typeof resolved> }[]
  /** Null where no mend has its readings, or the part can't be planned. */
  planned: JobPlanned | null
  /** The plan that the call goes by: of the mends, else of what is taken for one; null where nothing can be planned. */
  judgedBy: JobPlanned | null
  trouble: string | null
}

/** The other piece of a joint, where anything is said of it; else it is as the part. */
function otherBody({ id, kind, other }: StoredMend, [main]: Bodies): Bodies {
  const alloy = findAlloy(other.alloy)
  const wallMm = other.wallMm.value
  if (!isOfKind(kind, 'two-bodies') || !(alloy || wallMm)) return []
  return [{ id, alloy: alloy ?? main!.alloy, wallMm: wallMm || main!.wallMm }]
}

/** Where mends are marked on the part, mm, by their ids. */
const placesOf = ({ shape }: Job): Map<string, readonly number[]> =>
  new Map(
    shape.marks.flatMap(mark => {
      if (mark.kind !== 'mend' || !mark.mend) return []
      const { x, y, z } = mark.at
      return x.value === null || y.value === null || z.value === null
        ? []
        : [[mark.mend, [x.value, y.value, z.value]] as const]
    }),
  )

/** What a stored job holds beside its readings that counts in its plan. */
function doingOf(job: Job): Doing {
  const again = job.mends.map(({ id }) => [id, groundOutPasses(job.weld.log.filter(one => one.mend === id))] as const)
  return {
    decision: job.call.decision,
    again: Object.fromEntries(again.filter(([, passes]) => passes > 0)),
    extras: job.handOver.other.map(({ id, name, price }) => ({ id, name, price })),
    leftOut: leftOutOf(job),
    currentA: job.weld.currentA.value || null,
    flowLMin: said(job, 'weld').flowLMin,
    interpassC: job.weld.interpassC.value,
  }
}

/** A part and its mends as the plan takes them, with what else the job says. */
function givenOf(job: Job, kit: Kit, know: KnowData, part: JobGiven['part'], mends: readonly MendGiven[]): JobGiven {
  const { wanted, school, startC } = warmWish(job)
  return {
    kit: kitOf(kit, job),
    part,
    warm: wanted,
    warmSchool: school,
    startC,
    fillers: fillersOf(job),
    access: job.call.access,
    mends,
    doing: doingOf(job),
    onCells: (warm, hot) => warmedOnCells(job, kit, know.alloy, warm, hot),
  }
}

/** What a part without mends is judged by at its call. */
function notional(job: Job): MendGiven {
  const mend: StoredMend = { ...newMend('notional', NOTIONAL.kind), readings: {} }
  return {
    id: mend.id,
    kind: mend.kind,
    bodies: ['part'],
    opened: false,
    order: mend.order,
    values: z.strictObject(shapeOf(kindOf(mend.kind).fields)).parse(NOTIONAL.readings),
    lays: laysGiven(job, mend),
  }
}

/** A stored job as the plan takes it, without what came of it. */
interface Given extends Omit<WholeOfJob, 'planned' | 'judgedBy' | 'trouble'> {
  given: JobGiven
  /** Whether it has mends of its own; else it is judged by what is taken for one. */
  hasMends: boolean
}

/** What a stored job gives the plan. */
export function givenOfJob(job: Job, kit: Kit, know: KnowData): Given {
  const { part, assumedG } = partOf(job, know)
  const ready = job.mends.map(mend => ({ mend, found: resolved(mend) }))
  const able = ready.flatMap(({ mend, found }) => ('values' in found ? [{ mend, values: found.values }] : []))
  const bodies = [...part.bodies, ...able.flatMap(({ mend }) => otherBody(mend, part.bodies))]
  const placed = placesOf(job)
  const there = new Set(able.map(({ mend }) => mend.id))
  const mends = able.map(({ mend, values }): MendGiven => ({
    id: mend.id,
    kind: mend.kind,
    bodies: bodies.some(body => body.id === mend.id) ? ['part', mend.id] : ['part'],
    opened: mend.opened,
    order: mend.order,
    // One that it waits for may be gone meanwhile, or want its readings still.
    values: { ...values, after: ringless(values.after, mend.id, able, there) },
    lays: laysGiven(job, mend),
    atMm: placed.get(mend.id),
  }))
  const hasMends = mends.length > 0
  const given = hasMends
    ? givenOf(job, kit, know, { ...part, bodies }, mends)
    : givenOf(job, kit, know, part, [notional(job)])
  return { part, assumedG, bodies, ready, given, hasMends }
}

/**
 * The whole job worked out by the plan that answers `job.plan`: part, kit, what was picked for it, and its mends; with
 * the lines near its decisions where they are looked for.
 */
export function wholeOf(job: Job, kit: Kit, know: KnowData, looksNear = false): WholeOfJob {
  const { given, hasMends, ...found } = givenOfJob(job, kit, know)
  try {
    const judgedBy = planWhole(given, looksNear && hasMends)
    return { ...found, planned: hasMends ? judgedBy : null, judgedBy, trouble: null }
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    return { ...found, planned: null, judgedBy: null, trouble: error.message }
  }
}

/** What a stored job's mends still want before it can be planned. */
export function wantsStill(ready: WholeOfJob['ready']): string {
  const wants = ready.flatMap(({ found }) => ('wants' in found ? found.wants : []))
  return wants.length ? `its mends still want ${wants.join(', ')}` : 'it has no mend yet'
}

/** Mends that one waits for, where they are there and do not wait for it in turn. */
function ringless(
  after: unknown,
  id: string,
  able: readonly { mend: StoredMend; values: Record<string, unknown> }[],
  there: ReadonlySet<string>,
): string[] {
  const waits = able.map(({ mend, values }) => ({ id: mend.id, after: idsIn(values.after, there) }))
  return ringOf(waits)?.includes(id) ? [] : idsIn(after, there)
}
const idsIn = (value: unknown, there: ReadonlySet<string>): string[] =>
  Array.isArray(value) ? value.filter((one): one is string => typeof one === 'string' && there.has(one)) : []
