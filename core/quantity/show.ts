import Fraction from 'fraction.js'
import { MM_PER_INCH } from './constants'
import { KEY_UNITS, UNITS, type Dimension, type UnitKey } from './units.table'

export type ReadingSystem = 'inch' | 'metric'

interface Style {
  unit: string
  digits: number
  fixed?: boolean
}

/** How each dimension is shown in each system: the spelling, and significant digits or (fixed) decimals. */
const STYLES: Partial<Record<Dimension, Record<ReadingSystem, Style>>> = {
  length: { metric: { unit: 'mm', digits: 1, fixed: true }, inch: { unit: 'in', digits: 3, fixed: true } },
  area: { metric: { unit: 'cm²', digits: 3 }, inch: { unit: 'in²', digits: 3 } },
  volume: { metric: { unit: 'cm³', digits: 3 }, inch: { unit: 'in³', digits: 3 } },
  mass: { metric: { unit: 'g', digits: 3 }, inch: { unit: 'oz', digits: 3 } },
  temperature: { metric: { unit: '°C', digits: 0, fixed: true }, inch: { unit: '°F', digits: 0, fixed: true } },
  torque: { metric: { unit: 'N·m', digits: 3 }, inch: { unit: 'lbf·ft', digits: 3 } },
  stress: { metric: { unit: 'mpa', digits: 3 }, inch: { unit: 'psi', digits: 3 } },
  density: { metric: { unit: 'g/cm³', digits: 3, fixed: true }, inch: { unit: 'g/cm³', digits: 3, fixed: true } },
  flow: { metric: { unit: 'l/min', digits: 2 }, inch: { unit: 'cfh', digits: 2 } },
  speed: { metric: { unit: 'm/min', digits: 3 }, inch: { unit: 'ipm', digits: 3 } },
}

const PRINTED: Record<string, string> = { 'l/min': 'L/min', mpa: 'MPa', '°c': '°C', '°f': '°F' }

/** A value in plain figures: `digits` significant ones, or decimals when `fixed`. */
export function figures(value: number, digits: number, fixed = false): string {
  if (fixed) {
    const text = value.toFixed(digits)
    return Number(text) === 0 ? text.replace('-', '') : text
  }
  if (value === 0) return '0'
  const rounded = Number(value.toPrecision(digits))
  const magnitude = Math.abs(rounded)
  if (magnitude >= 1e9 || magnitude < 1e-4) return rounded.toExponential(Math.max(0, digits - 1))
  return rounded.toFixed(Math.max(0, Math.min(8, digits - 1 - Math.floor(Math.log10(magnitude)))))
}

/** 70.0 → 70: for settings and counts, where a nought behind the point says nothing. */
const trimmed = (text: string) => (/\.\d*$/.test(text) ? text.replace(/\.?0+$/, '') : text)

export interface Shown {
  figure: string
  unit: string
}

/** Seconds in each unit that a time is told in, and up to how many seconds it is told in that and the next smaller. */
const TIMES = [
  { unit: 'min', inS: 60, smaller: 's', smallerInS: 1, belowS: 600 },
  { unit: 'min', inS: 60, smaller: null, smallerInS: 60, belowS: 5400 },
  { unit: 'h', inS: 3600, smaller: 'min', smallerInS: 60, belowS: 2 * 86_400 },
  { unit: 'd', inS: 86_400, smaller: 'h', smallerInS: 3600, belowS: Infinity },
] as const

/**
 * A time as a clock tells it: 34 s, 5 min 37 s, 38 min, 1 h 35 min, 3 d 4 h. Under a minute to two figures, under ten
 * minutes to the second, under two days to the minute, then to the hour.
 */
