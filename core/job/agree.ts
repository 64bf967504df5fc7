import { unitOfKey } from '../ask/fields'
import { isThousandsToSome, read, type BareNumber } from '../quantity/read'
import type { UnitKey } from '../quantity/units.table'
import { isPlain, isReading } from './entry-key'

interface Reading {
  typed: string
  value: number | null
}
export interface Corrected {
  readonly path: string
  readonly typed: string
  readonly was: number | null
  readonly now: number | null
}

const WAYS: readonly BareNumber[] = ['key-unit', 'metric', 'inch']
/** What rounding of a written figure may leave between it and its value. */
const NEAR = 2e-3

/** Plain figures, whose key has no unit to say. */
const PLAIN = new Set(['hb', 'copiedDial', 'balanceLimitGmm'])

/**
 * Units of readings whose key does not say one: where a thing lies on the part, sizes of a solid and readings of a dial
 * are lengths.
 * Null where nothing says: such a reading is left as it is.
 */
function unitAt(path: readonly string[]): UnitKey | null {
  const key = path.at(-1)!
  const unit = unitSaid(key)
  if (unit) return unit
  if (/^[xyz]$/.test(key) || path.includes('size') || path.includes('at') || path.includes('runOut')) return 'mm'
  return PLAIN.has(key) ? 'number' : null
}

/** Keys and texts come again in every job of a shop: what they mean is looked up once. */
const units = new Map<string, UnitKey | null>()
function unitSaid(key: string): UnitKey | null {
  let unit = units.get(key)
  if (unit === undefined) units.set(key, (unit = unitOfKey(key).unit ?? null))
  return unit
}
const MOST_TEXTS = 20_000
const texts = new Map<string, readonly number[]>()
/** What a text may stand for, the likeliest first; nothing where it is no quantity. */
function meanings(typed: string, unit: UnitKey): readonly number[] {
  const key = `${unit} ${typed}`
  const known = texts.get(key)
  if (known) return known
  const found = WAYS.flatMap(bare => {
    const each = read(typed, unit, bare)
    return each.ok ? [each.value] : []
  })
  if (texts.size >= MOST_TEXTS) texts.clear()
  texts.set(key, found)
  return found
}

const isNear = (value: number, found: number) => Math.abs(found - value) <= NEAR * Math.max(Math.abs(found), 1e-3)

function agreed(reading: Reading, unit: UnitKey): Reading {
  const { typed, value } = reading
  if (typed.trim() === '') return value === null ? reading : { typed, value: null }
  const found = meanings(typed, unit)
  if (value !== null && found.some(each => isNear(value, each))) return reading
  // Its writer was asked which of two numbers it is, and has not said.
  if (value === null && isThousandsToSome(typed)) return reading
  const first = found[0] ?? null
  return first === null && value === null ? reading : { typed, value: first }
}

/**
 * A job in which what was typed and the value stored say the same: where a file holds another value than its text
 * gives, the text goes, since it is what is seen. Text that is no quantity has no value. What was put right is told.
 */
export function agreeing<T>(job: T): { job: T; corrected: Corrected[] } {
  const corrected: Corrected[] = []
  const path: string[] = []
  const within = (key: string, inner: unknown): unknown => {
    path.push(key)
    const after = walk(inner)
    path.pop()
    return after
  }
  /** A copy is made only of what changes: a file of ten thousand jobs mostly agrees. */
  const walk = (node: unknown): unknown => {
    if (isReading(node)) {
      const before = node as Reading
      const unit = unitAt(path)
      const after = unit === null ? before : agreed(before, unit)
      if (after !== before)
        corrected.push({ path: path.join('.'), typed: before.typed, was: before.value, now: after.value })
      return after
    }
    if (Array.isArray(node)) {
      let list: unknown[] = node
      node.forEach((entry, n) => {
        const after = within(String(n), entry)
        if (after === entry) return
        if (list === node) list = [...node]
        list[n] = after
      })
      return list
    }
    if (!isPlain(node)) return node
    let record = node
    for (const [key, inner] of Object.entries(node)) {
      const after = within(key, inner)
      if (after === inner) continue
      if (record === node) record = { ...node }
      record[key] = after
    }
    return record
  }
  return { job: walk(job) as T, corrected }
}
