import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import type { Asked } from '../../core/ask/registry'

interface Waiting {
  id: number
  name: string
  input: unknown
  done: (outcome: Outcome) => void
}
export type Outcome =
  | { kind: 'asked'; asked: Asked }
  | { kind: 'full' }
  | { kind: 'too-long'; seconds: number }
  | { kind: 'broke' }
  /** Whoever asked is no longer there. */
  | { kind: 'left' }

/** Where the built server keeps its worker; under `nuxt dev` there is none. */
const builtWorker = () =>
  [
    new URL('../../ask-worker.mjs', import.meta.url),
    new URL('./ask-worker.mjs', import.meta.url),
    new URL('../ask-worker.mjs', import.meta.url),
  ]
    .map(url => fileURLToPath(url))
    .find(path => existsSync(path))

/**
 * One thread that answers questions in turn. No more than so many wait; one that takes too long is ended with its
 * thread, and the next gets a new one: a heavy question holds up neither the server nor the questions of another lane.
 */
export class Lane {
  private worker: Worker | null = null
  private busy: Waiting | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  private readonly waiting: Waiting[] = []
  private next = 0

  constructor(
    private readonly mostWaiting: number,
    private readonly mostSeconds: number,
    private readonly script = builtWorker(),
  ) {}

  /** Whether questions can be answered on a thread at all. */
  get threaded() {
    return this.script !== undefined
  }

  /** @param left tells that whoever asks has gone: what waits is taken off, what is being worked out is ended */
  ask(name: string, input: unknown, left?: AbortSignal): Promise<Outcome> {
    if (left?.aborted) return Promise.resolve({ kind: 'left' })
    if (this.waiting.length >= this.mostWaiting) return Promise.resolve({ kind: 'full' })
    return new Promise(done => {
      const asked = { id: this.next++, name, input, done }
      this.waiting.push(asked)
      left?.addEventListener('abort', () => this.drop(asked), { once: true })
      this.go()
    })
  }

  private drop(asked: Waiting) {
    const place = this.waiting.indexOf(asked)
    if (place >= 0) {
      this.waiting.splice(place, 1)
      asked.done({ kind: 'left' })
    } else if (this.busy === asked) this.end({ kind: 'left' })
  }

  private go() {
    if (this.busy || !this.waiting.length) return
    this.busy = this.waiting.shift()!
    const { id, name, input } = this.busy
    this.worker ??= this.start()
    this.timer = setTimeout(() => {
      this.end({ kind: 'too-long', seconds: this.mostSeconds })
    }, this.mostSeconds * 1000)
    this.worker.ref()
    try {
      this.worker.postMessage({ id, name, input })
    } catch {
      // What cannot be handed over (nested past all measure) leaves the lane free for the next.
      this.finish({ kind: 'broke' })
    }
  }

  private start(): Worker {
    const worker = new Worker(this.script!)
    worker.on('message', ({ id, asked }: { id: number; asked: Asked }) => {
      if (this.busy?.id === id) this.finish({ kind: 'asked', asked })
    })
    const broke = () => {
      if (this.worker !== worker) return
      this.worker = null
      if (this.busy) this.finish({ kind: 'broke' })
    }
    worker.on('error', broke)
    worker.on('exit', broke)
    return worker
  }

  /** Ends what is being worked out with its thread. */
  private end(outcome: Outcome) {
    void this.worker?.terminate()
    this.worker = null
    this.finish(outcome)
  }

  private finish(outcome: Outcome) {
    clearTimeout(this.timer)
    const { done } = this.busy!
    this.busy = null
    // An idle thread keeps no program from ending.
    this.worker?.unref()
    done(outcome)
    this.go()
  }
}
