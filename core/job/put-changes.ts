import { entryKey, isPlain, isReading } from './entry-key'
import { fieldOf, stamped, stampedThen } from './field'
import type { Job } from './job.schema'
import { applyPatch, valueAt, type Patch, type PathKey } from './patch'
import { same } from './same'
import { threeWay } from './three-way'

/** A change with what its place held where it began, and the time by which changes are ordered. */
export interface Change extends Patch {
  readonly before?: unknown
  readonly stamp?: string
  /** Found in a journal, with nothing to say whether it had been stored before its page went. */
  readonly maybeStored?: boolean
}

export interface Put {
  readonly job: Job
  /** Changes to a single value that somebody has changed since: what is newer stands. */
  readonly overruled: readonly Change[]
}

/** What is changed as one: nothing that is merged by its entries or keys. */
const isSingle = (value: unknown) => isReading(value) || !(Array.isArray(value) || isPlain(value))

type Stamps = Readonly<Record<string, string>>

/** When the smallest part round a path that is timed by itself was last changed. */
function changedAt(stamps: Stamps, path: readonly PathKey[]): string | undefined {
  for (let n = path.length, field = fieldOf(path).split('.').length; n >= field; n--) {
    const found = stamps[path.slice(0, n).join('.')]
    if (found !== undefined) return found
  }
  return undefined
}

/** Entries that a change would put in, less those put in and taken out since: what was taken out has a time. */
const notTakenOut = (merged: unknown, stored: unknown, at: string, stamps: Stamps): unknown =>
  Array.isArray(merged) && Array.isArray(stored)
    ? merged.filter(entry => {
        const key = entryKey(entry)
        return stamps[`${at}.#${key}`] === undefined || stored.some(each => entryKey(each) === key)
      })
    : merged

function putOne(job: Job, { path, value, before, stamp, maybeStored }: Change): Job {
  const stamps = job.stamps ?? {}
  const stored = valueAt(job, path)
  const at = changedAt(stamps, path)
  const later = stamp !== undefined && at !== undefined ? Date.parse(at) - Date.parse(stamp) : -1
  if (later < 0) return applyPatch(job, { path, value: threeWay(before, stored, value) })
  if (!maybeStored) {
    // What was changed in the same instant goes by who comes last.
    const merged = later === 0 ? threeWay(before, stored, value) : threeWay(before, value, stored)
    return applyPatch(job, { path, value: merged })
  }
  if (later === 0) return job
  const merged = notTakenOut(threeWay(before, value, stored), stored, path.join('.'), stamps)
  return applyPatch(job, { path, value: merged })
}

/** The times of a job after a change: it has its own, or comes after all that the job has seen. */
const stampsWith = (before: Job, after: Job, { path, stamp }: Change, at: string) =>
  stamp === undefined ? stamped(before, after, [path], at, before.updatedAt) : stampedThen(before, after, path, stamp)

/**
 * Changes put on a job as it is stored, by entries of lists and fields, so that what another tab changed meanwhile
 * stays; of two changes to one value the newer stands, in whatever order they come to be stored.
 * @param updatedAt when the last of them was made
 */
export function putChanges(stored: Job, changes: readonly Change[], updatedAt: string): Put {
  let job = stored
  const overruled: Change[] = []
  for (const change of changes) {
    const next = putOne(job, change)
    const [was, is] = [valueAt(job, change.path), valueAt(next, change.path)]
    if (!same(was, is)) {
      const since = updatedAt > job.updatedAt ? updatedAt : job.updatedAt
      job = { ...next, updatedAt: since, stamps: stampsWith(job, next, change, updatedAt) }
    } else if (isSingle(change.value) && !change.maybeStored && !same(is, change.value)) overruled.push(change)
  }
  return { job, overruled }
}
