import type { BundledFile } from '#core/job/bundle'
import type { Job } from '#core/job/job.schema'
import { wrongKind, type FileType } from '#core/job/file-kind'
import { db, type BenchDatabase, type StoredFile } from './database'

/** The ids of the files a job refers to. */
export const filesOf = (job: Job): string[] => [
  ...job.pictures.map(picture => picture.id),
  ...(job.shape.mesh ? [job.shape.mesh.file] : []),
  ...job.warm.setups.flatMap(setup => (setup.mesh ? [setup.mesh] : [])),
]

/** One file of a job. */
export const heldFile = (jobId: string, id: string): Promise<StoredFile | undefined> => db.held.get([jobId, id])

/** The files of jobs that are on this bench, ready for a bundle. */
export const bundledFiles = (jobs: readonly Job[]) => filesAt(jobs.flatMap(placesOf))

/** Where a job's files lie. */
export const placesOf = (job: Job) => filesOf(job).map((id): FilePlace => [job.id, id])
export type FilePlace = [jobId: string, id: string]

/** The files that lie at such places, ready for a bundle. */
export async function filesAt(
  places: readonly FilePlace[],
  from: Pick<BenchDatabase, 'held'> = db,
): Promise<BundledFile[]> {
  const found = await from.held.bulkGet([...places])
  return found.flatMap(file => (file ? [{ ...file, bytes: new Uint8Array(file.bytes) }] : []))
}

/** Files that are what they say they are, and a line for each that is not and stays behind. */
export function soundFiles(all: readonly BundledFile[]): { files: BundledFile[]; left: string[] } {
  const wrong = all.map(file => ({ file, why: wrongKind(file.bytes, file.type as FileType) }))
  return {
    files: wrong.filter(({ why }) => why === null).map(({ file }) => file),
    left: wrong.filter(({ why }) => why !== null).map(({ file, why }) => `${file.name || file.id} ${why}: left out`),
  }
}

export const storedFile = ({ bytes, ...rest }: BundledFile): StoredFile => ({ ...rest, bytes: bytes.slice().buffer })

const sameBytes = (a: ArrayBuffer, b: Uint8Array) => {
  const mine = new Uint8Array(a)
  return mine.length === b.length && mine.every((byte, n) => byte === b[n])
}

/**
 * Puts files in that are not here; one that is here is never written over. To be called within a transaction. @returns
 * names of those that differ from what is here
 */
export async function putFiles(
  files: readonly BundledFile[],
  into: Pick<BenchDatabase, 'held'> = db,
): Promise<string[]> {
  const here = await into.held.bulkGet(files.map((file): [string, string] => [file.jobId, file.id]))
  await into.held.bulkPut(files.filter((_, n) => !here[n]).map(storedFile))
  return files.filter((file, n) => here[n] && !sameBytes(here[n].bytes, file.bytes)).map(file => file.name || file.id)
}
