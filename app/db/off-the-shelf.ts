import type { Job } from '#core/job/job.schema'
import { tick } from '#core/job/tick'
import { db, type BenchDatabase, type StoredFile } from './database'
import { broughtBack, putJobs } from './shelf'

/** What was taken off the shelf, so that it can be put back. */
export interface TakenOff {
  readonly job: Job | undefined
  readonly files: readonly StoredFile[]
}

/** Takes a job off the shelf, and what belongs to it. */
export const removeJob = (id: string, from: BenchDatabase = db): Promise<TakenOff> =>
  from.transaction('rw', [from.jobs, from.cards, from.held, from.gone], async () => {
    const taken = { job: await from.jobs.get(id), files: await from.held.where('jobId').equals(id).toArray() }
    await from.jobs.delete(id)
    await from.cards.delete(id)
    await from.held.where('jobId').equals(id).delete()
    if (taken.job) {
      const { stamps, updatedAt } = taken.job
      await from.gone.put({ id, at: tick(stamps ?? {}, new Date().toISOString(), updatedAt) })
    }
    return taken
  })

/** Puts back what was taken off. */
export const putBack = ({ job, files }: TakenOff) =>
  db.transaction('rw', [db.jobs, db.cards, db.held, db.gone], async () => {
    if (job) {
      const gone = await db.gone.get(job.id)
      await putJobs([gone ? broughtBack(job, gone.at) : job])
      await db.gone.delete(job.id)
    }
    await db.held.bulkPut([...files])
  })
