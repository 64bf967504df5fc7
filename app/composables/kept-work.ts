import { proxy, type Remote } from 'comlink'
import { useRuntimeConfig } from '#imports'
import { keepForLater, keptBefore } from '~/db/kept'
import type { KeptWork } from '~/workers/kept-work'
import { startWorker } from '~/workers/start'

/** A store that does not open in this time holds nothing up: what it keeps is worked out anew. */
const LONGEST_WAIT_MS = 3000
const nothing = () =>
  new Promise<[]>(resolve => {
    setTimeout(resolve, LONGEST_WAIT_MS, [])
  })

/** Gives a worker what earlier pages worked out, and keeps what it finds for the next. */
async function lendKept(worker: Remote<KeptWork>): Promise<void> {
  const build = useRuntimeConfig().app.buildId
  await worker.takeBack(
    await Promise.race([keptBefore(build), nothing()]),
    proxy(kept => {
      void keepForLater(build, kept)
    }),
  )
}

/** A worker that plans whole jobs, with what earlier pages worked out; whoever starts it ends it. */
export function startLent<R extends 'day' | 'plan' | 'shelf' | 'ways'>(role: R) {
  return startWorker(role, bench => void lendKept(bench))
}
