import { JOB_VERSION } from '#core/job/version'
import type { FieldMerge } from '#core/job/merge'
import { mergeKit, type TimedKit } from '#core/job/merge-kit'
import { tick } from '#core/job/tick'
import { cardOf } from '#core/job/card'
import type { Job, Kit, RunningClock } from '#core/job/job.schema'
import { EMPTY_KIT } from '#core/job/empty-kit'
import type { Change, Put } from '#core/job/put-changes'
import type { BundledFile } from '#core/job/bundle'
import { db, stoppedClock, type BenchDatabase } from './database'
import { putFiles } from './files'

const THE_KIT = 'kit'

/** Writes jobs with their cards; to be called within a transaction over both. */
export async function putJobs(jobs: readonly Job[], into: Pick<BenchDatabase, 'jobs' | 'cards'> = db): Promise<void> {
  await into.jobs.bulkPut([...jobs])
  await into.cards.bulkPut(jobs.map(cardOf))
}

export const addJob = (job: Job) => db.transaction('rw', db.jobs, db.cards, () => putJobs([job]))

export type Written =
  | ({ readonly kind: 'stored' } & Put)
  /** It was taken off the shelf. */
  | { readonly kind: 'gone' }

/**
 * Puts changes on the stored job, whatever another tab has changed in it meanwhile: in other fields, or in the same
 * list.
 * @throws Error where a newer program has brought the job up to its own version
 */
export async function writeChanges(jobId: string, changes: readonly Change[], updatedAt: string): Promise<Written> {
  // Every field that a job may have, which the shelf itself never asks. No transaction waits for a script.
  const { putChanges } = await import('#core/job/put-changes')
  return db.transaction('rw', db.jobs, db.cards, async () => {
    const stored = await db.jobs.get(jobId)
    if (!stored) return { kind: 'gone' }
    // A page of an older program that is still open must not write its own shape into what a newer one brought up.
    if ((stored.version as number) > JOB_VERSION)
      throw new Error('a newer Wild Sparrow has brought this job up; load this page anew')
    const put = putChanges(stored, changes, updatedAt)
    if (put.job !== stored) await putJobs([put.job])
    return { kind: 'stored', ...put }
  })
}

export async function timedKit(from: Pick<BenchDatabase, 'kit'> = db): Promise<TimedKit> {
  const stored = await from.kit.get(THE_KIT)
  return { kit: stored?.kit ?? EMPTY_KIT, stamps: stored?.stamps ?? {} }
}

/** Puts a kit with its times in the place of the one there is. */
export const putKit = ({ kit, stamps }: TimedKit, into: Pick<BenchDatabase, 'kit'> = db) =>
  into.kit.put({ id: THE_KIT, kit, stamps })

/** Merges a kit as it was changed here into the one that is stored: what another tab changed meanwhile stays. */
export const mergeInKit = (changed: TimedKit) =>
  db.transaction('rw', db.kit, async () => putKit(mergeKit(await timedKit(), changed)))

/**
 * A job that was taken off and is brought back by hand, touched anew: so it counts for more than its having been taken
 * off, on every screen of the shop.
 */
export function broughtBack(job: Job, goneAt: string): Job {
  const at = tick({ ...job.stamps, gone: goneAt }, new Date().toISOString(), job.updatedAt)
  return { ...job, stamps: { ...job.stamps, title: at } }
}

export interface Imported {
  added: number
  replaced: number
  kept: number
  kit: boolean
  merged: { title: string; changed: FieldMerge[] }[]
  /** Files that differ from those here under the same name; those here stay. */ clashes: string[]
}

/** Clocks that still run and were not stopped here go on. To be called within a transaction. */
async function goOn(clocks: readonly RunningClock[], into: BenchDatabase): Promise<void> {
  const [here, stopped] = await Promise.all([
    into.clocks.bulkGet(clocks.map(({ id }) => id)),
    into.gone.bulkGet(clocks.map(({ id }) => stoppedClock(id))),
  ])
  await into.clocks.bulkPut(clocks.filter(({ endsAt }, n) => !here[n] && !stopped[n] && endsAt > Date.now()))
}

/** Takes in a sound file in one transaction: all of it or nothing. A kit comes only into a bench that has none. */
export async function takeInFile(
  jobs: readonly Job[],
  kit: Kit | null,
  files: readonly BundledFile[] = [],
  into: BenchDatabase = db,
  clocks: readonly RunningClock[] = [],
): Promise<Imported> {
  // Fields again: no transaction waits for a script.
  const { mergeJobs } = await import('#core/job/merge')
  return into.transaction('rw', [into.jobs, into.cards, into.kit, into.held, into.gone, into.clocks], async () => {
    const here = (await into.jobs.bulkGet(jobs.map(job => job.id))).filter(job => job !== undefined)
    const { add, replace, keep } = mergeJobs(here, jobs)
    const gone = await into.gone.bulkGet(add.map(job => job.id))
    const added = add.map((job, n) => (gone[n] ? broughtBack(job, gone[n].at) : job))
    await into.gone.bulkDelete(add.map(job => job.id))
    await putJobs([...added, ...replace.map(entry => entry.job)], into)
    const clashes = await putFiles(files, into)
    await goOn(clocks, into)
    const takesKit = kit !== null && (await into.kit.get(THE_KIT)) === undefined
    if (takesKit) await putKit({ kit, stamps: {} }, into)
    return {
      added: add.length,
      replaced: replace.length,
      kept: keep.length,
      kit: takesKit,
      merged: replace.map(entry => ({ title: entry.job.title, changed: entry.changed })),
      clashes,
    }
  })
}
