import { parse as parseTolerantly, printParseErrorCode, type ParseError } from 'jsonc-parser'
import { z } from 'zod'
import { tooMuchJson } from '../ask/depth'
import { MOST_ISSUES, readIssues, type InputIssue } from '../ask/registry'
import { agreeing, type Corrected } from './agree'
import {
  jobSchema,
  MOST_JOBS,
  shopFileSchema,
  type Job,
  type Kit,
  type RunningClock,
  type ShopFile,
} from './job.schema'
import { JOB_VERSION } from './version'
import { upToDate } from './migrate'

/** Readings whose value did not agree with what was typed, put right by the text. */
export interface JobCorrected {
  readonly title: string
  readonly readings: Corrected[]
}
export type ReadFile =
  | { ok: true; jobs: Job[]; kit: Kit | null; corrected: JobCorrected[]; clocks?: readonly RunningClock[] }
  | { ok: false; issues: InputIssue[] }

/** Files larger than this are refused unread. */
export const LARGEST_FILE_BYTES = 256 * 1024 * 1024
/** More values than any shop: a job has some two hundred, and a shop 20,000 jobs. */
const MOST_VALUES = 5e7

/** One job as a file's text. */
export const jobToText = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`

/**
 * What stands before and after the jobs of a shop's file. Between them each job has a line of its own: such a file is
 * half as long as an indented one, and two of them can still be compared line by line.
 */
export function shopFrame(
  kit: Kit,
  exportedAt: string,
  clocks: readonly RunningClock[] = [],
): readonly [before: string, after: string] {
  const frame: ShopFile = {
    kind: 'wild-sparrow/shop',
    version: JOB_VERSION,
    exportedAt,
    kit,
    ...(clocks.length ? { clocks: [...clocks] } : {}),
    jobs: [],
  }
  return [JSON.stringify(frame).replace(/\]\}$/, '\n'), '\n]}\n']
}

/** A whole shop as a file's text. */
export function shopToText(jobs: readonly Job[], kit: Kit, exportedAt: string): string {
  const [before, after] = shopFrame(kit, exportedAt)
  return `${before}${jobs.map(job => JSON.stringify(job)).join(',\n')}${after}`
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

/** A job out of a file, as this version reads it. */
export type CheckedJob = { ok: true; job: Job; corrected: Corrected[] } | { ok: false; issues: InputIssue[] }

/** Checks a job as it stands in a file; its readings agree with what was typed afterwards. */
export function checkJob(found: unknown): CheckedJob {
  const read = readJob(found)
  return read.ok ? { ok: true, ...agreeing(read.job) } : read
}

/** A file that is one of ours, its jobs as they stand in it: each is still to be checked. */
export interface OpenedFile {
  readonly ok: true
  readonly kind: 'job' | 'shop'
  readonly jobs: readonly unknown[]
  readonly kit: Kit | null
  readonly clocks?: readonly RunningClock[]
}
export type Unread = Extract<ReadFile, { ok: false }>

const refuse = (message: string, path = ''): Unread => ({ ok: false, issues: [{ path, message }] })

/** The frame of a shop's file; its jobs are checked one by one. */
const frameSchema = shopFileSchema.extend({ jobs: z.array(z.unknown()).max(MOST_JOBS) })

/** Opens the text of a job or a shop file. */
export function openFile(text: string): OpenedFile | Unread {
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
  const { kind } = value as { kind?: unknown }
  if (kind !== 'wild-sparrow/job' && kind !== 'wild-sparrow/shop')
    return refuse('not a Wild Sparrow file: "kind" must be wild-sparrow/job or wild-sparrow/shop', 'kind')
  const newer = newerVersion(value)
  if (newer) return refuse(newer, 'version')
  if (kind === 'wild-sparrow/job') return { ok: true, kind: 'job', jobs: [value], kit: null }
  const frame = frameSchema.safeParse({ ...value, version: JOB_VERSION })
  return frame.success
    ? { ok: true, kind: 'shop', jobs: frame.data.jobs, kit: frame.data.kit, clocks: frame.data.clocks }
    : { ok: false, issues: readIssues(frame.error) }
}

/** An opened file with its jobs checked, in their order. Nothing is taken unless all of it is sound. */
export function gathered({ kind, kit, clocks }: OpenedFile, checked: readonly CheckedJob[]): ReadFile {
  const at = (n: number, path: string) =>
    kind === 'job' ? path : `jobs[${n}]${path && !path.startsWith('[') ? '.' : ''}${path}`
  const [jobs, corrected, issues]: [Job[], JobCorrected[], InputIssue[]] = [[], [], []]
  checked.forEach((each, n) => {
    if (!each.ok) issues.push(...each.issues.map(issue => ({ ...issue, path: at(n, issue.path) })))
    else {
      jobs.push(each.job)
      if (each.corrected.length) corrected.push({ title: each.job.title, readings: each.corrected })
    }
  })
  if (issues.length) return { ok: false, issues: issues.slice(0, MOST_ISSUES) }
  const seen = new Set<string>()
  const twice = jobs.find(({ id }) => seen.size === seen.add(id).size)?.id
  return twice === undefined
    ? { ok: true, jobs, kit, corrected, clocks }
    : refuse(`two jobs have the id ${twice}`, 'jobs')
}

/**
 * Reads a job or shop file. Nothing is taken unless all of it is sound; the issues say where it is not.
 */
export function readFile(text: string): ReadFile {
  const opened = openFile(text)
  return opened.ok ? gathered(opened, opened.jobs.map(checkJob)) : opened
}
