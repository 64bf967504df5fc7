import { wrap, type Remote } from 'comlink'
import { workerClient, type Hand } from './client'
import type { BenchOf, Role } from './roles'

export type Bench<R extends Role> = Remote<BenchOf<R>>

/** As long as a worker may work without a sign of life, ms; a shop of thousands of jobs is read at one go. */
const SILENT_MS = 120_000
const SILENT_WITH_FILES_MS = 900_000

/** Begins a worker in one of the roles, and watches over it. */
function beginHand<R extends Role>(role: R, begun: (bench: Bench<R>) => void): Hand {
  const id = crypto.randomUUID()
  const worker = new Worker(new URL('./role.worker.ts', import.meta.url), { type: 'module', name: `${role} ${id}` })
  const bench = wrap<BenchOf<R>>(worker)
  begun(bench)
  const left = new AbortController()
  return {
    bench,
    end() {
      left.abort()
      worker.terminate()
    },
    watch({ gone, heard }) {
      let isUp = false
      worker.addEventListener('error', event => {
        event.preventDefault()
        gone(isUp ? 'it broke while this was worked out' : 'the part of the program for this could not be fetched')
      })
      worker.addEventListener('messageerror', () => gone('what it answered could not be read'))
      worker.addEventListener('message', ({ data }: MessageEvent<{ holds?: string } | null>) => {
        heard()
        isUp = true
        // Let go of with its life alone: an end that nothing tells of is heard at once.
        if (data?.holds === id)
          navigator.locks
            .request(id, { signal: left.signal }, () => gone('it ended while this was worked out'))
            .catch(() => undefined)
      })
    },
  }
}

/**
 * A worker of its own in one of the roles, begun when it is first asked; whoever starts it ends it.
 * @param begun told of each worker that is begun, before it is asked anything
 */
export function startWorker<R extends Role>(
  role: R,
  begun: (bench: Bench<R>) => void = () => undefined,
): { bench: Bench<R>; end: () => void } {
  const { bench, end } = workerClient(() => beginHand(role, begun), role === 'files' ? SILENT_WITH_FILES_MS : SILENT_MS)
  return { bench: bench as Bench<R>, end }
}
