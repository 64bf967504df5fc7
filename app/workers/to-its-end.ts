import { NoAnswer } from '#core/ask/question'

/** What came of a long run: its value, why there is none, or that another was wished for meanwhile. */
export type Told<T> = { ok: true; value: T } | { ok: false; reason: string } | { ok: 'stopped' }

const TELL_EVERY_MS = 60
/** Lets messages in: a stop, or a newer wish. */
const breathe = () =>
  new Promise<void>(resolve => {
    setTimeout(resolve, 0)
  })

/** Long runs of one worker, of which the last that was wished for goes on. */
export function longRuns() {
  let wanted = 0
  return {
    stop: (): void => {
      wanted += 1
    },
    /** Runs to its end, telling how far it is; `broken` says what to do where the program itself is at fault. */
    async run<P, T>(
      begin: () => Generator<P, T> | Promise<Generator<P, T>>,
      shareOf: (at: P) => number,
      tell: (share: number) => void,
      broken: string,
    ): Promise<Told<T>> {
      const ticket = ++wanted
      try {
        const running = await begin()
        let last = Date.now()
        for (;;) {
          const next = running.next()
          if (next.done) return { ok: true, value: next.value }
          if (Date.now() - last < TELL_EVERY_MS) continue
          tell(shareOf(next.value))
          await breathe()
          if (ticket !== wanted) return { ok: 'stopped' }
          last = Date.now()
        }
      } catch (error) {
        return { ok: false, reason: error instanceof NoAnswer ? error.message : broken }
      }
    },
  }
}
