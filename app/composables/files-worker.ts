import { wrap, type Remote } from 'comlink'
import type { FilesBench } from '~/workers/files-bench'

let worker: Remote<FilesBench> | undefined

/** The one worker that reads and writes files; started when first asked. */
export function filesWorker(): Remote<FilesBench> {
  worker ??= wrap<FilesBench>(
    new Worker(new URL('../workers/files.worker.ts', import.meta.url), { type: 'module', name: 'files' }),
  )
  return worker
}
