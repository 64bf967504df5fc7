import crc32 from 'crc-32'
import { checkJob } from '../job/files'
import type { Job } from '../job/job.schema'
import { mergeJob } from '../job/merge'
import { textOf } from '../job/same'

/** The same for the same job, whatever the order of its keys. */
export const sumOf = (value: unknown): string => (crc32.str(textOf(value)) >>> 0).toString(36)

/** When anything of a job was last changed, ISO. */
export const lastTouched = ({ stamps, updatedAt }: Pick<Job, 'stamps' | 'updatedAt'>): string =>
  Object.values(stamps).reduce((last, at) => (Date.parse(at) > Date.parse(last) ? at : last), updatedAt)

/** A job that came from another screen, as it is to stand here. */
export type TakenJob =
  | { readonly kind: 'taken'; readonly job: Job; /** There is something here that the other lacks. */ more: boolean }
  | { readonly kind: 'kept'; readonly job: Job; more: boolean }
  | { readonly kind: 'refused'; readonly why: string }

/**
 * What becomes of a job that came, checked as one out of a file, merged field by field with the one here.
 * @param known the job as both screens had it last
 * @param goneAt when it was taken off the shelf here; touched after that, it is back
 */
export function takeJob(here: Job | undefined, came: unknown, known?: Job, goneAt?: string): TakenJob {
  const checked = checkJob(came)
  if (!checked.ok) {
    const [issue] = checked.issues
    return { kind: 'refused', why: issue ? `${issue.path}: ${issue.message}` : 'it is no job' }
  }
  const theirs = checked.job
  if (!here) {
    if (goneAt !== undefined && Date.parse(goneAt) >= Date.parse(lastTouched(theirs)))
      return { kind: 'refused', why: 'it was taken off the shelf here' }
    return { kind: 'taken', job: theirs, more: false }
  }
  const { job } = mergeJob(here, theirs, known)
  const [sum, mine, yours] = [sumOf(job), sumOf(here), sumOf(theirs)]
  return { kind: sum === mine ? 'kept' : 'taken', job, more: sum !== yours }
}
