import { proxy, type Remote } from 'comlink'
import { useRuntimeConfig } from '#imports'
import { keepForLater, keptBefore } from '~/db/kept'
import type { KeptWork } from '~/workers/kept-work'

/** Gives a worker what earlier pages worked out, and keeps what it finds for the next. */
export async function lendKept(worker: Remote<KeptWork>): Promise<void> {
  const build = useRuntimeConfig().app.buildId
  await worker.takeBack(
    await keptBefore(build),
    proxy(kept => {
      void keepForLater(build, kept)
    }),
  )
}
