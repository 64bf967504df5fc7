import type { Line, Other } from './line'
import type { MessageOf } from './message.schema'
import type { Place, Shelf } from './shelf'

/** Bytes of a file in one message. */
export const PART_BYTES = 192 * 1024
/** Files on their way at once, and how long a piece is waited for at least before another screen is asked. */
const AT_ONCE = 2
const PATIENCE_MS = 8000

interface Awaited {
  readonly place: Place
  /** Who is asked for it. */
  readonly from: string
  readonly since: number
}

const keyOf = ({ jobId, id }: Place) => `${jobId}/${id}`

/**
 * Pictures and shapes of jobs that came without them: asked for piece by piece, so that what breaks off goes on where
 * it was, from whichever screen is there.
 */
export class Fetching {
  private readonly queue = new Map<string, Place>()
  private readonly awaited = new Map<string, Awaited>()
  /** Screens that said they have not got it, by file. */
  private readonly without = new Map<string, Set<string>>()

  constructor(
    private readonly screen: string,
    private readonly shelf: Shelf,
    private readonly line: Line,
    private readonly now: () => number,
    private readonly others: () => readonly Other[],
  ) {}

  /** Looks for files that jobs speak of and that are not here. @param likely the screen that has them, most likely */
  async look(jobIds?: readonly string[], likely?: string): Promise<void> {
    // Who had nothing may have it by the next time that screens meet; until then it is not asked at every edit.
    if (!jobIds) this.without.clear()
    for (const place of await this.shelf.missing(jobIds)) this.queue.set(keyOf(place), place)
    await this.go(likely)
  }
  stop(): void {
    this.awaited.clear()
  }
  /** To be called now and then: what did not come is asked of another screen. */
  lookRound(): void {
    for (const { place, from, since } of [...this.awaited.values()])
      if (this.now() - since > PATIENCE_MS) this.none({ ...place, screen: from })
  }

  private async go(likely?: string) {
    for (const [key, place] of this.queue) {
      if (this.awaited.size >= AT_ONCE) return
      if (this.awaited.has(key)) continue
      const able = this.others().filter(({ screen }) => !this.without.get(key)?.has(screen))
      const from = (able.find(({ screen }) => screen === likely) ?? able[0])?.screen
      if (from !== undefined) await this.ask(place, from)
    }
  }
  private async ask(place: Place, from: string) {
    this.awaited.set(keyOf(place), { place, from, since: this.now() })
    this.line.say({
      kind: 'file-want',
      screen: this.screen,
      to: from,
      jobId: place.jobId,
      id: place.id,
      from: await this.shelf.begun(place),
    })
  }

  /** A screen has not got it, or does not answer: another is asked. */
  none({ jobId, id, screen }: Place & { screen: string }): void {
    const key = keyOf({ jobId, id })
    const waits = this.awaited.get(key)
    if (waits?.from !== screen) return
    this.awaited.delete(key)
    this.without.set(key, (this.without.get(key) ?? new Set()).add(screen))
    void this.go()
  }

  /** Another asks for a piece. */
  async give({ screen, jobId, id, from }: MessageOf<'file-want'>): Promise<void> {
    const place = { jobId, id }
    const found = await this.shelf.file(place, from, PART_BYTES)
    if (!found) return this.line.say({ kind: 'file-none', screen: this.screen, to: screen, ...place })
    const { bytes, ...head } = found
    this.line.say({ kind: 'file-part', screen: this.screen, to: screen, ...place, ...head, from }, bytes)
  }

  /** A piece came. Only what was asked for is taken. */
  async take({ jobId, id, from, screen, fileKind, name, type, total }: MessageOf<'file-part'>, bytes: Uint8Array) {
    const place = { jobId, id }
    const key = keyOf(place)
    if (this.awaited.get(key)?.from !== screen) return
    const state = await this.shelf.add(place, { fileKind, name, type, total }, from, bytes)
    if (state === 'more') return this.ask(place, screen)
    if (state === 'bad') return this.none({ ...place, screen })
    this.awaited.delete(key)
    this.queue.delete(key)
    await this.go(screen)
  }
}
