import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { z } from 'zod'
import { readFile, type ReadFile } from './files'
import { FILE_TYPES, wrongKind } from './file-kind'
import type { Job } from './job.schema'
import { brokenEntry, zipSums } from './zip-sums'

/** Bytes that travel beside the jobs: a picture, or the triangles of a part's shape. */
export interface BundledFile {
  id: string
  jobId: string
  kind: 'picture' | 'mesh'
  name: string
  type: string
  bytes: Uint8Array
}

export type ReadBundle = Extract<ReadFile, { ok: false }> | (Extract<ReadFile, { ok: true }> & { files: BundledFile[] })

const JOBS = 'jobs.json'
const MANIFEST = 'files.json'
const FOLDER = 'files/'
const LONGEST_NAME = 200
/** What the parts of a job that are not pictures may come to, and the whole of a bundle; more is refused unread. */
const MOST_JOBS_BYTES = 256 * 1024 * 1024
const MOST_UNPACKED_BYTES = 512 * 1024 * 1024

const manifestSchema = z
  .array(
    z.object({
      id: z.string().regex(/^[\w-]{1,64}$/),
      jobId: z.string().regex(/^[\w-]{1,64}$/),
      kind: z.enum(['picture', 'mesh']),
      name: z.string().max(LONGEST_NAME),
      type: z.enum(FILE_TYPES),
    }),
  )
  .max(20_000)

/** Whether bytes are a zip file at all. */
export const looksZipped = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b

/**
 * Jobs as text (a job or a shop file) and their files in one zip. Pictures are stored as they are: they are packed
 * already.
 */
export function packBundle(jobsText: string, files: readonly BundledFile[]): Uint8Array {
  const entries: Zippable = {
    [JOBS]: strToU8(jobsText),
    [MANIFEST]: strToU8(
      JSON.stringify(
        files.map(({ id, jobId, kind, name, type }) => ({ id, jobId, kind, name: name.slice(0, LONGEST_NAME), type })),
        null,
        1,
      ),
    ),
  }
  for (const { id, kind, bytes } of files) entries[`${FOLDER}${id}`] = [bytes, { level: kind === 'picture' ? 0 : 6 }]
  return zipSync(entries)
}

/** Whether a job refers to a file: a picture by its id, a shape by the part or the set-up that has it. */
const refersTo = (job: Job, id: string, kind: 'picture' | 'mesh') =>
  kind === 'picture'
    ? job.pictures.some(picture => picture.id === id)
    : job.shape.mesh?.file === id || job.warm.setups.some(setup => setup.mesh === id)

/**
 * Reads a bundle: its checksums, its jobs, its list of files, and each file against what the list says of it. Nothing
 * is taken unless all of it is sound; the issues say where it is not.
 * @param readJobs reads the text of its jobs; several hands may share in that
 */
export async function readBundle(
  zipped: Uint8Array,
  readJobs: (text: string) => ReadFile | Promise<ReadFile> = readFile,
): Promise<ReadBundle> {
  const refuse = (message: string, path = ''): ReadBundle => ({ ok: false, issues: [{ path, message }] })
  let unpacked = 0
  let entries: Record<string, Uint8Array>
  try {
    entries = unzipSync(zipped, {
      filter: ({ name, originalSize }) => {
        const wanted = name === JOBS || name === MANIFEST || name.startsWith(FOLDER)
        unpacked += wanted ? originalSize : 0
        if (unpacked > MOST_UNPACKED_BYTES || (name === JOBS && originalSize > MOST_JOBS_BYTES))
          throw new RangeError('too large')
        return wanted
      },
    })
  } catch (error) {
    return refuse(
      error instanceof RangeError ? 'the zip unpacks to more than 512 MB: not read' : 'the zip is broken or cut short',
    )
  }
  const sums = zipSums(zipped)
  const broken = sums ? brokenEntry(entries, sums) : undefined
  if (!sums) return refuse('the zip is broken or cut short')
  if (!entries[JOBS]) return refuse(`not a Wild Sparrow bundle: there is no ${JOBS} in it`)
  if (broken !== undefined)
    return refuse('its bytes do not give the checksum that the zip says: damaged on the way', broken)
  if (!entries[MANIFEST]) return refuse(`there is no ${MANIFEST} in it, so nothing says what its files are`)
  const jobs = await readJobs(strFromU8(entries[JOBS]))
  if (!jobs.ok) return jobs
  let listed: unknown
  try {
    listed = JSON.parse(strFromU8(entries[MANIFEST]))
  } catch {
    return refuse('not JSON', MANIFEST)
  }
  const manifest = manifestSchema.safeParse(listed)
  if (!manifest.success)
    return refuse(manifest.error.issues[0]!.message, `${MANIFEST}: ${manifest.error.issues[0]!.path.join('.')}`)
  const missing = manifest.data.find(({ id }) => !entries[`${FOLDER}${id}`])
  if (missing) return refuse(`${missing.name || missing.id} is listed but not in the zip`, MANIFEST)
  const jobsById = new Map(jobs.jobs.map(job => [job.id, job]))
  const stray = manifest.data.find(({ jobId }) => !jobsById.has(jobId))
  if (stray) return refuse(`${stray.name || stray.id} belongs to a job that is not in the zip`, MANIFEST)
  const unasked = manifest.data.find(({ id, jobId, kind }) => !refersTo(jobsById.get(jobId)!, id, kind))
  if (unasked)
    return refuse(`${unasked.name || unasked.id} is not a ${unasked.kind} of the job it is said to belong to`, MANIFEST)
  for (const { id, name, type } of manifest.data) {
    const wrong = wrongKind(entries[`${FOLDER}${id}`]!, type)
    if (wrong) return refuse(`${name || id} ${wrong}`, `${FOLDER}${id}`)
  }
  const named = new Set<string>()
  const twice = manifest.data.find(({ id }) => named.size === named.add(id).size)
  if (twice) return refuse(`two files have the id ${twice.id}`, MANIFEST)
  return { ...jobs, files: manifest.data.map(entry => ({ ...entry, bytes: entries[`${FOLDER}${entry.id}`]! })) }
}
