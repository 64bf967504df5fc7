import type { UnitKey } from '../quantity/units.table'

/** What is read at the bench by wire, and its channels: name and unit of each. */
export const INSTRUMENTS = {
  thermocouple: { name: 'thermocouple', channels: [{ name: 'T1', unit: 'c' }] },
  infrared: { name: 'infrared thermometer', channels: [{ name: 'T', unit: 'c' }] },
  caliper: { name: 'caliper', channels: [{ name: 'jaws', unit: 'mm' }] },
  scale: { name: 'scale', channels: [{ name: 'pan', unit: 'g' }] },
  gauge: { name: 'pressure gauge', channels: [{ name: 'p', unit: 'kPa' }] },
  arc: {
    name: 'machine readout',
    channels: [
      { name: 'I', unit: 'a' },
      { name: 'U', unit: 'v' },
    ],
  },
} as const satisfies Readonly<Record<string, { name: string; channels: readonly { name: string; unit: UnitKey }[] }>>
export type InstrumentId = keyof typeof INSTRUMENTS
export const INSTRUMENT_IDS = Object.keys(INSTRUMENTS) as [InstrumentId, ...InstrumentId[]]

/** Units a reading is kept in, one for each kind of quantity an instrument gives. */
export const READING_UNITS = ['c', 'mm', 'g', 'kPa', 'a', 'v'] as const satisfies readonly UnitKey[]
export type ReadingUnit = (typeof READING_UNITS)[number]

/** A job keeps so many readings; a longer run is thinned before it is put in. */
export const MOST_READINGS = 5000

/** Readings a second: no stand-in runs faster. */
export const FASTEST_PER_S = 20
