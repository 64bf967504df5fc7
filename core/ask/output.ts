import '../quantity/zod-config'
import { z } from 'zod'
import { KEY_UNITS, type UnitKey } from '../quantity/units.table'
import { inside } from './inside'

/** How a figure of an answer is shown: its unit, the end of a name that says it, and what it is where that is all. */
export interface FigureMeta {
  readonly unit: string
  readonly suffix: string
  readonly name: string
}

/** Units that answers come in beside those that are typed in, with the end of a name that says them. */
const DERIVED = {
  mmMin: { unit: 'mm/min', suffix: 'MmMin', name: 'feed' },
  kPaMin: { unit: 'kPa/min', suffix: 'KPaMin', name: 'fall of pressure' },
  cm3: { unit: 'cm³', suffix: 'Cm3', name: 'volume' },
  jKgK: { unit: 'J/kg·K', suffix: 'JkgK', name: 'specific heat' },
  gmm: { unit: 'g·mm', suffix: 'Gmm', name: 'unbalance' },
  kelvin: { unit: 'K', suffix: 'K', name: 'difference' },
  hb: { unit: 'HB', suffix: 'Hb', name: 'hardness' },
  rpm: { unit: 'rev/min', suffix: 'Rpm', name: 'speed' },
  px: { unit: 'px', suffix: 'Px', name: 'pixels' },
  mmPx: { unit: 'mm/px', suffix: 'MmPerPx', name: 'size of a pixel' },
  bits: { unit: 'bits', suffix: 'Bits', name: 'bits' },
  metres: { unit: 'm', suffix: 'M', name: 'length' },
} as const satisfies Record<string, FigureMeta>

/** What a figure is where its name is nothing but its unit. */
const NAMES: Partial<Record<UnitKey, string>> = {
  a: 'current',
  c: 'temperature',
  g: 'mass',
  mm: 'length',
  s: 'time',
  v: 'voltage',
  min: 'minutes',
  sccm: 'leak',
}

/** A unit's key as it ends a name: mm → Mm, kPa → KPa. */
const suffixOf = (key: string) => key[0]!.toUpperCase() + key.slice(1)

const figure = (meta: FigureMeta) => z.number().meta({ ...meta })
type Figure = ReturnType<typeof figure>

/** A figure of an answer, by the unit it comes in: `of.mm`, `of.kPaMin`. */
export const of = Object.fromEntries([
  ...Object.entries(KEY_UNITS).map(([key, { symbol }]) => [
    key,
    figure({ unit: symbol, suffix: suffixOf(key), name: NAMES[key as UnitKey] ?? key }),
  ]),
  ...Object.entries<FigureMeta>(DERIVED).map(([key, meta]) => [key, figure(meta)]),
]) as Readonly<Record<UnitKey | keyof typeof DERIVED, Figure>>

/** A figure without a unit: a count, a share, a ratio, money in the shop's own. */
export const plain = z.number()
/** A place, mm. */
export const placeMm = z.tuple([of.mm, of.mm])
/** Cautions that an answer holds of its own. */
export const cautionOut = z.strictObject({
  code: z.string(),
  level: z.enum(['note', 'caution', 'stop']),
  title: z.string().optional(),
  text: z.string(),
})
/** Steps of a working that an answer holds of its own. */
export const stepOut = z.strictObject({
  label: z.string(),
  formula: z.string(),
  value: z.union([z.number(), z.string()]),
  unit: z.string(),
  source: z.string(),
})

/** The schema of a value within an answer's, optional and nullable taken off; undefined where there is none. */
export function within(schema: z.core.$ZodType | undefined, key: string): z.core.$ZodType | undefined {
  if (!schema) return undefined
  const { shape, innerType, element, valueType, options, items } = inside(schema)
  if (shape) return shape[key]
  if (options) return options.map(option => within(option, key)).find(Boolean)
  if (items) return items[Number(key)]
  return innerType ? within(innerType, key) : (element ?? valueType)
}

/** How a figure that a schema holds is shown, whatever is wrapped round it; undefined where it has no unit. */
export function figureMeta(schema: z.core.$ZodType | undefined): FigureMeta | undefined {
  if (!schema) return undefined
  const { innerType, element, items } = inside(schema)
  const meta = (schema as z.ZodType).meta?.() as FigureMeta | undefined
  return meta?.unit !== undefined ? meta : figureMeta(innerType ?? element ?? items?.[0])
}
