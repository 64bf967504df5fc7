import { describe, expect, it } from 'vitest'
import { read } from './read'
import { showText } from './show'
import { KEY_UNITS, UNITS, type Dimension, type UnitKey } from './units.table'

/**
 * Factors as NIST SP 811 (2008), appendix B.8, prints them, to the figures given there; each written figure is read in
 * the key's unit. Columns: what is written, the key, the value, the relative error that the printed figures allow.
 */
const NIST: readonly (readonly [string, UnitKey, number, number])[] = [
  ['1 ft', 'mm', 304.8, 0],
  ['1 mil', 'mm', 0.0254, 0],
  ['1 in2', 'mm2', 645.16, 0],
  ['1 ft2', 'mm2', 92_903.04, 0],
  ['1 in3', 'mm3', 16_387.064, 1e-9],
  ['1 ft3', 'mm3', 2.831_685e7, 1e-6],
  ['1 gal', 'mm3', 3.785_412e6, 1e-6],
  ['1 lb', 'g', 453.592_37, 1e-9],
  ['1 oz', 'g', 28.349_52, 1e-6],
  ['1 lbf', 'n', 4.448_222, 1e-6],
  ['1 kgf', 'n', 9.806_65, 0],
  ['1 kip', 'n', 4448.222, 1e-6],
  ['1 lbf.ft', 'nm', 1.355_818, 1e-6],
  ['1 lbf.in', 'nm', 0.112_984_8, 1e-6],
  ['1 psi', 'kPa', 6.894_757, 1e-6],
  ['1 ksi', 'mPa', 6.894_757, 1e-6],
  ['1 bar', 'kPa', 100, 0],
  ['1 atm', 'kPa', 101.325, 0],
  ['1 inHg', 'kPa', 3.386_389, 1e-6],
  ['1 Btu/h', 'w', 0.293_071_1, 1e-6],
  ['1 hp', 'w', 745.699_9, 1e-6],
  ['1 lb/in3', 'gcm3', 27.679_90, 1e-6],
  ['32 F', 'c', 0, 0],
  ['212 F', 'c', 100, 0],
  ['-459.67 F', 'c', -273.15, 1e-12],
  ['0 K', 'c', -273.15, 0],
  ['20 /in', 'tpi', 20, 0],
]

describe('units', () => {
  it.each(NIST)('%s is %s %d', (text, key, value, error) => {
    const reading = read(text, key)
    expect(reading.ok, JSON.stringify(reading)).toBe(true)
    if (reading.ok) expect(Math.abs(reading.value - value)).toBeLessThanOrEqual(Math.max(1e-9, error * Math.abs(value)))
  })
  it('each spelling stands for one unit of its dimension', () => {
    for (const [dimension, rows] of Object.entries(UNITS)) {
      const spellings = rows.flatMap(row => row.spellings)
      expect(new Set(spellings).size, dimension).toBe(spellings.length)
      for (const spelling of spellings) expect(spelling, dimension).toBe(spelling.toLowerCase())
    }
  })
  it('each spelling is read in every key of its dimension, and the same in small letters, large ones and without a space', () => {
    for (const [key, { dimension }] of Object.entries(KEY_UNITS) as [UnitKey, { dimension: Dimension }][]) {
      for (const { spellings } of UNITS[dimension]) {
        for (const spelling of spellings) {
          const plain = read(`12 ${spelling}`, key)
          expect(plain.ok, `12 ${spelling} for ${key}`).toBe(true)
          expect(read(`12 ${spelling.toUpperCase()}`, key), `${spelling} for ${key}`).toEqual(plain)
          expect(read(`12${spelling}`, key), `${spelling} for ${key}`).toEqual(plain)
        }
      }
    }
  })
  it('a unit of another dimension is refused by name in every key', () => {
    for (const [key, { dimension }] of Object.entries(KEY_UNITS) as [UnitKey, { dimension: Dimension }][]) {
      const odd = dimension === 'mass' || dimension === 'force' ? 'mm' : 'kg'
      const reading = read(`3 ${odd}`, key)
      expect(reading.ok, key).toBe(false)
      if (!reading.ok) expect(reading.message, key).toContain(odd)
    }
  })
  it('a scale never turns a quantity round: more is more in every unit', () => {
    for (const [dimension, rows] of Object.entries(UNITS))
      for (const row of rows) expect(row.scale, dimension).toBeGreaterThan(0)
  })
})

describe('showing, by example', () => {
  it.each<[number, UnitKey, string, string]>([
    [0.5, 'mm', '0.50 mm', '0.020 in'],
    [25.4, 'mm', '25.4 mm', '1.000 in'],
    [12.7, 'um', '0.013 mm', '0.0005 in'],
    [500, 'g', '500 g', '17.6 oz'],
    [2, 'kg', '2.00 kg', '4.41 lb'],
    [-18, 'c', '-18 °C', '0 °F'],
    [7, 'lMin', '7.0 L/min', '15 cfh'],
    [8.7376, 'mMin', '8.74 m/min', '344 ipm'],
    [0.1, 'mMin', '100 mm/min', '3.94 ipm'],
    [14, 'nm', '14.0 N·m', '10.3 lbf·ft'],
    [200, 'mPa', '200 MPa', '29000 psi'],
    [20, 'kPa', '20.0 kPa', '2.90 psi'],
    [100, 'mm2', '1.00 cm²', '0.155 in²'],
    [45, 's', '45 s', '45 s'],
    [34.2, 's', '34 s', '34 s'],
    [59.7, 's', '1 min', '1 min'],
    [90, 's', '1 min 30 s', '1 min 30 s'],
    [599.6, 's', '10 min', '10 min'],
    [2299, 's', '38 min', '38 min'],
    [7200, 's', '2 h', '2 h'],
    [5700, 's', '1 h 35 min', '1 h 35 min'],
    [273_700, 's', '3 d 4 h', '3 d 4 h'],
    [-90, 's', '-1 min 30 s', '-1 min 30 s'],
    [33, 'pct', '33%', '33%'],
    [180, 'a', '180 A', '180 A'],
    [0, 'mm', '0.0 mm', '0.000 in'],
  ])('%d %s is %s, and %s', (value, key, metric, inch) => {
    expect(showText(value, key, 'metric')).toBe(metric)
    expect(showText(value, key, 'inch')).toBe(inch)
  })
  it('what is shown reads back to within its own last figure', () => {
    for (const key of Object.keys(KEY_UNITS) as UnitKey[]) {
      for (const value of [0.8, 3.3, 47, 612]) {
        for (const system of ['metric', 'inch'] as const) {
          const text = showText(value, key, system)
          const back = read(text, key)
          expect(back.ok, `${text} for ${key}`).toBe(true)
          if (back.ok)
            expect(Math.abs(back.value - value), `${text} for ${key}`).toBeLessThanOrEqual(
              Math.max(0.06 * value, key === 'um' ? 1.3 : KEY_UNITS[key].dimension === 'temperature' ? 0.6 : 0.02),
            )
        }
      }
    }
  })
})
