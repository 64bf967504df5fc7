import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { z } from 'zod'
import { readFile, type ReadFile } from './files'

/** Bytes that travel beside the jobs: a picture, or the triangles of a part's shape. */
export interface BundledFile { id: string, jobId: string, kind: 'picture' | 'mesh', name: string, type: string, bytes: Uint8Array }

export type ReadBundle = Extract<ReadFile, { ok: false }> | (Extract<ReadFile, { ok: true }> & { files: BundledFile[] })

const JOBS = 'jobs.json'
const MANIFEST = 'files.json'
const FOLDER = 'files/'
/** What a bundle may come to when unpacked; more is refused unread. */
const MOST_UNPACKED_BYTES = 512 * 1024 * 1024
const TYPES = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/avif', 'model/stl'] as const

const manifestSchema = z.array(z.object({
  id: z.string().regex(/^[\w-]{1,64}$/), jobId: z.string().regex(/^[\w-]{1,64}$/), kind: z.enum(['picture', 'mesh']), name: z.string().max(200), type: z.enum(TYPES),
})).max(20_000)

/** Whether bytes are a zip file at all. */
export const looksZipped = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b

/** Jobs as text (a job or a shop file) and their files in one zip. Pictures are stored as they are: they are packed already. */
export function packBundle(jobsText: string, files: readonly BundledFile[]): Uint8Array {
  const entries: Zippable = {
    [JOBS]: strToU8(jobsText),
    [MANIFEST]: strToU8(JSON.stringify(files.map(({ id, jobId, kind, name, type }) => ({ id, jobId, kind, name, type })), null, 1)),
  }
  for (const { id, kind, bytes } of files) entries[`${FOLDER}${id}`] = [bytes, { level: kind === 'picture' ? 0 : 6 }]
  return zipSync(entries)
}

/** Reads a bundle. Nothing is taken unless all of it is sound; the issues say where it is not. */
export function readBundle(zipped: Uint8Array): ReadBundle {
  const refuse = (message: string, path = ''): ReadBundle => ({ ok: false, issues: [{ path, message }] })
  let unpacked = 0
  let entries: Record<string, Uint8Array>
  try {
    entries = unzipSync(zipped, { filter: ({ originalSize }) => {
      unpacked += originalSize
      if (unpacked > MOST_UNPACKED_BYTES) throw new RangeError('too large')
      return true
    } })
  }
  catch (error) {
    return refuse(error instanceof RangeError ? 'the zip unpacks to more than 512 MB: not read' : 'the zip is broken or cut short')
  }
  if (!entries[JOBS]) return refuse(`not a Wild Sparrow bundle: there is no ${JOBS} in it`)
  const jobs = readFile(strFromU8(entries[JOBS]))
  if (!jobs.ok) return jobs
  let listed: unknown
  try {
    listed = JSON.parse(strFromU8(entries[MANIFEST] ?? strToU8('[]')))
  }
  catch {
    return refuse('not JSON', MANIFEST)
  }
  const manifest = manifestSchema.safeParse(listed)
  if (!manifest.success) return refuse(manifest.error.issues[0]!.message, `${MANIFEST}: ${manifest.error.issues[0]!.path.join('.')}`)
  const missing = manifest.data.find(({ id }) => !entries[`${FOLDER}${id}`])
  if (missing) return refuse(`${missing.name || missing.id} is listed but not in the zip`, MANIFEST)
  const stray = manifest.data.find(({ jobId }) => !jobs.jobs.some(job => job.id === jobId))
  if (stray) return refuse(`${stray.name || stray.id} belongs to a job that is not in the zip`, MANIFEST)
  return { ...jobs, files: manifest.data.map(entry => ({ ...entry, bytes: entries[`${FOLDER}${entry.id}`]! })) }
}
