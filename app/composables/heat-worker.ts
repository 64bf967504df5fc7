import { wrap, type Remote } from 'comlink'
import type { HeatWorker } from '~/workers/heat.worker'

/** A worker of its own for each set-up, so that two can run side by side. */
export function startHeatWorker(): { heat: Remote<HeatWorker>; end: () => void } {
  const worker = new Worker(new URL('../workers/heat.worker.ts', import.meta.url), { type: 'module', name: 'heat' })
  return { heat: wrap<HeatWorker>(worker), end: () => worker.terminate() }
}
