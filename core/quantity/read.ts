import Fraction from 'fraction.js'
import { KEY_UNITS, UNITS, type Dimension, type UnitDefinition, type UnitKey } from './units.table'

export type Reading = { ok: true; value: number; unit: string } | { ok: false; message: string }

/** What a number without a unit means: the key's own unit, or the reader's system on a screen. */
export type BareNumber = 'key-unit' | 'inch' | 'metric'

const LONGEST = 60
const LARGEST = 1e12

const BY_SPELLING = new Map<Dimension, Map<string, UnitDefinition>>(
  (Object.keys(UNITS) as Dimension[]).map(dimension => [
    dimension,
    new Map(UNITS[dimension].flatMap(unit => unit.spellings.map(spelling => [spelling, unit] as const))),
  ]),
)

const ALL_SPELLINGS = new Set([...BY_SPELLING.values()].flatMap(units => [...units.keys()]))

/** What an inch-minded reader means by a bare number, where that differs from the metric unit. */
const INCH_DEFAULT: Partial<Record<Dimension, string>> = {
  length: 'in',
  area: 'in2',
  volume: 'in3',
  mass: 'lb',
  temperature: 'f',
  torque: 'lbf.ft',
  flow: 'cfh',
  speed: 'ipm',
}

const NUMBER =
  /^([+-]?)\s*(?:(\d+)\s*[ -]\s*(\d+)\s*[/⁄]\s*(\d+)|(\d+)\s*[/⁄]\s*(\d+)|(\d+(?:[.,]\d*)?(?:e[+-]?\d{1,2})?|[.,]\d+(?:e[+-]?\d{1,2})?))/i
const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

interface Written {
  value: number
  isFraction: boolean
  rest: string
}

/** Figures that mean another number where decimals have a comma, and a point stands between thousands. */
const THOUSANDS_BY_POINT = /^[+−-]?\s*\d{1,3}\.\d{3}(?![\d.])/

/** Whether a text is one number to one reader and a thousand times that to another. */
export const isThousandsToSome = (text: string): boolean => THOUSANDS_BY_POINT.test(text.trim())

/** What a reader whose decimals have a comma is asked of such a text; null where there is nothing to ask. */
export const thousandsAsked = (text: string): string | null =>
  isThousandsToSome(text)
    ? `"${THOUSANDS_BY_POINT.exec(text.trim())![0]}" may mean thousands or decimals; write it with a comma, or without the point`
    : null

function readNumber(text: string): Written | string {
  const plain = text
    .replace(
      /(\d?)\s*([½¼¾⅛⅜⅝⅞⅓⅔])/g,
      (_all, before: string, sign: string) => `${before ? before + ' ' : ''}${VULGAR[sign]}`,
    )
    .replace(/^−/, '-')
  const match = NUMBER.exec(plain)
  if (!match) return `"${text}" does not begin with a number`
  const [all, sign, whole, mixedTop, mixedUnder, top, under, decimal] = match
  const rest = plain.slice(all.length).trim()
  const negate = sign === '-' ? -1 : 1
  if (/^(?:[\d.,]|[/⁄]\s*(?:\d|$))/.test(rest)) return `"${text}": "${rest}" after the number is not understood`
  if (decimal !== undefined) {
    if (/^\d{1,3},\d{3}$/.test(decimal))
      return `"${decimal}" may mean thousands or decimals; write it without the comma`
    return { value: negate * Number(decimal.replace(',', '.')), isFraction: false, rest }
  }
  const denominator = mixedUnder ?? under
  if (Number(denominator) === 0) return `"${text}" divides by zero`
  if ([whole, mixedTop, mixedUnder, top, under].some(digits => digits !== undefined && digits.length > 12))
    return `"${text}" is too long a number`
  const value = new Fraction(`${mixedTop ?? top}/${denominator}`).add(whole ?? 0).valueOf()
  return { value: negate * value, isFraction: true, rest }
}

