import type { Device } from '#core/instrument/device/device.schema'
import { channelsOf, lineReader } from '#core/instrument/device/read-line'
import { LineSplitter } from '#core/instrument/device/split'
import { ReadingRing } from '#core/instrument/ring'
import { KEPT_READINGS, type ChannelNow, type InstrumentStream } from './instrument-stream'
import { KeptUpStream } from './kept-up-stream'
import type { OpenWire, Wire } from './wires'

/**
 * One device on a wire of its own: opened, asked where it wants asking, read line by line; opened again where the line
 * is lost, after longer and longer waits.
 */
export class DeviceStream extends KeptUpStream implements InstrumentStream {
  strange = 0
  readonly channels: ChannelNow[]
  /** A wire has no numbers to tell a gap by. */
  readonly missing = 0
  private wire: Wire | null = null
  private readonly reader: ReturnType<typeof lineReader>

  constructor(
    private readonly device: Device,
    private readonly open: OpenWire,
    changed: () => void,
    waitsMs?: readonly number[],
  ) {
    super(changed, waitsMs)
    this.reader = lineReader(device)
    this.channels = channelsOf(device).map(({ name, unit }) => ({ name, unit, ring: new ReadingRing(KEPT_READINGS) }))
    void this.keepUp()
  }

  protected letGo() {
    void this.wire?.close()
  }

  /** Reads until the line goes dead. */
  protected async listen(): Promise<null> {
    const wire = (this.wire = await this.open())
    const splitter = new LineSplitter()
    const { ask, askEveryMs } = this.device
    const asking = ask ? setInterval(() => void wire.send(ask).catch(() => undefined), askEveryMs) : undefined
    try {
      for await (const piece of wire.pieces) {
        if (this.ended) break
        for (const line of splitter.push(piece)) this.take(line)
      }
    } finally {
      clearInterval(asking)
      await wire.close().catch(() => undefined)
      this.wire = null
    }
    return null
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
    this.came()
  }
}
