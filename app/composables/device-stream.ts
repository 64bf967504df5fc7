import type { Device } from '#core/instrument/device/device.schema'
import { channelsOf, lineReader } from '#core/instrument/device/read-line'
import { LineSplitter } from '#core/instrument/device/split'
import { ReadingRing } from '#core/instrument/ring'
import {
  KEPT_READINGS,
  TRY_AGAIN_MS,
  type ChannelNow,
  type InstrumentStream,
  type StreamState,
} from './instrument-stream'
import type { OpenWire, Wire } from './wires'

/**
 * One device on a wire of its own: opened, asked where it wants asking, read line by line; opened again where the line
 * is lost, after longer and longer waits.
 */
export class DeviceStream implements InstrumentStream {
  state: StreamState = 'connecting'
  reason: string | null = null
  strange = 0
  lostTimes = 0
  readonly channels: ChannelNow[]
  /** A wire has no numbers to tell a gap by. */
  readonly missing = 0
  private ended = false
  private tries = 0
  private wire: Wire | null = null
  private readonly reader: ReturnType<typeof lineReader>

  constructor(
    private readonly device: Device,
    private readonly open: OpenWire,
    private readonly changed: () => void,
    private readonly waitsMs: readonly number[] = TRY_AGAIN_MS,
  ) {
    this.reader = lineReader(device)
    this.channels = channelsOf(device).map(({ name, unit }) => ({ name, unit, ring: new ReadingRing(KEPT_READINGS) }))
    void this.keepUp()
  }

  end() {
    this.ended = true
    this.to('ended')
    void this.wire?.close()
  }

  private to(state: StreamState) {
    if (this.ended && state !== 'ended') return
    this.state = state
    this.changed()
  }

  private async keepUp() {
    while (!this.ended) {
      try {
        await this.listen()
      } catch (error) {
        this.reason = error instanceof Error ? error.message : 'the wire will not open'
      }
      await this.wire?.close().catch(() => undefined)
      this.wire = null
      if (this.ended) return
      if (this.state === 'live') this.lostTimes += 1
      this.to('lost')
      await new Promise(resolve => setTimeout(resolve, this.waitsMs[Math.min(this.tries++, this.waitsMs.length - 1)]))
    }
  }

  /** Reads until the line goes dead. */
  private async listen() {
    const wire = (this.wire = await this.open())
    const splitter = new LineSplitter()
    const { ask, askEveryMs } = this.device
    const asking = ask ? setInterval(() => void wire.send(ask).catch(() => undefined), askEveryMs) : undefined
    try {
      for await (const piece of wire.pieces) {
        if (this.ended) return
        for (const line of splitter.push(piece)) this.take(line)
      }
    } finally {
      clearInterval(asking)
    }
  }

  private take(line: string) {
    const reading = this.reader(line)
    const channel = reading && this.channels.find(({ name, unit }) => name === reading.channel && unit === reading.unit)
    if (!reading || !channel) {
      this.strange += 1
      return
    }
    channel.ring.push(channel.ring.last + 1, Date.now(), reading.value)
    this.reason = null
    this.tries = 0
    this.to('live')
  }
}
