import { TRY_AGAIN_MS, type StreamState } from './instrument-stream'

/** A line that is kept up: listened to until it goes dead, and taken up again after longer and longer waits. */
export abstract class KeptUpStream {
  state: StreamState = 'connecting'
  reason: string | null = null
  lostTimes = 0
  protected ended = false
  /** How often it was tried since a reading last came. */
  protected tries = 0

  constructor(
    private readonly changed: () => void,
    private readonly waitsMs: readonly number[] = TRY_AGAIN_MS,
  ) {}

  end() {
    this.ended = true
    this.to('ended')
    this.letGo()
  }

  /** Listens until the line goes dead. @returns why it is no use asking again, or null @throws where it did not open */
  protected abstract listen(): Promise<string | null>
  /** Lets go of what is held open. */
  protected abstract letGo(): void

  protected to(state: StreamState) {
    if (this.ended && state !== 'ended') return
    this.state = state
    this.changed()
  }

  /** A reading has come. */
  protected came() {
    this.tries = 0
    this.to('live')
  }

  protected async keepUp() {
    while (!this.ended) {
      const refused = await this.listen().catch((error: unknown) => {
        this.reason = error instanceof Error ? error.message : 'the line will not open'
        return null
      })
      if (this.ended) return
      if (refused) {
        this.reason = refused
        return this.to('refused')
      }
      if (this.state === 'live') this.lostTimes += 1
      this.to('lost')
      await new Promise(resolve => setTimeout(resolve, this.waitsMs[Math.min(this.tries++, this.waitsMs.length - 1)]))
    }
  }
}
