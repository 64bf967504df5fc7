import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { read } from './read'
import { show, showText, write } from './show'
import { KEY_UNITS, type UnitKey } from './units.table'

/** Golden rows: what is written, the key's unit, the value. Exact definitions (NIST SP 811, app. B). */
const GOLDEN: readonly (readonly [string, UnitKey, number])[] = [
  ['3/32 in', 'mm', 2.38125],
  ['2 Zoll', 'mm', 50.8],
  ['1 1/4"', 'mm', 31.75],
  ['1-1/4 in', 'mm', 31.75],
  ['0.475 in', 'mm', 12.065],
  ['20 thou', 'mm', 0.508],
  ['.094 in', 'mm', 2.3876],
  ['2.4 mm', 'mm', 2.4],
  ['2,4 mm', 'mm', 2.4],
  ['7½ in', 'mm', 190.5],
  ['2\' 3 1/2"', 'mm', 698.5],
  ['12', 'mm', 12],
  ['5 cm', 'mm', 50],
  ['40 µm', 'mm', 0.04],
  ['200 F', 'c', 93.33333333333333],
  ['-40 °F', 'c', -40],
  ['300 K', 'c', 26.85],
  ['95', 'c', 95],
  ['15 cfh', 'lMin', 7.0792116],
  ['344 ipm', 'mMin', 8.7376],
  ['45 ksi', 'mPa', 310.264],
  ['60 psi', 'kPa', 413.685],
  ['25 lbf.ft', 'nm', 33.8954],
  ['2 kW', 'w', 2000],
  ['5 min', 's', 300],
  ['90 s', 'min', 1.5],
  ['1 h', 's', 3600],
  ['3.5 lb', 'kg', 1.58757],
  ['12 oz', 'g', 340.194],
  ['1 bar', 'kPa', 100],
  ['0.098 lb/in3', 'gcm3', 2.71264],
  ['43 %', 'pct', 43],
  ['70°', 'deg', 70],
  ['1 in3', 'mm3', 16387.064],
  ['6e2 W', 'w', 600],
]

const REFUSED: readonly (readonly [string, UnitKey, RegExp])[] = [
  ['', 'mm', /nothing/],
  ['abc', 'mm', /abc/],
  ['3 furlongs', 'mm', /furlongs/],
  ['3/0 in', 'mm', /zero/],
  ['5 kg', 'mm', /not a unit of length/],
  ['1,000 mm', 'mm', /thousands/],
  ['3/32', 'mm', /needs its unit/],
  ['1.2.3 mm', 'mm', /not understood/],
  ['1e99 m', 'mm', /too large/],
  ['9'.repeat(80), 'mm', /too long/],
  ['Infinity', 'mm', /number/],
  ['NaN mm', 'mm', /number/],
]

describe('reading quantities', () => {
  it.each(GOLDEN)('reads %s as %s %d', (text, key, value) => {
    const reading = read(text, key)
    expect(reading.ok, JSON.stringify(reading)).toBe(true)
    if (reading.ok) expect(reading.value / value).toBeCloseTo(1, 5)
  })
  it.each(REFUSED)('refuses "%s" by name', (text, key, why) => {
    const reading = read(text, key)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.message).toMatch(why)
  })
  it('asks a reader whose decimals have a comma which number a point between thousands is', () => {
    for (const text of ['1.500 mm', '-12.250', '−1.500 mm', '999.999 kg'])
      expect(read(text, text.endsWith('kg') ? 'kg' : 'mm', 'metric', true), text).toMatchObject({
        ok: false,
        message: expect.stringContaining('thousands or decimals') as string,
      })
    for (const text of ['1.5 mm', '1.50 mm', '1500 mm', '1.5000 mm', '0,25 mm'])
      expect(read(text, 'mm', 'metric', true).ok, text).toBe(true)
    expect(read('1.500 mm', 'mm', 'metric')).toMatchObject({ ok: true, value: 1.5 })
  })
  it("takes a bare number in the reader's system, and a bare fraction as inches for either", () => {
    const six = read('6', 'mm', 'inch')
    expect(six.ok && six.value).toBeCloseTo(152.4, 9)
    expect(read('6', 'mm', 'metric')).toMatchObject({ value: 6 })
    const fraction = read('3/32', 'mm', 'metric')
    expect(fraction.ok && fraction.value).toBeCloseTo(2.38125, 9)
    const warm = read('200', 'c', 'inch')
    expect(warm.ok && warm.value).toBeCloseTo(93.333, 3)
  })
  it('goes round: value to text to value, in both systems, for every unit', () => {
    for (const key of Object.keys(KEY_UNITS) as UnitKey[]) {
      fc.assert(
        fc.property(
          fc.double({ min: 1e-3, max: 1e5, noNaN: true }),
          fc.constantFrom('inch' as const, 'metric' as const),
          (value, system) => {
            const back = read(write(value, key, system), key)
            return back.ok && Math.abs(back.value - value) <= 1e-9 * value
          },
        ),
        { numRuns: 60, seed: 7 },
      )
    }
  })
  it('goes round by sixty-fourths of an inch', () => {
    for (let n = 1; n < 640; n++) {
      const back = read(write((n / 64) * 25.4, 'mm', 'inch'), 'mm')
      expect(back.ok && Math.abs(back.value - (n / 64) * 25.4)).toBeLessThan(1e-9)
    }
  })
  it('never yields anything but a finite value or a message, whatever is written', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ maxLength: 70 }), fc.stringMatching(/^[-+0-9./ ,e"'a-z°]{0,20}$/)),
        fc.constantFrom(...(Object.keys(KEY_UNITS) as UnitKey[])),
        fc.constantFrom('inch' as const, 'metric' as const, 'key-unit' as const),
        (text, key, bare) => {
          const reading = read(text, key, bare)
          return reading.ok ? Number.isFinite(reading.value) : reading.message.length > 0
        },
      ),
      { numRuns: 3000, seed: 11 },
    )
  })
})

describe('showing quantities', () => {
  it("shows the reader's system", () => {
    expect(showText(6.001, 'mm', 'metric')).toBe('6.0 mm')
    expect(showText(6.001, 'mm', 'inch')).toBe('0.236 in')
    expect(showText(0.05, 'mm', 'metric')).toBe('0.05 mm')
    expect(showText(110, 'c', 'inch')).toBe('230 °F')
    expect(showText(3146, 'g', 'metric')).toBe('3.15 kg')
    expect(showText(70, 'deg', 'metric')).toBe('70°')
    expect(show(5400, 's', 'metric')).toEqual({ figure: '1 h 30', unit: 'min' })
    expect(showText(337, 's', 'metric')).toBe('5 min 37 s')
  })
  it('shows minus nought as nought', () => expect(showText(-0.0001, 'c', 'metric')).toBe('0 °C'))
})

test.each([
  ['1 h 35 min', 5700],
  ['5 min 37 s', 337],
  ['2h15min', 8100],
  ['3 d 4 h', 273_600],
])('two units of time in one text: %s', (text, seconds) => {
  expect(read(text, 's')).toMatchObject({ ok: true, value: seconds })
})
test.each(['5 s 3 min', '5 min 3 min', '5 min 3 mm'])('%s is no time', text => {
  expect(read(text, 's').ok).toBe(false)
})
test('a time as it is shown reads back to itself within its last figure', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 4_000_000 }), seconds => {
      const back = read(showText(seconds, 's', 'metric'), 's')
      const within = seconds < 600 ? 0.5 : seconds < 172_800 ? 30 : 1800
      expect(back.ok && Math.abs(back.value - seconds)).toBeLessThanOrEqual(within)
    }),
  )
})
