import { NoAnswer } from '../ask/question'
import { jobEnds } from './ends'
import { dayOf, type DayGiven } from './model'
import { schedule } from './search'

/** One change to a day. */
export type Change =
  | { way: 'longer' | 'earlier'; minutes: number; shift: number }
  | { way: 'one-more'; resource: string }
  | { way: 'let-later'; job: string }
/**
 * A change that brings a late job home on time and makes no other job later than it was; when that job then ends, and
 * the one that was let later.
 */
export type Rescue = Change & { endMin: number; untilMin?: number }

/** Minutes tried at either end of a shift, the least that does being the answer. */
const STEPS_MIN = [15, 30, 60, 90, 120, 180]
/** Share of a full search spent on each change tried: a change that needs more looking than this is not found. */
const EFFORT = 0.04

/** The soonest a job could end with the whole day to itself. */
export function soonest(given: DayGiven, id: string): number {
  const day = dayOf({ ...given, jobs: given.jobs.filter(job => job.id === id) })
  const running = schedule(day, EFFORT)
  for (;;) {
    const next = running.next()
    if (next.done) return next.value.makespanMin
  }
}

/** Searches a changed day until nothing in it is late; null where that was not found. */
function onTime(given: DayGiven): Map<string, number> | null {
  const day = dayOf(given)
  const running = schedule(day, EFFORT)
  let next = running.next()
  while (!next.done) next = running.next(next.value.lateMin <= 0)
  return next.value.lateMin <= 1e-9
    ? jobEnds(given, new Map(day.tasks.map((task, n) => [task.id, next.value.starts[n]!] as const)))
    : null
}

/** The day with one change made; shifts are counted in order of their start. */
export function changedBy(given: DayGiven, change: Change): DayGiven {
  switch (change.way) {
    case 'longer':
    case 'earlier': {
      const shifts = given.shifts.toSorted((a, b) => a.startMin - b.startMin)
      return {
        ...given,
        shifts: shifts.map((shift, n) =>
          n !== change.shift
            ? shift
            : change.way === 'longer'
              ? { ...shift, endMin: shift.endMin + change.minutes }
              : { ...shift, startMin: shift.startMin - change.minutes },
        ),
      }
    }
    case 'one-more':
      return {
        ...given,
        resources: given.resources.map(resource =>
          resource.id === change.resource ? { ...resource, count: resource.count + 1 } : resource,
        ),
      }
    case 'let-later':
      return { ...given, jobs: given.jobs.map(job => (job.id === change.job ? { ...job, due: undefined } : job)) }
  }
}

/** Every other job may end when it is due or, where that is later, when it ends in the plan as it stands. */
export const heldTo = (given: DayGiven, id: string, ends: ReadonlyMap<string, number>): DayGiven => ({
  ...given,
  jobs: given.jobs.map(job =>
    job.id === id || job.due === undefined ? job : { ...job, due: Math.max(job.due, ends.get(job.id) ?? job.due) },
  ),
})

/** Changes worth trying for a job due then, in groups of which the first that does is enough. */
function worthTrying(given: DayGiven, id: string, due: number, notBeforeMin: number): Change[][] {
  const shifts = given.shifts.toSorted((a, b) => a.startMin - b.startMin)
  const last = shifts.findLastIndex(shift => shift.endMin < due)
  const dueIn = shifts.findIndex(shift => shift.startMin < due && shift.endMin >= due)
  const stretched = (way: 'longer' | 'earlier', at: number): Change[] => {
    const shift = shifts[at]
    if (!shift) return []
    const room =
      way === 'longer'
        ? Math.min(due, shifts[at + 1]?.startMin ?? Infinity) - shift.endMin
        : shift.startMin - Math.max(notBeforeMin, shifts[at - 1]?.endMin ?? 0)
    return STEPS_MIN.filter(step => step <= room).map(minutes => ({ way, minutes, shift: at }))
  }
  const needed = new Set(given.jobs.flatMap(job => job.tasks.flatMap(task => task.needs)))
  return [
    stretched('longer', last),
    stretched('earlier', dueIn >= 0 ? dueIn : last),
    ...given.resources
      .filter(resource => needed.has(resource.id))
      .map((resource): Change[] => [{ way: 'one-more', resource: resource.id }]),
    ...given.jobs
      .filter(job => job.id !== id && job.due !== undefined)
      .map((job): Change[] => [{ way: 'let-later', job: job.id }]),
  ]
}

/**
 * What would bring a late job home on time, each by planning the day again with that one change: hours added at the end
 * of the last shift before it is due or at the beginning of the shift it is due in, one more of a resource, or one
 * other job promised for later. Every other job ends no later than it is due or, where that is later, than it ended in
 * the plan given.
 * Yields the share done after each group of changes. What is not found may still exist: each search is short, and a
 * plan found is the only proof.
 * @param ends when each job ends in the plan as it stands
 * @param notBeforeMin now: no shift begins before it
 * @throws NoAnswer where no job has that id or it has no due time
 */
export function* rescues(
  given: DayGiven,
  id: string,
  ends: ReadonlyMap<string, number>,
  notBeforeMin = 0,
): Generator<number, Rescue[]> {
  const due = given.jobs.find(job => job.id === id)?.due
  if (due === undefined) throw new NoAnswer(`no job ${id} with a due time is in this day`)
  const held = heldTo(given, id, ends)
  const groups = worthTrying(held, id, due, notBeforeMin)
  const saved: Rescue[] = []
  for (const [n, group] of groups.entries()) {
    for (const change of group) {
      const changed = changedBy(held, change)
      const found = soonest(changed, id) <= due + 1e-9 ? onTime(changed) : null
      if (!found) continue
      saved.push({
        ...change,
        endMin: found.get(id)!,
        ...(change.way === 'let-later' ? { untilMin: found.get(change.job)! } : {}),
      })
      break
    }
    yield (n + 1) / groups.length
  }
  return saved
}
