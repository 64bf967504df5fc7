import { isPlain, isReading, keyed } from './entry-key'
import { fieldsOfJob } from './field'
import { listRuleOf } from './fields/lists'
import type { Job } from './job.schema'
import { applyPatch } from './patch'
import { same, textOf } from './same'
import { wordsOf } from './words-of'

/** Fields that are bookkeeping of the job itself. */
const OWN = new Set(['kind', 'version', 'id', 'updatedAt', 'takenInAt', 'stamps', 'overruled'])
const MOST_OVERRULED = 400
const LONGEST_WORDS = 1000
const LONGEST_FIELD = 120

export interface FieldMerge {
  field: string
  from: 'ours' | 'theirs' | 'both'
}
export interface MergedJob {
  job: Job
  changed: FieldMerge[]
}

/**
 * Before any change: where a field was never touched, what another bench made of it goes, however far back that bench's
 * clock is.
 */
const UNTOUCHED = Date.parse('1990-01-01T00:00:00.000Z')

/** When a field was last changed: by its own stamp; a job from before there were stamps counts whole. */
const changedAt = (job: Job, field: string) =>
  job.stamps[field] !== undefined
    ? Date.parse(job.stamps[field])
    : Object.keys(job.stamps).length
      ? UNTOUCHED
      : Date.parse(job.updatedAt)

/**
 * Whether the first of two values goes: the newer, and at the same moment the one that stands later in the alphabet, so
 * that either bench comes to the same.
 */
const wins = (a: unknown, b: unknown, aAt: number, bAt: number) => (aAt !== bAt ? aAt > bAt : textOf(a) > textOf(b))

const later = (a: string, b: string) => (wins(a, b, Date.parse(a), Date.parse(b)) ? a : b)

/** Entries in the order of their time where the list is kept so, else as they were put in. */
function inOrder(field: string, entries: [string, unknown][]): unknown[] {
  const order = (entry: unknown): string => (isPlain(entry) ? String(entry.at ?? entry.from ?? '') : '')
  const byName = (p: [string, unknown], q: [string, unknown]) => (p[0] < q[0] ? -1 : p[0] > q[0] ? 1 : 0)
  const byTime = listRuleOf(field)?.order === 'time'
  const sorted = entries.toSorted((p, q) => {
    const [x, y] = byTime ? [order(p[1]), order(q[1])] : ['', '']
    return x !== y ? (x < y ? -1 : 1) : byName(p, q)
  })
  return sorted.map(([, entry]) => entry)
}

/** When what stands at a place was last changed, on either bench. */
type Times = (at: string) => readonly [a: number, b: number]

/**
 * Times within a field: a part that either bench has timed by itself goes by that, and where the other has not, nobody
 * touched it there; every other part goes by its field.
 */
const timesIn =
  (ours: Job, theirs: Job, field: readonly [number, number]): Times =>
  at => {
    const [a, b] = [ours.stamps[at], theirs.stamps[at]]
    return a === undefined && b === undefined
      ? field
      : [a === undefined ? UNTOUCHED : Date.parse(a), b === undefined ? UNTOUCHED : Date.parse(b)]
  }

/**
 * Two versions of a value with nothing known of what they came from: lists hold the entries of both, what differs goes
 * by the newer.
 */
function both(field: string, a: unknown, b: unknown, times: Times, at = field): unknown {
  if (same(a, b)) return a
  const [aAt, bAt] = times(at)
  if (Array.isArray(a) && Array.isArray(b)) {
    const [mine, yours] = [keyed(a), keyed(b)]
    if (mine && yours) {
      const all = new Map([...mine, ...yours])
      for (const [key, entry] of mine)
        if (yours.has(key)) all.set(key, both(field, entry, yours.get(key), times, `${at}.#${key}`))
      const entries = [...all]
      return same([...mine.keys()], [...yours.keys()]) ? entries.map(([, entry]) => entry) : inOrder(field, entries)
    }
    // Entries known by their turn alone: what one bench has not filled in, the other may have; the longer list goes on.
    if ([...a, ...b].every(isPlain))
      return Array.from({ length: Math.max(a.length, b.length) }, (_, n) =>
        n >= a.length
          ? b[n]
          : n >= b.length
            ? a[n]
            : isReading(a[n])
              ? filled(a[n], b[n], aAt, bAt)
              : both(field, a[n], b[n], times, at),
      )
  }
  // An entry that holds more than single values, such as a picture with its traces or a mend with its readings, goes
  // field by field.
  if (
    isPlain(a) &&
    isPlain(b) &&
    !isReading(a) &&
    !isReading(b) &&
    [...Object.values(a), ...Object.values(b)].some(each => Array.isArray(each) || isPlain(each))
  ) {
    return Object.fromEntries(
      [...new Set([...Object.keys(a), ...Object.keys(b)])].map(key => [
        key,
        key in a && key in b ? both(field, a[key], b[key], times, `${at}.${key}`) : (a[key] ?? b[key]),
      ]),
    )
  }
  return wins(a, b, aAt, bAt) ? a : b
}

