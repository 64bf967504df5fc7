import { startWorker, type Bench } from '~/workers/start'

let worker: Bench<'files'> | undefined

/** The one worker that reads and writes files; started when first asked. */
export function filesWorker(): Bench<'files'> {
  worker ??= startWorker('files').bench
  return worker
}
