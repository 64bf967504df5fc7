import { NoAnswer } from '#core/ask/question'
import { dayOf, type DayGiven } from '#core/day/model'
import { jobEnds } from '#core/day/ends'
import { rescues, soonest, type Rescue } from '#core/day/rescue'
import { lowerBound } from '#core/day/bound'
import { schedule } from '#core/day/search'
import type { Job, Kit } from '#core/job/job.schema'
import { dayFromJobs, lateJobs, type DayAround, type DayTask, type LateJob } from '#core/station/shop/day'
import { keptWork, takenBack } from './kept-work'

export interface PlannedDay {
  given: DayGiven
  tasks: (DayTask & { startMin: number })[]
  makespanMin: number
  lowerBoundMin: number
  late: LateJob[]
}
export interface Saving {
  rescues: Rescue[]
  soonestMin: number
}
export type DayTold = { ok: true; day: PlannedDay } | { ok: false; reason: string } | { ok: 'stopped' }

const TELL_EVERY_MS = 60
/** Share of the whole search: on shop days of 40 to 80 tasks the rest of it, six times as long, found nothing. */
const EFFORT = 0.15
let wanted = 0
let enough = false

export const bench = {
  ...keptWork,
  /** Ends the search with the best plan so far. */
  stop: (): void => {
    enough = true
  },
  /**
   * Plans the open jobs; tells the share done and each better plan as it is found, the first at once.
   * @param quick takes the first plan for good
   */
  plan: async (
    jobs: Job[],
    kit: Kit,
    shifts: DayGiven['shifts'],
    around: DayAround,
    quick: boolean,
    tell: (share: number, better: PlannedDay | null) => void,
  ): Promise<DayTold> => {
    const ticket = ++wanted
    enough = quick
    await takenBack
    if (ticket !== wanted) return { ok: 'stopped' }
    try {
      const { given, tasks } = dayFromJobs(jobs, kit, shifts, around)
      const day = dayOf(given)
      if (!day.tasks.length) return { ok: true, day: { given, tasks: [], makespanMin: 0, lowerBoundMin: 0, late: [] } }
      const lowest = lowerBound(day)
      const planned = (starts: readonly number[], makespanMin: number): PlannedDay => {
        const startOf = new Map(day.tasks.map((task, n) => [task.id, starts[n]!]))
        const placed = tasks.map(task => ({ ...task, startMin: startOf.get(task.id)! }))
        return {
          given,
          tasks: placed,
          makespanMin,
          lowerBoundMin: lowest,
          late: lateJobs(given, placed, around.nowMin),
        }
      }
      const running = schedule(day, EFFORT)
      let [last, told] = [-Infinity, '']
      for (;;) {
        const next = running.next(enough)
        if (next.done) return { ok: true, day: planned(next.value.starts, next.value.makespanMin) }
        if (Date.now() - last < TELL_EVERY_MS) continue
        const { share, starts, makespanMin } = next.value
        const better = starts.join() === told ? null : planned(starts, makespanMin)
        told = starts.join()
        tell(share, better)
        await new Promise<void>(resolve => {
          setTimeout(resolve, 0)
        })
        if (ticket !== wanted) return { ok: 'stopped' }
        last = Date.now()
      }
    } catch (error) {
      return { ok: false, reason: error instanceof NoAnswer ? error.message : 'the day could not be planned' }
    }
  },
  /** What would bring a late job of a planned day home on time; null where another plan has begun meanwhile. */
  save: async ({ given, tasks }: PlannedDay, id: string, nowMin: number): Promise<Saving | null> => {
    const ticket = wanted
    const running = rescues(given, id, jobEnds(given, new Map(tasks.map(task => [task.id, task.startMin]))), nowMin)
    for (;;) {
      const next = running.next()
      if (next.done) return { rescues: next.value, soonestMin: soonest(given, id) }
      await new Promise<void>(resolve => {
        setTimeout(resolve, 0)
      })
      if (ticket !== wanted) return null
    }
  },
}
