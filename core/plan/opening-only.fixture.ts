import type { Job } from '../job/job.schema'
import { OPENING } from './take-in/on-the-part'

/** A job as if nothing but its first opening were mended: no other mends, and no marks of theirs on the part. */
export const openingOnly = (job: Job): Job => ({
  ...job,
  mends: [],
  shape: { ...job.shape, marks: job.shape.marks.filter(mark => mark.kind !== 'mend' || mark.mend === OPENING) },
})
