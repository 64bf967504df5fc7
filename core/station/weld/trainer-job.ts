import { said } from '../../job/fields/said'
import { rodForWall } from '../../lay/means'
import { findAlloy } from '../../metal/find-alloy'
import type { Job } from '../../job/job.schema'
import type { TrainedJob } from '../../job/trained.schema'
import type { Dirt } from '../../puddle/pool/surface.table'
import type { JobPlan } from '../plan-job'

const DIRT_OF: Record<NonNullable<Job['takeIn']['soak']>, Dirt> = {
  dry: 'clean',
  handled: 'handled',
  oily: 'oily',
  'oil-soaked': 'oil-soaked',
}

/** The all-round size, where nothing is set yet. Common practice, no source. */
const USUAL_TUNGSTEN_MM = 2.4

/** What the trainer needs of a job: alloy, filler, wall, what it is warmed to, dirt; or what is wanted first. */
export function trainerJob(job: Job, plan: JobPlan): TrainedJob | { wants: string } {
  const alloy = findAlloy(plan.know.data.alloy.name)
  const wallMm = job.takeIn.wallMm.value
  if (!alloy) return { wants: 'the alloy' }
  if (!wallMm) return { wants: 'the wall' }
  const { warmth } = plan.warm.data
  const set = plan.weld.data.setUp?.set
  const row = plan.mends.rows.find(({ planned }) => planned?.filler)
  const filler = row?.planned?.filler ?? plan.call.data.fillerAlloy
  return {
    title: job.title || 'this part',
    alloy: alloy.name,
    filler: findAlloy(filler) ? filler : '4043',
    wallMm,
    startC: warmth.need === 'none' ? said(job, 'warm').startC : warmth.toC,
    dirt: job.takeIn.soak ? DIRT_OF[job.takeIn.soak] : 'handled',
    rodMm: row?.rodMm ?? rodForWall(wallMm),
    enPct: set?.enPct ?? said(job, 'weld').enPct,
    tungstenMm: set?.tig?.tungstenMm ?? USUAL_TUNGSTEN_MM,
    mostA: set?.machine?.highA ?? null,
  }
}