/** Feet and inches in one text: 2' 3 1/2". */
const FEET_INCHES = /^([+-]?\d+)\s*(?:ft|'|′)\s*(\d.*?)\s*(?:in\.?|"|″|'')$/i

/** Two units of time in one text, the greater first: 1 h 35 min, 5 min 37 s, 3 d 4 h. */
const TWO_TIMES = /^(\d{1,9})\s*(\p{L}+)\s*(\d{1,4})\s*(\p{L}+)$/u

/** All unit spellings of a key's dimension, for messages. */
export function spellingsOf(key: UnitKey): string[] {
  return UNITS[KEY_UNITS[key].dimension].map(unit => unit.spellings[0]!)
}

/**
 * Reads a quantity as a person writes it: `3/32 in`, `1 1/4"`, `20 thou`, `200 F`, `2.4`.
 *
 * A number with no unit is in the key's own unit, or with `bare` in the reader's system. A bare fraction of a length
 * is refused under `key-unit`, since nobody means three thirty-seconds of a millimetre; a reader's field takes it as
 * inches.
 *
 * @param key the unit wanted, named by the key's suffix in the contract
 * @param hasComma the reader's decimals have a comma: `1.500` may then be a thousand and a half, and is asked about
 * @returns the value in that unit and the spelling understood, or what was not understood, named
 * Accuracy: exact to double precision (conversions are exact definitions; fractions are kept exact until the last
 * step).
 */
export function read(text: string, key: UnitKey, bare: BareNumber = 'key-unit', hasComma = false): Reading {
  const trimmed = text.trim()
  const { dimension, baseScale, symbol } = KEY_UNITS[key]
  if (trimmed === '') return { ok: false, message: 'nothing written' }
  const asks = hasComma ? thousandsAsked(trimmed) : null
  if (asks !== null) return { ok: false, message: asks }
  if (trimmed.length > LONGEST) return { ok: false, message: `"${trimmed.slice(0, 20)}…" is too long for a quantity` }
  const units = BY_SPELLING.get(dimension)!
  const finish = (base: number, unit: string): Reading => {
    const value = base / baseScale
    return Number.isFinite(value) && Math.abs(value) <= LARGEST
      ? { ok: true, value: value === 0 ? 0 : value, unit }
      : { ok: false, message: `"${trimmed}" is too large` }
  }
  const feet = dimension === 'length' ? FEET_INCHES.exec(trimmed) : null
  if (feet) {
    const inches = readNumber(feet[2]!)
    if (typeof inches === 'string' || inches.rest) return { ok: false, message: `"${trimmed}" is not feet and inches` }
    const whole = Number(feet[1])
    return finish((Math.abs(whole) * 12 + inches.value) * (feet[1]!.startsWith('-') ? -1 : 1) * 25.4, 'in')
  }
  const times = dimension === 'time' ? TWO_TIMES.exec(trimmed) : null
  if (times) {
    const [greater, smaller] = [units.get(times[2]!.toLowerCase()), units.get(times[4]!.toLowerCase())]
    if (greater && smaller && smaller.scale < greater.scale)
      return finish(Number(times[1]) * greater.scale + Number(times[3]) * smaller.scale, smaller.spellings[0]!)
  }
  const number = readNumber(trimmed)
  if (typeof number === 'string') return { ok: false, message: number }
  if (number.rest === '') {
    const inchUnit = INCH_DEFAULT[dimension]
    const asInch =
      inchUnit !== undefined && (bare === 'inch' || (bare === 'metric' && number.isFraction && dimension === 'length'))
    if (asInch)
      return finish((number.value + (units.get(inchUnit)!.offset ?? 0)) * units.get(inchUnit)!.scale, inchUnit)
    if (number.isFraction && dimension === 'length' && bare === 'key-unit') {
      return { ok: false, message: `"${trimmed}": a fraction of a length needs its unit, as in "${trimmed} in"` }
    }
    return finish(number.value * baseScale, symbol)
  }
  const spelling = number.rest.toLowerCase().replace(/\s+/g, ' ')
  const unit = units.get(spelling)
  if (!unit) {
    return {
      ok: false,
      message: ALL_SPELLINGS.has(spelling)
        ? `"${number.rest}" is not a unit of ${dimension}; write one of ${spellingsOf(key).join(', ')}`
        : `"${number.rest}" is not a unit known here${units.size ? `; write one of ${spellingsOf(key).join(', ')}` : ''}`,
    }
  }
  return finish((number.value + (unit.offset ?? 0)) * unit.scale, unit.spellings[0]!)
}
