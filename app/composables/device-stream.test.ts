import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { EXAMPLE_DEVICES } from '#core/instrument/device/examples.table'
import { DeviceStream } from './device-stream'
import { reach, waysOf, type Wire } from './wires'

const [scale, thermometer, caliper] = EXAMPLE_DEVICES as [
  (typeof EXAMPLE_DEVICES)[number],
  (typeof EXAMPLE_DEVICES)[number],
  (typeof EXAMPLE_DEVICES)[number],
]
const wait = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))
/** Lets this much of the test's own time go by. */
const settle = (ms = 30) => vi.advanceTimersByTimeAsync(ms)
/** A wire that sends what it is given, then goes dead. */
function wire(pieces: readonly string[], sent: string[] = []): Wire {
  async function* text() {
    for (const piece of pieces) {
      await wait(1)
      yield piece
    }
  }
  return { pieces: text(), send: async text => void sent.push(text), close: async () => undefined }
}
/** A serial port as the browser gives it. */
function port(pieces: readonly string[]) {
  const opened: object[] = []
  return {
    opened,
    open: async (options: object) => void opened.push(options),
    close: async () => undefined,
    readable: new ReadableStream<Uint8Array>({
      start: async controller => {
        for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece))
      },
    }),
    writable: new WritableStream<Uint8Array>(),
  }
}
beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a device on a wire of its own', () => {
  it('is read line by line however it is cut, channel by channel; what is torn is counted', async () => {
    const stream = new DeviceStream(
      thermometer,
      async () => wire(['T1=+2', '0.5C\r\nT2=68', 'F\r\nT1=\r\n']),
      vi.fn(),
      [1e6],
    )
    await settle()
    expect(stream.channels.map(({ name, ring }) => [name, ring.back(0)?.value])).toEqual([
      ['T1', 20.5],
      ['T2', 20],
    ])
    expect(stream.strange).toBe(1)
    stream.end()
  })
  it('gone dead, it is opened again, and what came is kept', async () => {
    let times = 0
    const stream = new DeviceStream(scale, async () => wire([`W ST, ${++times}0 g\n`]), vi.fn(), [5])
    await settle(120)
    stream.end()
    expect(times).toBeGreaterThan(1)
    expect(stream.lostTimes).toBeGreaterThan(0)
    // the last one may have been opened and not have spoken yet
    expect(times - stream.channels[0]!.ring.size).toBeLessThan(2)
    expect(stream.state).toBe('ended')
  })
  it('one that will not open says why and is tried again', async () => {
    const stream = new DeviceStream(
      scale,
      async () => {
        throw new Error('the port is in use')
      },
      vi.fn(),
      [1e6],
    )
    await settle()
    expect(stream).toMatchObject({ state: 'lost', reason: 'the port is in use' })
    stream.end()
  })
  it('one that answers only when asked is asked', async () => {
    const sent: string[] = []
    const slow = wire([])
    async function* never() {
      await wait(100)
      yield 'D1.25\r'
    }
    const stream = new DeviceStream(
      { ...caliper, askEveryMs: 20 },
      async () => ({ ...slow, pieces: never(), send: async text => void sent.push(text) }),
      vi.fn(),
      [1e6],
    )
    await settle(140)
    expect(sent.length).toBeGreaterThan(2)
    expect(new Set(sent)).toEqual(new Set(['R\r']))
    expect(stream.channels[0]!.ring.back(0)!.value).toBe(1.25)
    stream.end()
  })
})

describe('ways to a device', () => {
  it("only what the browser has and the device's file names", () => {
    vi.stubGlobal('navigator', {})
    expect(waysOf(scale)).toEqual(['simulated'])
    vi.stubGlobal('navigator', { serial: {}, bluetooth: {} })
    expect(waysOf(scale)).toEqual(['serial', 'simulated'])
    expect(waysOf(EXAMPLE_DEVICES[3]!)).toEqual(['bluetooth', 'simulated'])
  })
  it('a serial port is opened as the file says and read', async () => {
    const found = port(['W ST, 12.4 g\r\n'])
    vi.stubGlobal('navigator', { serial: { requestPort: async () => found } })
    const stream = new DeviceStream(scale, await reach(scale, 'serial'), vi.fn(), [1e6])
    await settle()
    expect(found.opened).toEqual([{ baudRate: 9600, dataBits: 7, stopBits: 1, parity: 'even' }])
    expect(stream.channels[0]!.ring.back(0)!.value).toBe(12.4)
    stream.end()
  })
  it('the simulated port of every example gives readings', async () => {
    const streams = await Promise.all(
      EXAMPLE_DEVICES.map(async device => new DeviceStream(device, await reach(device, 'simulated'), vi.fn(), [1e6])),
    )
    await settle(700)
    for (const stream of streams) {
      expect(stream.channels[0]!.ring.size).toBeGreaterThan(0)
      stream.end()
    }
  })
})
