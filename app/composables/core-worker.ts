import { wrap, type Remote } from 'comlink'
import type { Job, Kit } from '#core/job/job.schema'
import { withNews } from '#core/plan/news'
import type { JobPlan } from '#core/plan/plan-job'
import { lendKept } from './kept-work'
import type { BenchWorker } from '~/workers/plan.worker'

let worker: Remote<BenchWorker> | undefined

/** The one worker that holds the core; started when first asked. */
export function coreWorker(): Remote<BenchWorker> {
  if (!worker) {
    worker = wrap<BenchWorker>(
      new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module', name: 'core' }),
    )
    void lendKept(worker)
  }
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
