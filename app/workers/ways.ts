import { NoAnswer } from '#core/ask/question'
import type { Job, Kit } from '#core/job/job.schema'
import { shownMatters, type ShownMatters } from '#core/station/matters/shown'
import { shownWays, type ShownWays } from '#core/station/ways/shown'
import { keptWork, takenBack } from './kept-work'

export type Told<T> = { ok: true; value: T | null } | { ok: false; reason: string } | { ok: 'stopped' }

const TELL_EVERY_MS = 60
const breathe = () =>
  new Promise<void>(resolve => {
    setTimeout(resolve, 0)
  })

let wanted = 0

/** Runs to its end, telling how far it is, or until another is asked for. */
async function run<T>(
  running: Generator<unknown, T | null>,
  share: (at: never) => number,
  tell: (share: number) => void,
): Promise<Told<T>> {
  const ticket = ++wanted
  try {
    await takenBack
    let last = Date.now()
    for (;;) {
      const next = running.next()
      if (next.done) return { ok: true, value: next.value }
      if (Date.now() - last < TELL_EVERY_MS) continue
      tell(share(next.value as never))
      await breathe()
      if (ticket !== wanted) return { ok: 'stopped' }
      last = Date.now()
    }
  } catch (error) {
    if (error instanceof NoAnswer) return { ok: false, reason: error.message }
    throw error
  }
}

/** The ways of a job, and what matters in it: hundreds of plans, off the page's thread and off the plan's own. */
export const bench = {
  ...keptWork,
  stop: (): void => {
    wanted += 1
  },
  ways: (job: Job, kit: Kit, tell: (share: number) => void): Promise<Told<ShownWays>> =>
    run(shownWays(job, kit), ({ looked, of }: { looked: number; of: number }) => looked / of, tell),
  matters: (job: Job, kit: Kit, tell: (share: number) => void): Promise<Told<ShownMatters>> =>
    run(shownMatters(job, kit), ({ drawn, of }: { drawn: number; of: number }) => drawn / of, tell),
}
