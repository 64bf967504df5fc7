import { z } from 'zod'
import { givenFields } from '../job-plan/input.schema'
import type { JobGiven } from '../job-plan/job-given'
import { checkJob } from '../job/files'
import { kitSchema, type Job, type Kit } from '../job/job.schema'

/** A job as it stands in a file, of this version or an earlier one. */
const storedJob = z.unknown().transform((held, context): Job => {
  const read = checkJob(held)
  if (read.ok) return read.job
  for (const { path, message } of read.issues) context.addIssue({ code: 'custom', path: path ? [path] : [], message })
  return z.NEVER
})
const { part, warm, mends } = givenFields

/** What questions about a whole job take: a part with its mends, or a stored job. */
export const jobFields = {
  kit: kitSchema.optional(),
  stored: storedJob.optional(),
  part: part.optional(),
  warm,
  mends: mends.optional(),
}
interface Said {
  kit?: unknown
  stored?: unknown
  part?: unknown
  warm?: unknown
  mends?: unknown
}

/** Says what is missing where neither a part with its mends nor a stored job was given, or too much where both were. */
export function eitherOr(asked: Said, context: z.core.$RefinementCtx): void {
  for (const key of ['part', 'mends'] as const)
    if ((asked[key] === undefined) !== (asked.stored !== undefined))
      context.addIssue({
        code: 'custom',
        path: [key],
        message: asked.stored === undefined ? 'is wanted, or a stored job' : 'stands in the stored job',
      })
}

/** A whole job that was asked about. */
export interface JobAsked {
  kit?: Kit
  stored?: Job
  given?: Omit<JobGiven, 'kit'>
}
/** The job out of what was said, read by `jobFields`. */
export function jobAsked({ kit, stored, part, mends, warm }: Said): JobAsked {
  return {
    ...(kit ? { kit: kit as Kit } : {}),
    ...(stored ? { stored: stored as Job } : {}),
    ...(part && mends ? { given: { warm, part, mends } as Omit<JobGiven, 'kit'> } : {}),
  }
}

/** A made-up job that a person can start from. */
export const JOB_EXAMPLE = {
  part: {
    does: 'seal',
    soak: 'oily',
    lengthMm: 220,
    widthMm: 160,
    heightMm: 45,
    newPrice: 420,
    bodies: [{ id: 'cover', alloy: '356', wallMm: 6 }],
  },
  mends: [
    { id: 'flange', kind: 'crack', lengthMm: '60 mm', startsIn: 'hole' },
    { id: 'drain', kind: 'thread', thread: 'M10', deepMm: 18, bossMm: 26, state: 'stripped' },
    { id: 'gasket', kind: 'face', wideMm: 12, longMm: 60, lowMm: 0.8 },
  ],
}
