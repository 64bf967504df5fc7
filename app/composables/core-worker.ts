import { wrap, type Remote } from 'comlink'
import type { BenchWorker } from '~/workers/plan.worker'

let worker: Remote<BenchWorker> | undefined

/** The one worker that holds the core; started when first asked. */
export function coreWorker(): Remote<BenchWorker> {
  worker ??= wrap<BenchWorker>(
    new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module', name: 'core' }),
  )
  return worker
}
