import type { Device } from '#core/instrument/device/device.schema'
import { simulatedLine } from '#core/instrument/device/simulated'

/** What a device is reached by, once open: its text as it comes, a way to ask it, and an end. */
export interface Wire {
  pieces: AsyncIterable<string>
  send: (text: string) => Promise<void>
  close: () => Promise<void>
}
export type OpenWire = () => Promise<Wire>
export const WAYS = { serial: 'by its wire', bluetooth: 'by radio', simulated: 'simulated' } as const
export type Way = keyof typeof WAYS

interface SerialPort {
  open(options: object): Promise<void>
  close(): Promise<void>
  readable: ReadableStream<Uint8Array>
  writable: WritableStream<Uint8Array>
}
interface Characteristic extends EventTarget {
  value: DataView | null
  startNotifications(): Promise<unknown>
  stopNotifications(): Promise<unknown>
  writeValue?(bytes: Uint8Array): Promise<void>
}
interface Radio extends EventTarget {
  gatt: {
    connect(): Promise<{
      getPrimaryService(
        id: string | number,
      ): Promise<{ getCharacteristic(id: string | number): Promise<Characteristic> }>
    }>
    disconnect(): void
  }
}
interface Reaching {
  serial?: { requestPort(): Promise<SerialPort> }
  bluetooth?: { requestDevice(options: object): Promise<Radio> }
}
const reaching = () => navigator as unknown as Reaching

/** The ways that this browser has, and the device's file describes. */
export const waysOf = (device: Device): Way[] => [
  ...(device.serial && reaching().serial ? (['serial'] as const) : []),
  ...(device.bluetooth && reaching().bluetooth ? (['bluetooth'] as const) : []),
  'simulated',
]

/** Text as it comes off a stream of bytes, until it ends or is left. */
async function* textOf(readable: ReadableStream<Uint8Array>, left: { reader: ReadableStreamDefaultReader | null }) {
  const decoder = new TextDecoder()
  const reader = readable.getReader()
  left.reader = reader
  try {
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return
      yield decoder.decode(value, { stream: true })
    }
  } finally {
    reader.releaseLock()
  }
}

/** A serial port, chosen by the reader once; opened again each time the line was lost. */
async function serialWire(device: Device): Promise<OpenWire> {
  const port = await reaching().serial!.requestPort()
  return async () => {
    const { baudRate, dataBits, stopBits, parity } = device.serial!
    await port.open({ baudRate, dataBits, stopBits, parity })
    const left: { reader: ReadableStreamDefaultReader | null } = { reader: null }
    return {
      pieces: textOf(port.readable, left),
      send: async text => {
        const writer = port.writable.getWriter()
        try {
          await writer.write(new TextEncoder().encode(text))
        } finally {
          // What could not be written once may go through the next time.
          writer.releaseLock()
        }
      },
      close: async () => {
        await left.reader?.cancel().catch(() => undefined)
        await port.close().catch(() => undefined)
      },
    }
  }
}

const idOf = (text: string): string | number => (text.startsWith('0x') ? Number(text) : text)

/** A Bluetooth characteristic that notifies; each notice is a piece of text. */
async function bluetoothWire(device: Device): Promise<OpenWire> {
  const { service, characteristic } = device.bluetooth!
  const radio = await reaching().bluetooth!.requestDevice({ filters: [{ services: [idOf(service)] }] })
  return async () => {
    const server = await radio.gatt.connect()
    const found = await (await server.getPrimaryService(idOf(service))).getCharacteristic(idOf(characteristic))
    const decoder = new TextDecoder()
    const left = new AbortController()
    const { signal } = left
    const pieces = new ReadableStream<string>({
      start: async controller => {
        const noticed = () => {
          if (found.value) controller.enqueue(decoder.decode(found.value.buffer as ArrayBuffer, { stream: true }))
        }
        found.addEventListener('characteristicvaluechanged', noticed, { signal })
        radio.addEventListener('gattserverdisconnected', () => controller.close(), { once: true, signal })
        await found.startNotifications()
      },
      cancel: () => left.abort(),
    })
    return {
      pieces: pieces as unknown as AsyncIterable<string>,
      send: async text => {
        await found.writeValue?.(new TextEncoder().encode(text))
      },
      close: async () => {
        // Left, it hears of nothing more; opened again, it would hear everything twice.
        left.abort()
        await found.stopNotifications().catch(() => undefined)
        radio.gatt.disconnect()
      },
    }
  }
}

const SIMULATED_EVERY_MS = 200
/** A device that is not there: its own lines, made up. */
const simulatedWire =
  (device: Device): OpenWire =>
  async () => {
    let open = true
    async function* pieces() {
      for (let n = 0; open; n++) {
        await new Promise(resolve => setTimeout(resolve, SIMULATED_EVERY_MS))
        yield simulatedLine(device, n)
      }
    }
    return {
      pieces: pieces(),
      send: async () => undefined,
      close: async () => {
        open = false
      },
    }
  }

/** Reaches a device. @throws where the reader chose none, or the browser will not */
export const reach = async (device: Device, way: Way): Promise<OpenWire> =>
  way === 'serial' ? serialWire(device) : way === 'bluetooth' ? bluetoothWire(device) : simulatedWire(device)
