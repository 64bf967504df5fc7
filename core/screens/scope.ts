import type { Job } from '../job/job.schema'
import type { Scope } from './message.schema'

/** What of a job says whether it is one that a screen takes part in. */
export interface InScope {
  readonly id: string
  readonly handedAt: string | null
}

export const scopedOf = (job: Job): InScope => ({ id: job.id, handedAt: job.handOver.handedAt })

/** Whether a job is one that a screen takes part in. */
export const inScope = (scope: Scope, { id, handedAt }: InScope): boolean =>
  scope.kind === 'shop' || (scope.kind === 'open' ? handedAt === null : scope.ids.includes(id))

/** What two scopes come to together. */
export function widened(one: Scope, two: Scope): Scope {
  if (one.kind === 'jobs' && two.kind === 'jobs') return { kind: 'jobs', ids: [...new Set([...one.ids, ...two.ids])] }
  const wide = ['jobs', 'open', 'shop']
  return wide.indexOf(one.kind) >= wide.indexOf(two.kind) ? one : two
}
