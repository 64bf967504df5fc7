import { proxy } from 'comlink'
import { WorkerGone } from './worker-gone'

/** A worker as its client sees it: what it can be asked, and the ways to be rid of it and to hear of its end. */
export interface Hand {
  readonly bench: object
  readonly end: () => void
  /** Tells once of its end, in words; `heard` tells of every sign of life. */
  readonly watch: (on: { gone: (why: string) => void; heard: () => void }) => void
}
type Method = (...given: unknown[]) => Promise<unknown>

/** A question that fell with its worker is put to a new one so many times. */
const MOST_TIMES = 2

export interface Client {
  readonly bench: object
  readonly end: () => void
}

/**
 * One worker for whoever asks: begun with the first question, begun anew after it ended, with the question that fell
 * with it put once more. A worker that says nothing for too long while it is asked counts as ended.
 * @param begin starts a worker @param silentMs as long as it may work without a sign of life
 */
export function workerClient(begin: () => Hand, silentMs: number): Client {
  interface Current {
    readonly hand: Hand
    readonly gone: Promise<never>
    readonly fail: (why: string) => void
    heardAt: number
  }
  let current: Current | null = null
  let ended = false

  function take(): Current {
    if (current) return current
    const hand = begin()
    let fail: (why: string) => void = () => undefined
    const gone = new Promise<never>((_, reject) => {
      fail = why => {
        if (ended) return
        if (current?.hand === hand) current = null
        hand.end()
        reject(new WorkerGone(why))
      }
    })
    gone.catch(() => undefined)
    const mine: Current = { hand, gone, fail, heardAt: Date.now() }
    hand.watch({
      gone: fail,
      heard: () => {
        mine.heardAt = Date.now()
      },
    })
    current = mine
    return mine
  }

  /** A worker that tells how far it is is at work. */
  const heardBy = (mine: Current, given: readonly unknown[]) =>
    given.map(each =>
      typeof each === 'function'
        ? proxy((...told: unknown[]) => {
            mine.heardAt = Date.now()
            return (each as (...told: unknown[]) => unknown)(...told)
          })
        : each,
    )

  async function once(name: string, given: readonly unknown[]): Promise<unknown> {
    const mine = take()
    mine.heardAt = Date.now()
    let timer: ReturnType<typeof setTimeout> | undefined
    const listen = () => {
      const leftMs = mine.heardAt + silentMs - Date.now()
      if (leftMs <= 0) mine.fail('it did not answer')
      else timer = setTimeout(listen, leftMs)
    }
    listen()
    try {
      const method = (mine.hand.bench as Record<string, Method>)[name]!
      return await Promise.race([method(...heardBy(mine, given)), mine.gone])
    } finally {
      clearTimeout(timer)
    }
  }
  async function ask(name: string, given: readonly unknown[]): Promise<unknown> {
    for (let times = 1; ; times++) {
      try {
        return await once(name, given)
      } catch (error) {
        if (!(error instanceof WorkerGone) || times === MOST_TIMES) throw error
      }
    }
  }

  return {
    bench: new Proxy(
      {},
      {
        get: (_, name) =>
          // Whatever is awaited is asked for it.
          typeof name === 'symbol' || name === 'then' ? undefined : (...given: unknown[]) => ask(name, given),
      },
    ),
    end() {
      ended = true
      current?.hand.end()
      current = null
    },
  }
}
