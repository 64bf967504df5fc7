import { wrap, type Remote } from 'comlink'
import type { BenchOf, Role } from './roles'

export type Bench<R extends Role> = Remote<BenchOf<R>>

/** A worker of its own in one of the roles; whoever starts it ends it. */
export function startWorker<R extends Role>(role: R): { bench: Bench<R>; end: () => void } {
  const worker = new Worker(new URL('./role.worker.ts', import.meta.url), { type: 'module', name: role })
  return { bench: wrap<BenchOf<R>>(worker), end: () => worker.terminate() }
}
