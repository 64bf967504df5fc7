import { z } from 'zod'
import { thousandsAsked } from '../quantity/read'
import { KEY_UNITS, type UnitKey } from '../quantity/units.table'
import { fieldWords } from './labels.table'
import type { Question } from './question'

export type FieldKind = 'quantity' | 'text' | 'choice' | 'flag' | 'json'

/** One field of a question's input, as a form shows it. */
export interface QuestionField {
  readonly key: string
  readonly label: string
  /** What is put in it, where the name leaves a doubt. */
  readonly help: string
  readonly kind: FieldKind
  readonly required: boolean
  readonly unit: string
  readonly choices: readonly (string | number)[]
  readonly example: unknown
  readonly fallback: unknown
}

/** Key suffixes of the contract, longest first so that `Mm3Min` is not taken for `Min`. */
const SUFFIXES: readonly (readonly [suffix: string, unit: UnitKey])[] = [
  ['Mm3Min', 'mm3Min'],
  ['Wm2K', 'wm2K'],
  ['Gcm3', 'gcm3'],
  ['WM2K', 'wm2K'],
  ['LMin', 'lMin'],
  ['MMin', 'mMin'],
  ['GMin', 'gMin'],
  ['Sccm', 'sccm'],
  ['MmS', 'mmS'],
  ['Mm2', 'mm2'],
  ['Mm3', 'mm3'],
  ['MPa', 'mPa'],
  ['KPa', 'kPa'],
  ['KWh', 'kWh'],
  ['Deg', 'deg'],
  ['Pct', 'pct'],
  ['Min', 'min'],
  ['Mm', 'mm'],
  ['Um', 'um'],
  ['Kg', 'kg'],
  ['Hz', 'hz'],
  ['Nm', 'nm'],
  ['Ms', 'ms'],
  ['G', 'g'],
  ['C', 'c'],
  ['S', 's'],
  ['A', 'a'],
  ['V', 'v'],
  ['W', 'w'],
  ['J', 'j'],
  ['N', 'n'],
  ['L', 'l'],
] as const

/**
 * The unit that a key's suffix promises, and the key without it; a key that is all unit ("a") is the quantity itself.
 */
export function unitOfKey(key: string): { unit: UnitKey | null; stem: string } {
  for (const [suffix, unit] of SUFFIXES) {
    if (key.endsWith(suffix) && key.length > suffix.length && /[a-z0-9]/.test(key[key.length - suffix.length - 1]!))
      return { unit, stem: key.slice(0, -suffix.length) }
  }
  if (key === 'a') return { unit: 'a', stem: 'current' }
  return { unit: null, stem: key }
}

/** crackMm → crack, where it holds a number; baseA → base a, where it holds a name. */
export const labelOfKey = (key: string, numeric = true) =>
  (numeric ? unitOfKey(key).stem : key)
    .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
    .replaceAll('_', ' ')
    .toLowerCase()

interface Described {
  type?: string | string[]
  enum?: (string | number)[]
  const?: string | number
  anyOf?: Described[]
  oneOf?: Described[]
  default?: unknown
}

function choicesOf(schema: Described): (string | number)[] {
  if (schema.enum) return schema.enum
  if (schema.const !== undefined) return [schema.const]
  const each = schema.anyOf?.map(choicesOf) ?? []
  return each.length && each.every(list => list.length > 0) ? each.flat() : []
}

/** The fields of a question's input, read off its own schema, for a form. */
export function fieldsOf(question: Question): QuestionField[] {
  const schema = z.toJSONSchema(question.input, { io: 'input', unrepresentable: 'any' }) as {
    properties?: Record<string, Described>
    required?: string[]
  }
  const example = question.example as Record<string, unknown>
  return Object.entries(schema.properties ?? {}).map(([key, property]): QuestionField => {
    const types = new Set(
      [property.type, ...[...(property.anyOf ?? []), ...(property.oneOf ?? [])].map(inner => inner.type)]
        .flat()
        .filter(Boolean),
    )
    const choices = choicesOf(property)
    const numeric = types.has('number') || types.has('integer')
    const unit = numeric ? unitOfKey(key).unit : null
    const kind: FieldKind =
      types.has('array') || types.has('object') || (typeof example[key] === 'object' && example[key] !== null)
        ? 'json'
        : choices.length
          ? 'choice'
          : types.has('boolean')
            ? 'flag'
            : numeric
              ? 'quantity'
              : 'text'
    return {
      key,
      label: fieldWords(question.name, key)?.label ?? labelOfKey(key, numeric),
      help: fieldWords(question.name, key)?.help ?? '',
      kind,
      required: schema.required?.includes(key) ?? false,
      unit: unit ? KEY_UNITS[unit].symbol : '',
      choices,
      example: example[key],
      fallback: typeof property.default === 'object' ? undefined : property.default,
    }
  })
}

/**
 * What a form holds, as the question takes it: empty fields left out, JSON read, plain figures as numbers.
 * @param hasComma the reader's decimals have a comma
 * @returns issues where JSON is broken, or a figure is to be asked about
 */
export function inputFromForm(
  fields: readonly QuestionField[],
  form: Readonly<Record<string, unknown>>,
  hasComma = false,
): { input: Record<string, unknown>; issues: { path: string; message: string }[] } {
  const input: Record<string, unknown> = {}
  const issues: { path: string; message: string }[] = []
  for (const { key, kind } of fields) {
    const value = form[key]
    if (value === undefined || value === null || value === '') continue
    const asks = hasComma && kind === 'quantity' && typeof value === 'string' ? thousandsAsked(value) : null
    if (asks !== null) {
      issues.push({ path: key, message: asks })
      continue
    }
    if (kind === 'json' && typeof value === 'string') {
      try {
        input[key] = JSON.parse(value)
      } catch {
        issues.push({ path: key, message: 'not JSON: check brackets, quotes and commas' })
      }
    } else if (kind === 'quantity' && typeof value === 'string' && /^[+-]?\d+(\.\d+)?$/.test(value.trim()))
      input[key] = Number(value)
    else input[key] = value
  }
  return { input, issues }
}
