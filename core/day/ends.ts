import type { DayGiven } from './model'

/** When each job of a plan ends, by id. */
export function jobEnds(given: DayGiven, starts: ReadonlyMap<string, number>): Map<string, number> {
  return new Map(
    given.jobs.map(job => [job.id, Math.max(0, ...job.tasks.map(task => starts.get(task.id)! + task.minutes))]),
  )
}
