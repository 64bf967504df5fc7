import { afterEach, describe, expect, it, vi } from 'vitest'
import { EXAMPLE_DEVICES } from '#core/instrument/device/examples.table'
import { reach } from './wires'

afterEach(() => {
  vi.unstubAllGlobals()
})
const device = {
  ...EXAMPLE_DEVICES[0]!,
  serial: { baudRate: 9600, dataBits: 8, stopBits: 1, parity: 'none' },
  bluetooth: { service: '0xffe0', characteristic: '0xffe1' },
} as never

describe('a serial wire', () => {
  it('gives its writer back where a write fails, so that the next goes through', async () => {
    let works = false
    const sent: string[] = []
    const writable = new WritableStream<Uint8Array>({
      write(bytes) {
        if (works) sent.push(new TextDecoder().decode(bytes))
      },
    })
    const getWriter = () => {
      const writer = WritableStream.prototype.getWriter.call(writable) as WritableStreamDefaultWriter<Uint8Array>
      return {
        write: (bytes: Uint8Array) => (works ? writer.write(bytes) : Promise.reject(new Error('the plug is loose'))),
        releaseLock: () => writer.releaseLock(),
      }
    }
    const port = {
      open: async () => undefined,
      close: async () => undefined,
      readable: new ReadableStream(),
      writable: { getWriter },
    }
    vi.stubGlobal('navigator', { serial: { requestPort: async () => port } })
    const wire = await (await reach(device, 'serial'))()
    await expect(wire.send('a')).rejects.toThrow('loose')
    works = true
    await wire.send('b')
    expect(sent).toEqual(['b'])
  })
})

describe('a radio wire', () => {
  class Listened extends EventTarget {
    readonly heard = new Map<string, number>()
    override addEventListener(...[type, to, options]: Parameters<EventTarget['addEventListener']>) {
      this.heard.set(type, (this.heard.get(type) ?? 0) + 1)
      ;(options as AddEventListenerOptions).signal?.addEventListener('abort', () => {
        this.heard.set(type, this.heard.get(type)! - 1)
      })
      super.addEventListener(type, to, options)
    }
  }
  it('left, hears of nothing more; opened again, hears everything once', async () => {
    const found = Object.assign(new Listened(), {
      value: null as DataView | null,
      startNotifications: async () => undefined,
      stopNotifications: vi.fn(async () => undefined),
    })
    const server = { getPrimaryService: async () => ({ getCharacteristic: async () => found }) }
    const radio = Object.assign(new Listened(), { gatt: { connect: async () => server, disconnect: vi.fn() } })
    vi.stubGlobal('navigator', { bluetooth: { requestDevice: async () => radio } })
    const open = await reach(device, 'bluetooth')
    const notice = (text: string) => {
      found.value = new DataView(new TextEncoder().encode(text).buffer)
      found.dispatchEvent(new Event('characteristicvaluechanged'))
    }
    const first = await open()
    await first.close()
    expect([...found.heard.values(), ...radio.heard.values()]).toEqual([0, 0])
    expect(found.stopNotifications).toHaveBeenCalledOnce()
    const second = await open()
    notice('7.9 mm')
    const pieces = second.pieces[Symbol.asyncIterator]()
    expect(await pieces.next()).toEqual({ done: false, value: '7.9 mm' })
    expect(found.heard.get('characteristicvaluechanged')).toBe(1)
  })
})
