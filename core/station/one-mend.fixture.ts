import type { Job } from '../job/job.schema'

/** A job as if nothing but one of its places were mended: no other mends, and no marks of theirs on the part. */
export const oneMend = (job: Job, id: string): Job => ({
  ...job,
  mends: job.mends.filter(mend => mend.id === id),
  shape: { ...job.shape, marks: job.shape.marks.filter(mark => mark.kind !== 'mend' || mark.mend === id) },
})
