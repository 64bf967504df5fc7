import { wrap } from 'comlink'
import { lendKept } from './kept-work'
import type { DayWorker } from '~/workers/day.worker'

/** A worker for the day's plan; whoever starts it ends it. */
export function dayWorker() {
  const worker = new Worker(new URL('../workers/day.worker.ts', import.meta.url), { type: 'module', name: 'day' })
  const day = wrap<DayWorker>(worker)
  void lendKept(day)
  return { day, end: () => worker.terminate() }
}
