import { describe, expect, it } from 'vitest'
import { datesIn } from './dates'
import { hasComma, withCommas } from './numbers'
import { lettersLeft } from './plain'

describe('withCommas', () => {
  it.each([
    ['1.5 mm', '1,5 mm'],
    ['0.025–0.04 mm', '0,025–0,04 mm'],
    ['£161.69', '£161,69'],
    ['M10x1.5', 'M10x1.5'],
    ['A356.0 and 356.0', 'A356.0 and 356.0'],
    ['version 1.2.3', 'version 1.2.3'],
  ])('%s becomes %s', (given, wanted) => {
    expect(withCommas(given)).toBe(wanted)
  })
  it('quotes as it was written, and takes no inch mark for a quotation', () => {
    expect(withCommas('"1.5 furlongs" after 2.5 mm')).toBe('"1.5 furlongs" after 2,5 mm')
    expect(withCommas('„abc 1.5“ und 1.5')).toBe('„abc 1.5“ und 1,5')
    expect(withCommas('1/4" by 2.5 mm by 3/8"')).toBe('1/4" by 2,5 mm by 3/8"')
  })
  it('knows whose decimals have a comma', () => expect([hasComma('de'), hasComma('en')]).toEqual([true, false]))
})

describe('datesIn', () => {
  // DIN 5008: the day with a point behind it, then the month; names by the Unicode locale data.
  const german = datesIn('de')
  it.each([
    ['27 November 2026', '27. November 2026'],
    ['3 March 2026', '3. März 2026'],
    ['Fri 12:18', 'Fr 12:18'],
    ['Wednesday', 'Mittwoch'],
  ])('%s becomes %s', (given, wanted) => {
    expect(german(given)).toBe(wanted)
  })
  it('says nothing of what is no date, or more than one', () => {
    expect(german('the month of May')).toBe(null)
    expect(german('Fill it')).toBe(null)
  })
})

describe('lettersLeft', () => {
  it.each([
    ['6061-T6, AlSi10Mg, M8, 3/8-16 UNC', 0],
    ['12.5 mm · 0.5 in', 2],
    ['0.5 in', 0],
    ['7.0 L/min', 0],
    ['a crack', 5],
    ['TIG', 3],
  ])('%s: %d', (text, left) => {
    expect(lettersLeft(text)).toBe(left)
  })
})
