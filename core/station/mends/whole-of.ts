import { NoAnswer } from '../../ask/question'
import type { Job, Kit } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { findAlloy } from '../../metal/find-alloy'
import type { JobGiven, MendGiven } from '../../job-plan/job-given'
import type { JobPlanned } from '../../job-plan/job-planned'
import { planWhole } from '../../job-plan/plan'
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
  trouble: string | null
}

/** The other piece of a joint, where anything is said of it; else it is as the part. */
function otherBody({ id, kind, other }: StoredMend, [main]: Bodies): Bodies {
  const alloy = findAlloy(other.alloy)
  const wallMm = other.wallMm.value
  if (kind !== 'joint' || !(alloy || wallMm)) return []
  return [{ id, alloy: alloy ?? main!.alloy, wallMm: wallMm || main!.wallMm }]
}

/** The whole job worked out by the plan that answers `job.plan`: part, kit, what was picked for it, and its mends. */
export function wholeOf(job: Job, kit: Kit, know: KnowData): WholeOfJob {
  const { part, assumedG } = partOf(job, know)
  const ready = job.mends.map(mend => ({ mend, found: resolved(mend) }))
  const able = ready.flatMap(({ mend, found }) => ('values' in found ? [{ mend, values: found.values }] : []))
  const bodies = [...part.bodies, ...able.flatMap(({ mend }) => otherBody(mend, part.bodies))]
  const mends = able.map(({ mend, values }): MendGiven => ({
    id: mend.id,
    kind: mend.kind,
    bodies: bodies.some(body => body.id === mend.id) ? ['part', mend.id] : ['part'],
    opened: mend.opened,
    order: mend.order,
    values,
    lays: laysGiven(job, mend),
  }))
  const found = { part, assumedG, bodies, ready, planned: null, trouble: null }
  if (!mends.length) return found
  const { wanted, school, startC } = warmWish(job)
  try {
    const planned = planWhole({
      kit: kitOf(kit, job),
      part: { ...part, bodies },
      warm: wanted,
      warmSchool: school,
      startC,
      fillers: fillersOf(job),
      access: job.call.access,
      mends,
    })
    return { ...found, planned }
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    return { ...found, trouble: error.message }
  }
}
