import { wrap, type Remote } from 'comlink'
import type { FilesWorker } from '~/workers/files.worker'

let worker: Remote<FilesWorker> | undefined

/** The one worker that reads and writes files; started when first asked. */
export function filesWorker(): Remote<FilesWorker> {
  worker ??= wrap<FilesWorker>(
    new Worker(new URL('../workers/files.worker.ts', import.meta.url), { type: 'module', name: 'files' }),
  )
  return worker
}
