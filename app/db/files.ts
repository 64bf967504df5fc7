import type { BundledFile } from '#core/job/bundle'
import type { Job } from '#core/job/job.schema'
import { db, type StoredFile } from './database'

/** The ids of the files a job refers to. */
export const filesOf = (job: Job): string[] => [...job.pictures.map(picture => picture.id), ...job.warm.setups.flatMap(setup => setup.mesh ? [setup.mesh] : [])]

/** The files of jobs that are on this bench, ready for a bundle. */
export async function bundledFiles(jobs: readonly Job[]): Promise<BundledFile[]> {
  const found = await db.files.bulkGet(jobs.flatMap(filesOf))
  return found.flatMap(file => file ? [{ ...file, bytes: new Uint8Array(file.bytes) }] : [])
}

export const storedFile = ({ bytes, ...rest }: BundledFile): StoredFile => ({ ...rest, bytes: bytes.slice().buffer })

/** Takes a job off the shelf, and what belongs to it. */
export const removeJob = (id: string) => db.transaction('rw', db.jobs, db.cards, db.files, async () => {
  await db.jobs.delete(id)
  await db.cards.delete(id)
  await db.files.where('jobId').equals(id).delete()
})
