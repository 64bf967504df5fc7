import { startWorker, type Bench } from '~/workers/start'

let shared: Bench<'photo'> | null = null

/** The one worker that reads pictures; started when first asked. */
export function photoWorker(): Bench<'photo'> {
  shared ??= startWorker('photo').bench
  return shared
}