function filled(a: unknown, b: unknown, aAt: number, bAt: number): unknown {
  const empty = (reading: unknown) => (reading as { typed: string }).typed.trim() === ''
  if (empty(a) !== empty(b)) return empty(a) ? b : a
  return wins(a, b, aAt, bAt) ? a : b
}

/**
 * One job out of the same job on two benches, field by field: the newer of each; lists of entries hold both benches'
 * entries; words that were overruled are kept beside. What one bench took out of a list and the other still has comes
 * back: nothing is lost.
 * The same whichever is called ours; merging again with either changes nothing.
 */
export function mergeJob(ours: Job, theirs: Job): MergedJob {
  const [mine, yours] = [fieldsOfJob(ours), fieldsOfJob(theirs)]
  const stamps: Record<string, string> = { ...ours.stamps }
  for (const [field, at] of Object.entries(theirs.stamps))
    if (!stamps[field] || Date.parse(at) > Date.parse(stamps[field])) stamps[field] = at
  const overruled = new Map(
    [...ours.overruled, ...theirs.overruled].map(entry => [`${entry.field} ${entry.words}`, entry]),
  )
  const changed: FieldMerge[] = []
  /**
   * Words of one bench that do not stand in what comes of it. Those that nobody wrote, which a field begins with, are
   * not missed.
   */
  const keepWords = (field: string, from: Job, lost: unknown, kept: unknown) => {
    if (!from.stamps[field]) return
    const stands = new Set(wordsOf(field, kept).map(({ field: at, words }) => `${at} ${words}`))
    for (const { field: at, words } of wordsOf(field, lost)) {
      if (!stands.has(`${at} ${words}`))
        overruled.set(`${at} ${words}`, { field: at.slice(0, LONGEST_FIELD), words: words.slice(0, LONGEST_WORDS) })
    }
  }
  const timed = Object.keys(stamps).length > 0
  let job: Job = ours
  for (const field of new Set([...mine.keys(), ...yours.keys()])) {
    if (OWN.has(field)) continue
    const [a, b] = [mine.get(field), yours.get(field)]
    if (same(a, b)) continue
    const [aAt, bAt] = [changedAt(ours, field), changedAt(theirs, field)]
    // From now on the field has a time of its own, so that merging again comes to the same.
    if (timed) stamps[field] = new Date(Math.max(aAt, bAt)).toISOString()
    const path = field.split('.')
    if (Array.isArray(a) && Array.isArray(b)) {
      const joined = both(field, a, b, timesIn(ours, theirs, [aAt, bAt]))
      keepWords(field, ours, a, joined)
      keepWords(field, theirs, b, joined)
      if (!same(joined, a)) job = applyPatch(job, { path, value: joined })
      changed.push({ field, from: same(joined, b) ? 'theirs' : same(joined, a) ? 'ours' : 'both' })
      continue
    }
    const ourWins = wins(a, b, aAt, bAt)
    keepWords(field, ourWins ? theirs : ours, ourWins ? b : a, ourWins ? a : b)
    if (!ourWins) job = applyPatch(job, { path, value: b })
    changed.push({ field, from: ourWins ? 'ours' : 'theirs' })
  }
  const kept = [...overruled.values()]
    .toSorted((p, q) => (`${p.field} ${p.words}` < `${q.field} ${q.words}` ? -1 : 1))
    .slice(0, MOST_OVERRULED)
  return {
    job: {
      ...job,
      stamps,
      overruled: kept,
      takenInAt: later(ours.takenInAt, theirs.takenInAt) === ours.takenInAt ? theirs.takenInAt : ours.takenInAt,
      updatedAt: later(ours.updatedAt, theirs.updatedAt),
    },
    changed,
  }
}

export interface Merged {
  add: Job[]
  replace: MergedJob[]
  keep: Job[]
}

/**
 * What an import does to the shelf: unknown jobs are added, known ones merged field by field, those with nothing new
 * left. The same file twice changes nothing.
 */
export function mergeJobs(here: readonly Job[], incoming: readonly Job[]): Merged {
  const byId = new Map(here.map(job => [job.id, job]))
  const merged: Merged = { add: [], replace: [], keep: [] }
  for (const theirs of incoming) {
    const ours = byId.get(theirs.id)
    if (!ours) {
      merged.add.push(theirs)
      continue
    }
    const result = mergeJob(ours, theirs)
    if (same(result.job, ours)) merged.keep.push(ours)
    else merged.replace.push(result)
  }
  return merged
}
