import { unitOfKey } from '../ask/fields'
import { read, type BareNumber } from '../quantity/read'
import type { UnitKey } from '../quantity/units.table'
import { isPlain, isReading } from './entry-key'

interface Reading { typed: string, value: number | null }
export interface Corrected { readonly path: string, readonly typed: string, readonly was: number | null, readonly now: number | null }

const WAYS: readonly BareNumber[] = ['key-unit', 'metric', 'inch']
/** What rounding of a written figure may leave between it and its value. */
const NEAR = 2e-3

/** Plain figures, whose key has no unit to say. */
const PLAIN = new Set(['hb', 'copiedDial', 'balanceLimitGmm'])

/**
 * Units of readings whose key does not say one: where a thing lies on the part, sizes of a solid and readings of a dial are lengths.
 * Null where nothing says: such a reading is left as it is.
 */
function unitAt(path: readonly string[]): UnitKey | null {
  const key = path.at(-1)!
  const { unit } = unitOfKey(key)
  if (unit) return unit
  if (/^[xyz]$/.test(key) || path.includes('size') || path.includes('at') || path.includes('runOut')) return 'mm'
  return PLAIN.has(key) ? 'number' : null
}

function agreed(reading: Reading, unit: UnitKey): Reading {
  const { typed, value } = reading
  if (typed.trim() === '') return value === null ? reading : { typed, value: null }
  const found = WAYS.flatMap((bare) => {
    const each = read(typed, unit, bare)
    return each.ok ? [each.value] : []
  })
  if (!found.length) return value === null ? reading : { typed, value: null }
  const near = value !== null && found.some(each => Math.abs(each - value) <= NEAR * Math.max(Math.abs(each), 1e-3))
  return near ? reading : { typed, value: found[0]! }
}

/**
 * A job in which what was typed and the value stored say the same: where a file holds another value than its text gives, the text goes,
 * since it is what is seen. Text that is no quantity has no value. What was put right is told.
 */
export function agreeing<T>(job: T): { job: T, corrected: Corrected[] } {
  const corrected: Corrected[] = []
  const walk = (node: unknown, path: readonly string[]): unknown => {
    if (isReading(node)) {
      const before = node as Reading
      const unit = unitAt(path)
      const after = unit === null ? before : agreed(before, unit)
      if (after !== before) corrected.push({ path: path.join('.'), typed: before.typed, was: before.value, now: after.value })
      return after
    }
    if (Array.isArray(node)) {
      const list = node.map((entry, n) => walk(entry, [...path, String(n)]))
      return list.every((entry, n) => entry === node[n]) ? node : list
    }
    if (!isPlain(node)) return node
    const entries = Object.entries(node).map(([key, inner]) => [key, walk(inner, [...path, key])] as const)
    return entries.every(([key, inner]) => inner === node[key]) ? node : Object.fromEntries(entries)
  }
  return { job: walk(job, []) as T, corrected }
}
