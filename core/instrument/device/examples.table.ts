import type { Device } from './device.schema'

const common = { kind: 'wild-sparrow/device', version: 1, bluetooth: null, ask: '', askEveryMs: 500 } as const
const serial = (baudRate: number, dataBits: 7 | 8 = 8, parity: 'none' | 'even' | 'odd' = 'none') =>
  ({ baudRate, dataBits, stopBits: 1, parity }) as const

/** Made-up devices of the usual sorts, to begin from: each is the file that describes it. */
export const EXAMPLE_DEVICES: readonly Device[] = [
  {
    ...common,
    id: 'example-scale',
    name: 'bench scale, speaks by itself',
    instrument: 'scale',
    serial: serial(9600, 7, 'even'),
    lines: [{ pattern: 'W {any}, {value} {unit}', channel: 'pan', unit: 'g' }],
  },
  {
    ...common,
    id: 'example-thermometer',
    name: 'two-channel thermometer',
    instrument: 'thermocouple',
    serial: serial(19_200),
    lines: [
      { pattern: 'T1={value}{unit}', channel: 'T1', unit: 'C' },
      { pattern: 'T2={value}{unit}', channel: 'T2', unit: 'C' },
    ],
  },
  {
    ...common,
    id: 'example-caliper',
    name: 'caliper, answers when asked',
    instrument: 'caliper',
    serial: serial(4800),
    ask: 'R\r',
    askEveryMs: 300,
    lines: [{ pattern: 'D{value}', channel: 'jaws', unit: 'mm' }],
  },
  {
    ...common,
    id: 'example-gauge',
    name: 'pressure gauge by radio',
    instrument: 'gauge',
    serial: null,
    bluetooth: {
      service: '7b2f0001-51a4-4e0c-9d0e-1f6f2c1d0a01',
      characteristic: '7b2f0002-51a4-4e0c-9d0e-1f6f2c1d0a01',
    },
    lines: [{ pattern: 'P {value} {unit}', channel: 'p', unit: 'kPa' }],
  },
  {
    ...common,
    id: 'example-readout',
    name: "machine's readout, amperes and volts",
    instrument: 'arc',
    serial: serial(115_200),
    lines: [
      { pattern: 'I;{value};{any}', channel: 'I', unit: 'A' },
      { pattern: 'U;{value};{any}', channel: 'U', unit: 'V' },
    ],
  },
]
