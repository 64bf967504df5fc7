import type { Job } from './job.schema'

export interface Merged { add: Job[], replace: Job[], keep: Job[] }

/** What an import does to the shelf: unknown jobs are added, newer ones replace, the same or older are left. The same file twice changes nothing. */
export function mergeJobs(here: readonly Pick<Job, 'id' | 'updatedAt'>[], incoming: readonly Job[]): Merged {
  const byId = new Map(here.map(job => [job.id, job.updatedAt]))
  const merged: Merged = { add: [], replace: [], keep: [] }
  for (const job of incoming) {
    const known = byId.get(job.id)
    if (known === undefined) merged.add.push(job)
    else if (Date.parse(job.updatedAt) > Date.parse(known)) merged.replace.push(job)
    else merged.keep.push(job)
  }
  return merged
}
