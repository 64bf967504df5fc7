import { wrap, type Remote } from 'comlink'
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
