import { declaredAt, isSection } from './fields/sections'
import type { PathKey } from './patch'
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

/** A reading of a mend, or whatever else of one stands by itself, as it is timed beside the field it is in. */
const partOf = (path: readonly PathKey[]): string | null =>
  path[0] === 'mends' && path.length > 2 ? path.slice(0, 4).join('.') : null

/** The job's times of change with those of some changes put in; `since` is when the job was last changed. */
export function stamped(
  stamps: Readonly<Record<string, string>>,
  paths: readonly (readonly PathKey[])[],
  at: string,
  since?: string,
): Record<string, string> {
  const now = tick(stamps, at, since)
  const names = paths.flatMap(path => [fieldOf(path), partOf(path) ?? []].flat())
  return { ...stamps, ...Object.fromEntries(names.map(name => [name, now])) }
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
