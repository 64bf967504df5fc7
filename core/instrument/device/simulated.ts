import type { Device } from './device.schema'
import { piecesOf } from './pattern'

/** What a made-up device of each kind shows: a level, and how it wanders. */
const SHOWS: Readonly<Record<Device['instrument'], { level: number; swing: number; digits: number }>> = {
  thermocouple: { level: 108, swing: 4, digits: 1 },
  infrared: { level: 96, swing: 6, digits: 1 },
  caliper: { level: 8.02, swing: 0.02, digits: 2 },
  scale: { level: 3146, swing: 1, digits: 1 },
  gauge: { level: 98.4, swing: 0.3, digits: 2 },
  arc: { level: 142, swing: 6, digits: 0 },
}

/**
 * Lines as a device would send them, for want of the device: its own pattern filled in, one kind of line after another.
 * Every twentieth is torn, as wires do.
 * @param n the how many-th line, from 0; the same n gives the same line
 */
export function simulatedLine({ lines, instrument }: Pick<Device, 'lines' | 'instrument'>, n: number): string {
  const line = lines[n % lines.length]!
  const { level, swing, digits } = SHOWS[instrument]
  const value = (level + swing * Math.sin(n / 7)).toFixed(digits)
  const text = piecesOf(line.pattern)
    .map(piece =>
      'text' in piece ? piece.text : piece.place === 'value' ? value : piece.place === 'unit' ? line.unit : 'ST',
    )
    .join('')
  return n % 20 === 19 ? `${text.slice(0, Math.ceil(text.length / 3))}\r\n` : `${text}\r\n`
}
