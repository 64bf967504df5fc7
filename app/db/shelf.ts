import { stamped } from '#core/job/field'
import { mergeJobs, rebased, type FieldMerge } from '#core/job/merge'
import { cardOf } from '#core/job/card'
import type { Job, Kit } from '#core/job/job.schema'
import { EMPTY_KIT } from '#core/job/empty-kit'
import { applyPatch, valueAt, type Patch } from '#core/job/patch'
import type { BundledFile } from '#core/job/bundle'
import { db } from './database'
import { storedFile } from './files'

const THE_KIT = 'kit'

/** Writes jobs with their cards; to be called within a transaction over both. */
export async function putJobs(jobs: readonly Job[]): Promise<void> {
  await db.jobs.bulkPut([...jobs])
  await db.cards.bulkPut(jobs.map(cardOf))
}

export const addJob = (job: Job) => db.transaction('rw', db.jobs, db.cards, () => putJobs([job]))

/** A change with what its field held where it was made. */
export interface MadePatch extends Patch { readonly before?: unknown }

/** Puts changes on the stored job, whatever another tab has changed in it meanwhile: in other fields, or in the same list. @returns the job as stored, or undefined if it is gone */
export function writePatches(jobId: string, patches: readonly MadePatch[], updatedAt: string): Promise<Job | undefined> {
  return db.transaction('rw', db.jobs, db.cards, async () => {
    const stored = await db.jobs.get(jobId)
    if (!stored) return undefined
    const next = { ...patches.reduce((job, { path, value, before }) => applyPatch(job, { path, value: rebased(path.join('.'), before, valueAt(job, path), value) }), stored), updatedAt, stamps: stamped(stored.stamps ?? {}, patches.map(patch => patch.path), updatedAt) }
    await putJobs([next])
    return next
  })
}

export const readKit = async (): Promise<Kit> => (await db.kit.get(THE_KIT))?.kit ?? EMPTY_KIT

export const writeKit = (kit: Kit) => db.kit.put({ id: THE_KIT, kit })

export interface Imported { added: number, replaced: number, kept: number, kit: boolean, merged: { title: string, changed: FieldMerge[] }[] }

/** Takes in a sound file in one transaction: all of it or nothing. A kit comes only into a bench that has none. */
export function takeInFile(jobs: readonly Job[], kit: Kit | null, files: readonly BundledFile[] = []): Promise<Imported> {
  return db.transaction('rw', [db.jobs, db.cards, db.kit, db.files], async () => {
    const here = (await db.jobs.bulkGet(jobs.map(job => job.id))).filter(job => job !== undefined)
    const { add, replace, keep } = mergeJobs(here, jobs)
    await putJobs([...add, ...replace.map(entry => entry.job)])
    // A file's bytes never change under its id, so one that is here already is the same one.
    await db.files.bulkPut(files.map(storedFile))
    const takesKit = kit !== null && (await db.kit.get(THE_KIT)) === undefined
    if (takesKit) await writeKit(kit)
    return { added: add.length, replaced: replace.length, kept: keep.length, kit: takesKit, merged: replace.map(entry => ({ title: entry.job.title, changed: entry.changed })) }
  })
}
