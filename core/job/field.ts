import { changedParts } from './changed-parts'
import { declaredAt, isSection } from './fields/sections'
import { valueAt, type PathKey } from './patch'
import { tick } from './tick'

/** Parts of a job whose keys are its fields: the stations', and what each station was settled on. */
const parted = (key: string) => isSection(key) || key === 'settled'
/** Fields whose own keys are timed and merged one by one. */
const deeper = (two: string) => {
  const field = declaredAt(two)
  return field?.kind === 'group' || field?.each === true
}

/** The field that a change at a path belongs to: what is timed, and merged, as one. */
export function fieldOf(path: readonly PathKey[]): string {
  const two = path.slice(0, 2).join('.')
  if (deeper(two)) return path.slice(0, 3).join('.')
  return parted(String(path[0])) ? two : String(path[0])
}

/** As long as a name of a stamp may be; a part whose name is longer goes by what it is in. */
const LONGEST_NAME = 120

/** The names of what a change touched: its field, and the parts of it that are timed by themselves. */
function touched(before: Stamped, after: object, path: readonly PathKey[]): string[] {
  const field = fieldOf(path)
  const at = field.split('.')
  const parts = changedParts(
    valueAt(before, at),
    valueAt(after, at),
    field,
    name => before.stamps?.[name] !== undefined,
  )
  return [field, ...parts.filter(name => name.length <= LONGEST_NAME)]
}

/**
 * A job's times of change with those of some changes put in.
 * @param before the job before them, with the stamps it had @param after the job with the changes made
 * @param since when the job was last changed
 */
export function stamped(
  before: Stamped,
  after: object,
  paths: readonly (readonly PathKey[])[],
  at: string,
  since?: string,
): Record<string, string> {
  const stamps = before.stamps ?? {}
  const now = tick(stamps, at, since)
  const names = paths.flatMap(path => touched(before, after, path))
  return { ...stamps, ...Object.fromEntries(names.map(name => [name, now])) }
}
/**
 * A job's times of change with those of one change put in, made at a time of its own: what has been changed later keeps
 * its time.
 */
export function stampedThen(
  before: Stamped,
  after: object,
  path: readonly PathKey[],
  at: string,
): Record<string, string> {
  const stamps = { ...before.stamps }
  for (const name of touched(before, after, path)) if (!stamps[name] || stamps[name] < at) stamps[name] = at
  return stamps
}

export interface Stamped {
  readonly stamps?: Readonly<Record<string, string>>
}

/** Every field of a job with its value. */
export function fieldsOfJob(job: object): Map<string, unknown> {
  const found = new Map<string, unknown>()
  for (const [key, value] of Object.entries(job)) {
    if (!parted(key)) {
      found.set(key, value)
      continue
    }
    for (const [inner, each] of Object.entries(value as object)) {
      const two = `${key}.${inner}`
      if (deeper(two)) for (const [last, deep] of Object.entries(each as object)) found.set(`${two}.${last}`, deep)
      else found.set(two, each)
    }
  }
  return found
}
