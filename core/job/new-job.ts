import { formInName } from '../metal/identify/form-in-name'
import { jobSchema, type Job } from './job.schema'
import { JOB_VERSION } from './version'

/**
 * A new job with nothing settled but what its name says: a cast foot is a casting until somebody says otherwise. The
 * caller gives the id and the time: the core has no clock.
 */
export function newJob(id: string, title: string, customer: string, at: string): Job {
  return jobSchema.parse({
    kind: 'wild-sparrow/job',
    version: JOB_VERSION,
    id,
    title,
    customer,
    takenInAt: at,
    updatedAt: at,
    know: { form: formInName(title) },
  })
}
