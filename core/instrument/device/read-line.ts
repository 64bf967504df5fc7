import { read } from '../../quantity/read'
import { KEY_UNITS } from '../../quantity/units.table'
import { READING_UNITS, type ReadingUnit } from '../kinds.table'
import type { Device } from './device.schema'
import { matched, piecesOf, type Piece } from './pattern'

export interface DeviceReading {
  channel: string
  value: number
  unit: ReadingUnit
}
/** A device's own words for a unit, where they are not the usual ones. */
const OTHER_WORDS: Readonly<Record<string, string>> = {
  C: '°C',
  F: '°F',
  '°': '°C',
  mbar: 'mbar',
  GRAM: 'g',
  INCH: 'in',
}

/** Longer lines are not a device's. */
const LONGEST_LINE = 200

/** The unit that a quantity of the same kind is kept in, and the value in it; null where the unit is none. */
function kept(value: number, unit: string): { value: number; unit: ReadingUnit } | null {
  const words = OTHER_WORDS[unit] ?? unit
  for (const own of READING_UNITS) {
    const found = read(`${value} ${words}`, own)
    if (found.ok && KEY_UNITS[own]) return { value: found.value, unit: own }
  }
  return null
}

/**
 * Reads one device's lines.
 * @returns a function from a line to the reading it holds, or null: a line of another kind, torn, or in a unit that is
 *   none
 */
export function lineReader({ lines }: Pick<Device, 'lines'>): (line: string) => DeviceReading | null {
  const kinds: { pieces: Piece[]; channel: string; unit: string }[] = lines.map(({ pattern, channel, unit }) => ({
    pieces: piecesOf(pattern),
    channel,
    unit,
  }))
  return line => {
    if (line.length > LONGEST_LINE) return null
    for (const { pieces, channel, unit } of kinds) {
      const found = matched(pieces, line)
      const reading = found && kept(found.value, found.unit ?? unit)
      if (reading) return { channel, ...reading }
    }
    return null
  }
}

/** The channels a device has, each with the unit it is kept in; a unit that is none is told. */
export function channelsOf({ lines }: Pick<Device, 'lines'>): { name: string; unit: ReadingUnit }[] {
  const channels = new Map<string, ReadingUnit>()
  for (const { channel, unit } of lines) {
    const own = kept(1, unit)
    if (own) channels.set(channel, own.unit)
  }
  return [...channels].map(([name, unit]) => ({ name, unit }))
}
