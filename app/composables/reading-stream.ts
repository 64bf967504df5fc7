import { readingLineSchema } from '#core/instrument/reading.schema'
import { INSTRUMENTS } from '#core/instrument/kinds.table'
import { ReadingRing } from '#core/instrument/ring'
import type { StreamRequest } from '#core/instrument/stand-in/run'
import { KEPT_READINGS, type ChannelNow, type InstrumentStream } from './instrument-stream'
import { KeptUpStream } from './kept-up-stream'

/** No line for so long and it counts as lost, ms. */
const SILENT_MS = 3000
const LONGEST_LINE = 2000

/**
 * One instrument's stream: reads lines as they come, keeps the last ten minutes of each channel, says when the line is
 * lost, and takes it up again from the reading after the last that came.
 */
export class ReadingStream extends KeptUpStream implements InstrumentStream {
  /** Lines that were no reading. */
  strange = 0
  readonly channels: ChannelNow[]
  private heard = 0
  private abort: AbortController | null = null
  private watch: ReturnType<typeof setInterval> | undefined

  constructor(
    readonly request: Omit<StreamRequest, 'from'>,
    changed: () => void,
    private readonly fetcher: typeof fetch = (...given) => fetch(...given),
    waitsMs?: readonly number[],
  ) {
    super(changed, waitsMs)
    this.channels = INSTRUMENTS[request.instrument].channels.map(({ name, unit }) => ({
      name,
      unit,
      ring: new ReadingRing(KEPT_READINGS),
    }))
    this.watch = setInterval(() => {
      if (this.state === 'live' && Date.now() - this.heard > SILENT_MS) this.abort?.abort()
    }, 500)
    void this.keepUp()
  }

  /** Readings that never came, over all channels. */
  get missing() {
    return this.channels.reduce((sum, channel) => sum + channel.ring.missing, 0)
  }

  protected letGo() {
    clearInterval(this.watch)
    this.abort?.abort()
  }

  /** Reads until the line goes dead. @returns why the server will not give it, where it is no use asking again */
  protected async listen(): Promise<string | null> {
    this.abort = new AbortController()
    const from = Math.min(...this.channels.map(({ ring }) => ring.last)) + 1
    const response = await this.fetcher('/api/instruments/stream', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...this.request, from }),
      signal: this.abort.signal,
    })
    if (response.status === 422 || response.status === 413) {
      const { error } = (await response.json()) as { error?: { issues?: { path: string; message: string }[] } }
      return error?.issues?.map(issue => `${issue.path}: ${issue.message}`).join('; ') ?? 'the server refused it'
    }
    if (!response.ok || !response.body) return null
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
    let rest = ''
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return null
      const lines = (rest + value).split('\n')
      rest = lines.pop()!.slice(0, LONGEST_LINE)
      for (const line of lines) this.take(line)
      this.heard = Date.now()
      this.came()
    }
  }

  private take(line: string) {
    if (line.trim() === '') return
    let entry: unknown
    try {
      entry = JSON.parse(line)
    } catch {
      this.strange += 1
      return
    }
    const parsed = readingLineSchema.safeParse(entry)
    const channel = parsed.success ? this.channels.find(({ name }) => name === parsed.data.channel) : undefined
    if (parsed.success && channel && channel.unit === parsed.data.unit)
      channel.ring.push(parsed.data.n, Date.parse(parsed.data.at), parsed.data.value)
    else this.strange += 1
  }
}
