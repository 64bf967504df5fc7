import { declaredAt } from './fields/sections'
import { isReading } from './entry-key'
import type { BasisValue, Job } from './job.schema'
import type { StoredMend } from './mend.schema'

/** Figures are the same where they agree to so many digits: more than anybody measures. */
const DIGITS = 6
/** A file keeps no longer text of one thing. */
const LONGEST = 180

export const sameFigure = (value: number): number => Number(value.toPrecision(DIGITS))

/** Text no longer than a file keeps; a longer one is told apart by a figure made of all of it (FNV-1a). */
function keptText(text: string): string {
  if (text.length <= LONGEST) return text
  let hash = 0x811c9dc5
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193)
  return `${text.slice(0, LONGEST - 12)}…${(hash >>> 0).toString(36)}`
}

/** Ids as one text, whatever order they stand in. */
export const ids = (list: readonly string[]): string => keptText(list.toSorted().join(' '))
/** Ids as one text, in their order. */
export const inOrder = (list: readonly string[]): string => keptText(list.join(' '))

/** What is held of a field as a settled station remembers it: a figure, an id, ids; null where nothing is said. */
export function valueOf(held: unknown): BasisValue {
  if (held === null || held === undefined || held === '') return null
  if (isReading(held)) {
    const { value } = held as { value: number | null }
    return value === null ? null : sameFigure(value)
  }
  if (typeof held === 'number') return sameFigure(held)
  if (typeof held === 'boolean') return held
  if (typeof held === 'string') return keptText(held)
  if (Array.isArray(held))
    return held.length ? ids(held.map(each => (typeof each === 'string' ? each : JSON.stringify(each)))) : null
  return keptText(JSON.stringify(held))
}

/** What a job holds at a path such as `takeIn.wallMm`. @throws where no field is declared there: a mistake of ours */
export function readingAt(job: Job, path: string): BasisValue {
  if (!declaredAt(path)) throw new Error(`no field is declared at ${path}`)
  return valueOf(path.split('.').reduce<unknown>((held, key) => (held as Record<string, unknown>)[key], job))
}

/** The path of a mend's reading, by its id, whatever it is called. */
export const mendPath = (id: string, key: string) => `mends.#${id}.${key}`

/** What a mend says, but the readings that `without` leaves out. */
export function mendBasis(
  { id, kind, readings, opened, lays, order, other }: StoredMend,
  fields: Readonly<Record<string, unknown>>,
  without: (key: string) => boolean,
): Record<string, BasisValue> {
  return Object.fromEntries([
    [mendPath(id, 'kind'), kind],
    [mendPath(id, 'opened'), opened],
    [mendPath(id, 'order'), order],
    [
      mendPath(id, 'lays'),
      lays.length ? inOrder(lays.map(lay => `${lay.process ?? ''}/${lay.filler}/${lay.upTo}`)) : null,
    ],
    [mendPath(id, 'other.alloy'), valueOf(other.alloy)],
    [mendPath(id, 'other.wallMm'), valueOf(other.wallMm)],
    ...Object.keys(fields)
      .filter(key => !without(key))
      .map(key => [mendPath(id, `readings.${key}`), valueOf(readings[key])] as const),
  ])
}
