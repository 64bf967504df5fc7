import { wrap } from 'comlink'
import { lendKept } from './kept-work'
import type { ShelfWorker } from '~/workers/shelf.worker'

/** A worker for the shelf; whoever starts it ends it. */
export function shelfWorker() {
  const worker = new Worker(new URL('../workers/shelf.worker.ts', import.meta.url), { type: 'module', name: 'shelf' })
  const shelf = wrap<ShelfWorker>(worker)
  void lendKept(shelf)
  return { shelf, end: () => worker.terminate() }
}
