import './zod-config'
import { z } from 'zod'
import { read } from './read'
import { KEY_UNITS, type UnitKey } from './units.table'

export interface Limits {
  /** Least value allowed, in the key's unit. */
  min?: number
  max?: number
  /** The value must lie above this. */
  above?: number
}

/** Widest values a bench could mean, in the key's unit; past these a typing slip is likelier than a part. */
const WIDEST: Partial<Record<UnitKey, Limits>> = {
  mm: { min: -1e6, max: 1e6 },
  um: { min: 0, max: 1e7 },
  mm2: { min: 0, max: 1e9 },
  mm3: { min: 0, max: 1e12 },
  l: { min: 0, max: 1e6 },
  g: { min: -1e7, max: 1e8 },
  kg: { min: 0, max: 1e5 },
  c: { min: -273.15, max: 4000 },
  s: { min: 0, max: 1e8 },
  min: { min: 0, max: 1e7 },
  a: { min: 0, max: 5000 },
  v: { min: 0, max: 1e4 },
  w: { min: 0, max: 1e7 },
  j: { min: 0, max: 1e12 },
  kWh: { min: 0, max: 1e6 },
  n: { min: -1e9, max: 1e9 },
  nm: { min: 0, max: 1e6 },
  mPa: { min: 0, max: 1e5 },
  kPa: { min: -1e3, max: 1e6 },
  lMin: { min: 0, max: 1e4 },
  mMin: { min: 0, max: 1e4 },
  mmS: { min: 0, max: 1e5 },
  hz: { min: 0, max: 1e6 },
  deg: { min: -3600, max: 3600 },
  pct: { min: 0, max: 100 },
  gcm3: { min: 0, max: 30 },
  wm2K: { min: 0, max: 1e5 },
  mm3Min: { min: 0, max: 1e9 },
  gMin: { min: 0, max: 1e5 },
  sccm: { min: 0, max: 1e9 },
  tpi: { min: 0, max: 200 },
  number: { min: -1e9, max: 1e9 },
}

const tidy = (value: number) => Number(value.toPrecision(6))

/** What is wrong with a value in its key's unit, in words; null where it lies within its limits. */
export function outside(value: number, key: UnitKey, limits: Limits = {}): string | null {
  const { symbol } = KEY_UNITS[key]
  const { min = WIDEST[key]?.min, max = WIDEST[key]?.max, above } = limits
  const withUnit = (figure: number) => (symbol ? `${tidy(figure)} ${symbol}` : String(tidy(figure)))
  if (!Number.isFinite(value)) return 'must be a finite number'
  if (above !== undefined && value <= above) return `must be more than ${withUnit(above)}, not ${withUnit(value)}`
  if (min !== undefined && value < min) return `must be at least ${withUnit(min)}, not ${withUnit(value)}`
  if (max !== undefined && value > max) return `must be at most ${withUnit(max)}, not ${withUnit(value)}`
  return null
}

/**
 * A Zod schema for one quantity coming in: a finite number in the key's unit, or text with a unit.
 * Comes out as a number in the key's unit. Anything not understood is refused by name.
 */
export function quantity(key: UnitKey, limits: Limits = {}) {
  const { symbol } = KEY_UNITS[key]
  return z
    .union([z.number(), z.string()], { error: `a number in ${symbol || 'plain figures'}, or text with a unit` })
    .transform((input, context) => {
      const reading = typeof input === 'number' ? { ok: true as const, value: input, unit: symbol } : read(input, key)
      const refuse = (message: string) => {
        context.issues.push({ code: 'custom', message, input })
        return z.NEVER
      }
      if (!reading.ok) return refuse(reading.message)
      const { value } = reading
      const trouble = outside(value, key, limits)
      if (trouble) return refuse(trouble)
      return value
    })
}

/** A quantity that must be more than nothing. */
export const positive = (key: UnitKey, limits: Limits = {}) => quantity(key, { above: 0, ...limits })

/** Percent from 0 to 100. */
export const percent = (limits: Limits = {}) => quantity('pct', limits)
