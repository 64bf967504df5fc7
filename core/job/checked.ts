import type { z } from 'zod'
import { readIssues } from '../ask/registry'
import { agreeing } from './agree'
import { jobSchema, type Job } from './job.schema'
import { valueAt, type PathKey } from './patch'

const SECTIONS: Readonly<Record<string, z.ZodType>> = jobSchema.shape

export type Checked = { ok: true; value: unknown } | { ok: false; reason: string }

/**
 * Whether a changed job can be stored, and so taken out and brought back: the part of it that a path lies in, by the
 * schema that reads files.
 * @returns the value as it is stored, or why it is not, in words
 */
export function checkedAt(job: Job, path: readonly PathKey[]): Checked {
  const section = String(path[0])
  const value = (job as unknown as Record<string, unknown>)[section]
  const parsed = SECTIONS[section]?.safeParse(value)
  if (!parsed) return { ok: false, reason: `a job has no ${section}` }
  if (parsed.success) return { ok: true, value: valueAt(agreeing({ [section]: parsed.data }).job, path) }
  return { ok: false, reason: readIssues(parsed.error)[0]!.message }
}
