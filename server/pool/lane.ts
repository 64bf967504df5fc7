import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'

export type Outcome<Found> =
  | { kind: 'found'; found: Found }
  /** Too many wait already. */
  | { kind: 'full' }
  | { kind: 'too-long'; seconds: number }
  /** It took more memory than a thread has. */
  | { kind: 'too-large' }
  | { kind: 'broke' }
  /** Whoever asked is no longer there. */
  | { kind: 'left' }

export interface Limits {
  readonly mostWaiting: number
  readonly mostSeconds: number
  /** Of what a thread builds itself; what a library lays out for itself is not counted by it. */
  readonly memoryMb: number
  /**
   * What is being worked out is ended when whoever asked leaves. Left out where a question takes less than starting a
   * thread anew.
   */
  readonly endsWhatIsLeft?: boolean
}

/** What a thread answers with; one that is spent is ended, and the next piece of work gets a new one. */
export interface Reply<Found> {
  readonly id: number
  readonly found: Found
  readonly spent?: boolean
}

interface Waiting<Task, Found> {
  readonly id: number
  readonly task: Task
  readonly done: (outcome: Outcome<Found>) => void
}

/** Where the built server keeps a script of its own; under `nuxt dev` there is none. */
export const builtScript = (name: string) =>
  ['../../', './', '../']
    .map(folder => fileURLToPath(new URL(`${folder}${name}`, import.meta.url)))
    .find(path => existsSync(path))

/**
 * One thread that works in turn. No more than so many wait; what takes too long is ended with its thread, and the next
 * gets a new one: a heavy piece of work holds up neither the server nor another lane.
 */
export class Lane<Task, Found> {
  private worker: Worker | null = null
  private busy: Waiting<Task, Found> | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  private readonly waiting: Waiting<Task, Found>[] = []
  private next = 0

  constructor(
    private readonly limits: Limits,
    private readonly script: string | undefined,
  ) {}

  /** Whether there is a thread to work on at all. */
  get threaded() {
    return this.script !== undefined
  }

  /** @param left tells that whoever asks has gone: what waits is taken off, what is being worked out is ended */
  ask(task: Task, left?: AbortSignal): Promise<Outcome<Found>> {
    if (left?.aborted) return Promise.resolve({ kind: 'left' })
    if (this.waiting.length >= this.limits.mostWaiting) return Promise.resolve({ kind: 'full' })
    return new Promise(done => {
      const asked = { id: this.next++, task, done }
      this.waiting.push(asked)
      left?.addEventListener('abort', () => this.drop(asked), { once: true })
      this.go()
    })
  }

  private drop(asked: Waiting<Task, Found>) {
    const place = this.waiting.indexOf(asked)
    if (place >= 0) {
      this.waiting.splice(place, 1)
      asked.done({ kind: 'left' })
    } else if (this.busy === asked && this.limits.endsWhatIsLeft) this.end({ kind: 'left' })
  }

  private go() {
    if (this.busy || !this.waiting.length) return
    this.busy = this.waiting.shift()!
    const { id, task } = this.busy
    this.worker ??= this.start()
    this.timer = setTimeout(() => {
      this.end({ kind: 'too-long', seconds: this.limits.mostSeconds })
    }, this.limits.mostSeconds * 1000)
    this.worker.ref()
    try {
      this.worker.postMessage({ id, task })
    } catch {
      // What cannot be handed over (nested past all measure) leaves the lane free for the next.
      this.finish({ kind: 'broke' })
    }
  }

  private start(): Worker {
    const worker = new Worker(this.script!, { resourceLimits: { maxOldGenerationSizeMb: this.limits.memoryMb } })
    worker.on('message', ({ id, found, spent }: Reply<Found>) => {
      if (this.busy?.id !== id) return
      if (spent) this.end({ kind: 'found', found })
      else this.finish({ kind: 'found', found })
    })
    const broke = (kind: 'broke' | 'too-large') => {
      if (this.worker !== worker) return
      this.worker = null
      if (this.busy) this.finish({ kind })
    }
    worker.on('error', error =>
      broke((error as NodeJS.ErrnoException).code === 'ERR_WORKER_OUT_OF_MEMORY' ? 'too-large' : 'broke'),
    )
    worker.on('exit', () => broke('broke'))
    return worker
  }

  /** Ends what is being worked out with its thread. */
  private end(outcome: Outcome<Found>) {
    void this.worker?.terminate()
    this.worker = null
    this.finish(outcome)
  }

  private finish(outcome: Outcome<Found>) {
    clearTimeout(this.timer)
    const { done } = this.busy!
    this.busy = null
    // An idle thread keeps no program from ending.
    this.worker?.unref()
    done(outcome)
    this.go()
  }
}