function shownTime(seconds: number): Shown {
  const size = Math.abs(seconds)
  const sign = seconds < 0 ? '-' : ''
  if (size < 59.5) return { figure: trimmed(figures(seconds, 2)), unit: 's' }
  const { unit, inS, smaller, smallerInS } = TIMES.find(
    time => Math.round(size / time.smallerInS) * time.smallerInS < time.belowS,
  )!
  const whole = Math.round(size / smallerInS) * smallerInS
  const left = Math.round((whole % inS) / smallerInS)
  const most = `${sign}${Math.floor(whole / inS)}`
  return smaller && left ? { figure: `${most} ${unit} ${left}`, unit: smaller } : { figure: most, unit }
}

/**
 * A value in the reader's system, as a figure and its unit apart (figures are set in the instrument face).
 * Lengths under 2 mm are shown to one more decimal, those given in µm to thousandths; times as a clock tells them;
 * heavy parts in kg or lb.
 */
export function show(value: number, key: UnitKey, system: ReadingSystem): Shown {
  const { dimension, baseScale, symbol } = KEY_UNITS[key]
  const base = value * baseScale
  if (dimension === 'time') return shownTime(base)
  const style = STYLES[dimension]?.[system]
  if (!style) return { figure: trimmed(figures(value, 3)), unit: symbol }
  let { unit, digits } = style
  if (dimension === 'mass' && Math.abs(base) >= 1000) unit = system === 'metric' ? 'kg' : 'lb'
  if (dimension === 'speed' && system === 'metric' && base !== 0 && Math.abs(base) < 1) unit = 'mm/min'
  if (key === 'kPa' && system === 'metric') unit = 'kPa'
  // What is given in thousandths of a millimetre is meant to be read that finely: thousandths, or tenths of a thou.
  if (key === 'um') digits = system === 'metric' ? 3 : 4
  else if (dimension === 'length' && Math.abs(base) < 2 && base !== 0) digits += system === 'metric' ? 1 : 0
  const definition = UNITS[dimension].find(candidate => candidate.spellings.includes(unit.toLowerCase()))!
  const shown = base / definition.scale - (definition.offset ?? 0)
  return { figure: figures(shown, digits, style.fixed), unit: PRINTED[unit.toLowerCase()] ?? unit }
}

/** A length in the reader's system, not rounded: for charts. */
export const lengthIn = (mm: number, system: ReadingSystem) => (system === 'inch' ? mm / MM_PER_INCH : mm)

/** A step between temperatures in the reader's system, as text. */
export const temperatureStepText = (kelvin: number, system: ReadingSystem) =>
  system === 'inch' ? `${figures((kelvin * 9) / 5, 1, true)} °F` : `${figures(kelvin, 1, true)} °C`

/** A temperature in the reader's system, not rounded: for charts. */
export const temperatureIn = (c: number, system: ReadingSystem) => (system === 'inch' ? (c * 9) / 5 + 32 : c)

/** The same as one text. */
export function showText(value: number, key: UnitKey, system: ReadingSystem): string {
  const { figure, unit } = show(value, key, system)
  return unit === '' ? figure : unit === '°' || unit === '%' ? `${figure}${unit}` : `${figure} ${unit}`
}

/**
 * Text that `read` takes back to the same value: the shortest decimal in the key's unit,
 * or for a length that is a whole number of sixty-fourths of an inch, the fraction.
 */
export function write(value: number, key: UnitKey, system: ReadingSystem = 'metric'): string {
  const { dimension, symbol } = KEY_UNITS[key]
  if (dimension === 'length' && system === 'inch') {
    const inches = (value * KEY_UNITS[key].baseScale) / MM_PER_INCH
    const sixtyFourths = inches * 64
    if (sixtyFourths !== 0 && Math.abs(sixtyFourths - Math.round(sixtyFourths)) < 1e-9 && Math.abs(inches) < 1000) {
      return `${new Fraction(Math.round(sixtyFourths), 64).toFraction(true)} in`
    }
    return `${String(inches)} in`
  }
  return symbol ? `${String(value)} ${symbol === 'µm' ? 'um' : symbol}` : String(value)
}
