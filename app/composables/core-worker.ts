import type { Job, Kit } from '#core/job/job.schema'
import { withNews } from '#core/station/news'
import type { JobPlan } from '#core/station/plan-job'
import { startLent } from './kept-work'
import type { Bench } from '~/workers/start'

let worker: Bench<'plan'> | undefined

/** The one worker that holds the core; started when first asked. */
export function coreWorker(): Bench<'plan'> {
  worker ??= startLent('plan').bench
  return worker
}

/** The plan as it was told last; what is told next leaves out all that is as it was. */
let told: JobPlan | null = null

/** A job's plan. What is as it was in the plan before is the very same object. Answers come in the order asked. */
export async function planned(job: Job, kit: Kit): Promise<JobPlan> {
  const since = await coreWorker().planNews(job, kit)
  told = withNews(told, since) as JobPlan
  return told
}
