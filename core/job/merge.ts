import { fieldsOfJob } from './field'
import { listRuleOf } from './fields/lists'
import type { Job } from './job.schema'
import { applyPatch } from './patch'
import { same } from './same'
import { TwoVersions, UNTOUCHED, wins } from './two-versions'
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

/** When a field was last changed: by its own stamp; a job from before there were stamps counts whole. */
const changedAt = (job: Job, field: string) =>
  job.stamps[field] !== undefined
    ? Date.parse(job.stamps[field])
    : Object.keys(job.stamps).length
      ? UNTOUCHED
      : Date.parse(job.updatedAt)

const later = (a: string, b: string) => (wins(a, b, Date.parse(a), Date.parse(b)) ? a : b)

/**
 * One job out of the same job on two benches, field by field: the newer of each; lists of entries hold both benches'
 * entries, less those that one took out after the other last touched them; words that were overruled are kept beside.
 * The same whichever is called ours; merging again with either changes nothing.
 * @param known the job as both benches had it last: what only stands as it did there overrules nothing and is not kept
 * beside
 */
export function mergeJob(ours: Job, theirs: Job, known?: Job): MergedJob {
  const [mine, yours] = [fieldsOfJob(ours), fieldsOfJob(theirs)]
  const stamps: Record<string, string> = { ...ours.stamps }
  for (const [field, at] of Object.entries(theirs.stamps))
    if (!stamps[field] || Date.parse(at) > Date.parse(stamps[field])) stamps[field] = at
  const overruled = new Map(
    [...ours.overruled, ...theirs.overruled].map(entry => [`${entry.field} ${entry.words}`, entry]),
  )
  const changed: FieldMerge[] = []
  const before = known && fieldsOfJob(known)
  /**
   * Words of one bench that do not stand in what comes of it. Those that nobody wrote, which a field begins with, are
   * not missed.
   */
  const keepWords = (field: string, from: Job, lost: unknown, kept: unknown) => {
    if (!from.stamps[field]) return
    const stands = new Set(
      [...wordsOf(field, kept), ...wordsOf(field, before?.get(field))].map(({ field: at, words }) => `${at} ${words}`),
    )
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
      const joined = new TwoVersions(ours.stamps, theirs.stamps, listRuleOf(field)).joined(a, b, field, [aAt, bAt])
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
