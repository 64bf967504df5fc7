import { fieldsOfJob } from './field'
import type { Job } from './job.schema'
import { applyPatch } from './patch'

/** Fields that are bookkeeping of the job itself. */
const OWN = new Set(['kind', 'version', 'id', 'updatedAt', 'takenInAt', 'stamps', 'overruled'])
/** Lists that hold one thing for each key: both benches' are kept. */
const LISTS: Readonly<Record<string, (entry: never) => string>> = {
  'weld.log': (entry: { id: string }) => entry.id, 'readings': (entry: { id: string }) => entry.id, 'pictures': (entry: { id: string }) => entry.id,
  'acknowledged': (entry: { code: string }) => entry.code, 'weld.arcSpans': (entry: { from: string }) => entry.from, 'weld.passesDone': (entry: number) => String(entry),
}
/**
 * A list as it was changed here, with what was put into it elsewhere since: `before` is what this change began from, `stored` what it finds. What either took
 * out stays out unless the other has it anew. Any other field is as it was changed here.
 */
export function rebased(field: string, before: unknown, stored: unknown, value: unknown): unknown {
  const key = LISTS[field] as ((entry: unknown) => string) | undefined
  if (!key || !Array.isArray(before) || !Array.isArray(stored) || !Array.isArray(value)) return value
  const [began, found, mine] = [before, stored, value].map(list => new Map(list.map((entry: unknown) => [key(entry), textOf(entry)]))) as [Map<string, string>, Map<string, string>, Map<string, string>]
  const theirs = stored.filter(entry => !began.has(key(entry)) && !mine.has(key(entry)))
  // Taken out elsewhere and left alone here: it is gone.
  const kept = value.filter(entry => found.has(key(entry)) || began.get(key(entry)) !== mine.get(key(entry)))
  return theirs.length || kept.length < value.length ? [...kept, ...theirs] : value
}

/** Words that someone wrote: where two benches wrote differently, what was overruled is kept beside. */
const WORDS = new Set(['title', 'customer', 'takeIn.damage', 'takeIn.causeCure', 'handOver.notPerfect', 'handOver.limits', 'handOver.handedTo', 'know.composition'])
const MOST_OVERRULED = 60

export interface FieldMerge { field: string, from: 'ours' | 'theirs' | 'both' }
export interface MergedJob { job: Job, changed: FieldMerge[] }

/** The same text for the same value, whatever the order of its keys. */
const textOf = (value: unknown): string => JSON.stringify(value, (_, each: unknown) => each && typeof each === 'object' && !Array.isArray(each) ? Object.fromEntries(Object.entries(each).toSorted(([a], [b]) => a < b ? -1 : 1)) : each) ?? ''

/** When a field was last changed: by its own stamp; a job from before there were stamps counts whole. */
const changedAt = (job: Job, field: string) => Date.parse(job.stamps[field] ?? (Object.keys(job.stamps).length ? job.takenInAt : job.updatedAt))

/** Whether the first of two values goes: the newer, and at the same moment the one that stands later in the alphabet, so that either bench comes to the same. */
const wins = (a: unknown, b: unknown, aAt: number, bAt: number) => aAt !== bAt ? aAt > bAt : textOf(a) > textOf(b)

const later = (a: string, b: string) => wins(a, b, Date.parse(a), Date.parse(b)) ? a : b

/** Both lists, each key once; where they differ under one key, by `wins`. In the order of time or number that they are kept in. */
function union(field: string, a: readonly unknown[], b: readonly unknown[], aAt: number, bAt: number): unknown[] {
  const key = LISTS[field]! as (entry: unknown) => string
  const all = new Map<string, unknown>()
  for (const entry of a) all.set(key(entry), entry)
  for (const entry of b) {
    const other = all.get(key(entry))
    if (other === undefined || (textOf(other) !== textOf(entry) && !wins(other, entry, aAt, bAt))) all.set(key(entry), entry)
  }
  const order = (entry: unknown): string | number => typeof entry === 'number' ? entry : (entry as { at?: string, from?: string }).at ?? (entry as { from?: string }).from ?? ''
  return [...all.values()].toSorted((p, q) => {
    const [x, y] = [order(p), order(q)]
    if (x !== y) return x < y ? -1 : 1
    const [s, t] = [key(p), key(q)]
    return s < t ? -1 : s > t ? 1 : 0
  })
}

/**
 * One job out of the same job on two benches, field by field: the newer of each; lists of entries hold both benches' entries; words that
 * were overruled are kept beside. What one bench took out of a list and the other still has comes back: nothing is lost.
 * The same whichever is called ours; merging again with either changes nothing.
 */
export function mergeJob(ours: Job, theirs: Job): MergedJob {
  const [mine, yours] = [fieldsOfJob(ours), fieldsOfJob(theirs)]
  const stamps: Record<string, string> = { ...ours.stamps }
  for (const [field, at] of Object.entries(theirs.stamps)) if (!stamps[field] || Date.parse(at) > Date.parse(stamps[field])) stamps[field] = at
  const overruled = new Map([...ours.overruled, ...theirs.overruled].map(entry => [`${entry.field} ${entry.words}`, entry]))
  const changed: FieldMerge[] = []
  const timed = Object.keys(stamps).length > 0
  let job: Job = ours
  for (const field of new Set([...mine.keys(), ...yours.keys()])) {
    if (OWN.has(field)) continue
    const [a, b] = [mine.get(field), yours.get(field)]
    if (textOf(a) === textOf(b)) continue
    const [aAt, bAt] = [changedAt(ours, field), changedAt(theirs, field)]
    // From now on the field has a time of its own, so that merging again comes to the same.
    if (timed) stamps[field] = new Date(Math.max(aAt, bAt)).toISOString()
    const path = field.split('.')
    if (LISTS[field] && Array.isArray(a) && Array.isArray(b)) {
      const both = union(field, a, b, aAt, bAt)
      if (textOf(both) !== textOf(a)) {
        job = applyPatch(job, { path, value: both })
        changed.push({ field, from: textOf(both) === textOf(b) ? 'theirs' : 'both' })
      }
      continue
    }
    const ourWins = wins(a, b, aAt, bAt)
    const [lost, loser] = ourWins ? [b, theirs] : [a, ours]
    if (WORDS.has(field) && loser.stamps[field] && typeof lost === 'string' && lost.trim()) overruled.set(`${field} ${lost}`, { field, words: lost.slice(0, 1000) })
    if (!ourWins) job = applyPatch(job, { path, value: b })
    changed.push({ field, from: ourWins ? 'ours' : 'theirs' })
  }
  const kept = [...overruled.values()].toSorted((p, q) => `${p.field} ${p.words}` < `${q.field} ${q.words}` ? -1 : 1).slice(0, MOST_OVERRULED)
  return {
    job: { ...job, stamps, overruled: kept, takenInAt: later(ours.takenInAt, theirs.takenInAt) === ours.takenInAt ? theirs.takenInAt : ours.takenInAt, updatedAt: later(ours.updatedAt, theirs.updatedAt) },
    changed,
  }
}

export interface Merged { add: Job[], replace: MergedJob[], keep: Job[] }

/** What an import does to the shelf: unknown jobs are added, known ones merged field by field, those with nothing new left. The same file twice changes nothing. */
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
    if (textOf(result.job) === textOf(ours)) merged.keep.push(ours)
    else merged.replace.push(result)
  }
  return merged
}
