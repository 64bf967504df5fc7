import type { z } from 'zod'
import { readIssues, type InputIssue } from '../ask/registry'
import { JOB_VERSION, jobSchema, shopFileSchema, type Job, type Kit, type ShopFile } from './job.schema'

export type ReadFile = { ok: true, jobs: Job[], kit: Kit | null } | { ok: false, issues: InputIssue[] }

/** Files larger than this are refused unread. */
export const LARGEST_FILE_BYTES = 256 * 1024 * 1024

/** One job as a file's text. */
export const jobToText = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`

/** A whole shop as a file's text. */
export function shopToText(jobs: readonly Job[], kit: Kit, exportedAt: string): string {
  const file: ShopFile = { kind: 'wild-sparrow/shop', version: JOB_VERSION, exportedAt, kit, jobs: [...jobs] }
  return `${JSON.stringify(file, null, 2)}\n`
}

/** Line and column of a fault in JSON text, from the position that the parser names. */
function whereInText(text: string, message: string): string {
  const position = /position (\d+)/.exec(message)?.[1]
  if (position === undefined) return `line ${text.split('\n').length}, the end of the file`
  const before = text.slice(0, Number(position))
  return `line ${before.split('\n').length}, column ${before.length - before.lastIndexOf('\n')}`
}

function parsed<T>(schema: z.ZodType<T>, value: unknown, take: (file: T) => ReadFile): ReadFile {
  const result = schema.safeParse(value)
  return result.success ? take(result.data) : { ok: false, issues: readIssues(result.error).slice(0, 20) }
}

/**
 * Reads a job or shop file. Nothing is taken unless all of it is sound; the issues say where it is not.
 */
export function readFile(text: string): ReadFile {
  const refuse = (message: string, path = ''): ReadFile => ({ ok: false, issues: [{ path, message }] })
  if (text.trim() === '') return refuse('the file is empty')
  let value: unknown
  try {
    value = JSON.parse(text)
  }
  catch (error) {
    return refuse(`not JSON: it breaks off at ${whereInText(text, error instanceof Error ? error.message : '')}`)
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return refuse('not a Wild Sparrow file: a job or a shop is wanted')
  const { kind, version } = value as { kind?: unknown, version?: unknown }
  if (kind !== 'wild-sparrow/job' && kind !== 'wild-sparrow/shop') return refuse('not a Wild Sparrow file: "kind" must be wild-sparrow/job or wild-sparrow/shop', 'kind')
  if (typeof version === 'number' && version > JOB_VERSION) return refuse(`written by a newer Wild Sparrow (file version ${version}, this one reads up to ${JOB_VERSION})`, 'version')
  if (kind === 'wild-sparrow/job') return parsed(jobSchema, value, job => ({ ok: true, jobs: [job], kit: null }))
  return parsed(shopFileSchema, value, (file) => {
    const seen = new Set<string>()
    const twice = file.jobs.find(({ id }) => seen.size === seen.add(id).size)?.id
    return twice !== undefined ? refuse(`two jobs have the id ${twice}`, 'jobs') : { ok: true, jobs: file.jobs, kit: file.kit }
  })
}
