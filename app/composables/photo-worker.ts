import { wrap, type Remote } from 'comlink'
import type { PhotoWorker } from '~/workers/photo.worker'

let shared: Remote<PhotoWorker> | null = null

/** The one worker that reads pictures; started when first asked. */
export function photoWorker(): Remote<PhotoWorker> {
  shared ??= wrap<PhotoWorker>(
    new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module', name: 'photo' }),
  )
  return shared
}
