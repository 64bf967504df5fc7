import { parse as parseTolerantly, printParseErrorCode, type ParseError } from 'jsonc-parser'
import type { z } from 'zod'
import { tooMuchJson } from '../ask/depth'
import { readIssues, type InputIssue } from '../ask/registry'
import { agreeing, type Corrected } from './agree'
import { JOB_VERSION, jobSchema, shopFileSchema, type Job, type Kit, type ShopFile } from './job.schema'
import { upToDate } from './migrate'

/** Readings whose value did not agree with what was typed, put right by the text. */
export interface JobCorrected {
  readonly title: string
  readonly readings: Corrected[]
}
export type ReadFile =
  { ok: true; jobs: Job[]; kit: Kit | null; corrected: JobCorrected[] } | { ok: false; issues: InputIssue[] }

/** Files larger than this are refused unread. */
export const LARGEST_FILE_BYTES = 256 * 1024 * 1024
/** More values than any shop: a job has some two hundred, and a shop 20,000 jobs. */
const MOST_VALUES = 5e7

/** One job as a file's text. */
export const jobToText = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`

/** A whole shop as a file's text. */
export function shopToText(jobs: readonly Job[], kit: Kit, exportedAt: string): string {
  const file: ShopFile = { kind: 'wild-sparrow/shop', version: JOB_VERSION, exportedAt, kit, jobs: [...jobs] }
  return `${JSON.stringify(file, null, 2)}\n`
}

/** Line and column of the first fault in JSON text, and what it is. */
function whereInText(text: string): string {
  const errors: ParseError[] = []
  parseTolerantly(text, errors, { disallowComments: true })
  const [first] = errors.toSorted((a, b) => a.offset - b.offset)
  if (!first) return 'a place that could not be found'
  const before = text.slice(0, first.offset)
  const what = printParseErrorCode(first.error)
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
  const end = first.offset >= text.trimEnd().length ? ', the end of the file' : ''
  return `line ${before.split('\n').length}, column ${before.length - before.lastIndexOf('\n')}${end} (${what})`
}

function parsed<T>(schema: z.ZodType<T>, value: unknown, take: (file: T) => ReadFile): ReadFile {
  const result = schema.safeParse(value)
  return result.success ? take(result.data) : { ok: false, issues: readIssues(result.error) }
}

/** Takes the jobs of a sound file, their readings agreeing with what was typed. */
function taken(jobs: readonly Job[], kit: Kit | null): ReadFile {
  const each = jobs.map(agreeing)
  return {
    ok: true,
    jobs: each.map(({ job }) => job),
    kit,
    corrected: each.flatMap(({ job, corrected }) =>
      corrected.length ? [{ title: job.title, readings: corrected }] : [],
    ),
  }
}

/** That something was written by a later program, in words; null where this one should read it. */
function newerVersion(value: unknown): string | null {
  const version = (value as { version?: unknown } | null)?.version
  return typeof version === 'number' && version > JOB_VERSION
    ? `written by a newer Wild Sparrow (file version ${version}, this one reads up to ${JOB_VERSION})`
    : null
}

/** A stored job as this version reads it, or why it does not. */
export function readJob(stored: unknown): { ok: true; job: Job } | { ok: false; issues: InputIssue[] } {
  const newer = newerVersion(stored)
  if (newer) return { ok: false, issues: [{ path: 'version', message: newer }] }
  const result = jobSchema.safeParse(upToDate(stored))
  return result.success ? { ok: true, job: result.data } : { ok: false, issues: readIssues(result.error) }
}

/**
 * Reads a job or shop file. Nothing is taken unless all of it is sound; the issues say where it is not.
 */
export function readFile(text: string): ReadFile {
  const refuse = (message: string, path = ''): ReadFile => ({ ok: false, issues: [{ path, message }] })
  if (text.trim() === '') return refuse('the file is empty')
  const tooMuch = tooMuchJson(text, MOST_VALUES)
  if (tooMuch) return refuse(`not a Wild Sparrow file: ${tooMuch}`)
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return refuse(`not JSON: it breaks off at ${whereInText(text)}`)
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return refuse('not a Wild Sparrow file: a job or a shop is wanted')
  const { kind, jobs } = value as { kind?: unknown; jobs?: unknown }
  if (kind !== 'wild-sparrow/job' && kind !== 'wild-sparrow/shop')
    return refuse('not a Wild Sparrow file: "kind" must be wild-sparrow/job or wild-sparrow/shop', 'kind')
  const newer = newerVersion(value)
  if (newer) return refuse(newer, 'version')
  if (kind === 'wild-sparrow/job') return parsed(jobSchema, upToDate(value), job => taken([job], null))
  return parsed(
    shopFileSchema,
    Array.isArray(jobs) ? { ...value, version: JOB_VERSION, jobs: jobs.map(upToDate) } : value,
    file => {
      const seen = new Set<string>()
      const twice = file.jobs.find(({ id }) => seen.size === seen.add(id).size)?.id
      return twice !== undefined ? refuse(`two jobs have the id ${twice}`, 'jobs') : taken(file.jobs, file.kit)
    },
  )
}
