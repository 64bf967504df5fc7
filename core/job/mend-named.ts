import { kindOf } from '../mend/registry'
import type { Job } from './job.schema'

/** What a mend of a job is called, by its id; nothing for one that is gone. */
export function mendNamed({ mends }: Pick<Job, 'mends'>, id: string | undefined): string {
  const mend = mends.find(each => each.id === id)
  return mend ? mend.name || kindOf(mend.kind).name : ''
}
