import type { Day } from './model'

export interface Laid {
  starts: Float64Array
  makespanMin: number
  lateMin: number
}

const MOST_ROUNDS = 60

/**
 * First minute from `fromMin` at which an attended task of this length fits in a shift; Infinity where none is left.
 */
export function inShift({ shifts }: Pick<Day, 'shifts'>, fromMin: number, minutes: number): number {
  if (!shifts.length) return fromMin
  for (const shift of shifts) {
    const start = Math.max(fromMin, shift.startMin)
    if (start + minutes <= shift.endMin + 1e-9) return start
  }
  return Infinity
}

/**
 * Lays tasks in the order of a list, each as early as what it waits for, its resources and the shifts allow, gaps
 * included (the serial scheme of resource-constrained scheduling: Kolisch and Hartmann 1999). A wait that would run
 * over moves the task before it later and begins again. Every list gives a feasible day, or none where the shifts run
 * out.
 */
export function layTasks(day: Day, list: readonly number[] | Int32Array): Laid | null {
  const { tasks, capacity } = day
  const n = tasks.length
  const starts = new Float64Array(n)
  const ends = new Float64Array(n)
  const release = Float64Array.from(tasks, task => task.earliestMin)
  // Intervals in use by resource, in order of start: start, end pairs.
  const busy: number[][] = capacity.map(() => [])
  for (let round = 0; round < MOST_ROUNDS; round++) {
    for (const intervals of busy) intervals.length = 0
    let again = false
    for (const at of list) {
      const task = tasks[at]!
      let start = release[at]!
      let latest = -Infinity
      for (const before of task.before) if (ends[before]! > latest) latest = ends[before]!
      if (latest > start) start = latest
      for (let moved = true; moved;) {
        moved = false
        if (!task.unattended) {
          const fits = inShift(day, start, task.minutes)
          if (fits === Infinity) return null
          if (fits > start) start = fits
        }
        for (const resource of task.needs) {
          const free = freeFrom(busy[resource]!, capacity[resource]!, start, task.minutes)
          if (free > start) {
            start = free
            moved = true
          }
        }
      }
      if (latest > -Infinity && start - latest > task.maxWaitMin + 1e-9) {
        // What ended too early begins later next time.
        for (const before of task.before) {
          const needed = start - task.maxWaitMin - tasks[before]!.minutes
          if (ends[before]! < start - task.maxWaitMin && needed > release[before]!) {
            release[before] = needed
            again = true
          }
        }
        if (again) break
      }
      starts[at] = start
      ends[at] = start + task.minutes
      if (task.minutes > 0) for (const resource of task.needs) occupy(busy[resource]!, start, start + task.minutes)
    }
    if (!again) {
      let makespanMin = 0
      const jobEnd = new Float64Array(day.due.length)
      for (let i = 0; i < n; i++) {
        if (ends[i]! > makespanMin) makespanMin = ends[i]!
        const job = tasks[i]!.job
        if (ends[i]! > jobEnd[job]!) jobEnd[job] = ends[i]!
      }
      let lateMin = 0
      for (let job = 0; job < jobEnd.length; job++) lateMin += Math.max(0, jobEnd[job]! - day.due[job]!)
      return { starts, makespanMin, lateMin }
    }
  }
  return null
}

function occupy(intervals: number[], start: number, end: number): void {
  let at = intervals.length
  while (at > 0 && intervals[at - 2]! > start) at -= 2
  intervals.splice(at, 0, start, end)
}

/** First minute from `from` at which one more of a resource is free for so long. */
function freeFrom(intervals: readonly number[], capacity: number, from: number, minutes: number): number {
  let start = from
  if (capacity === 1) {
    for (let at = 0; at < intervals.length; at += 2) {
      if (intervals[at + 1]! <= start) continue
      if (intervals[at]! >= start + minutes) break
      start = intervals[at + 1]!
    }
    return start
  }
  for (;;) {
    // The most in use at once while it would run, counted at its start and wherever another begins.
    let next = Infinity
    let most = 0
    for (let at = -2; at < intervals.length; at += 2) {
      const moment = at < 0 ? start : intervals[at]!
      if (moment < start || moment >= start + minutes) continue
      let inUse = 0
      for (let other = 0; other < intervals.length; other += 2) {
        if (intervals[other]! <= moment && intervals[other + 1]! > moment) {
          inUse += 1
          if (intervals[other + 1]! < next) next = intervals[other + 1]!
        }
      }
      most = Math.max(most, inUse)
    }
    if (most < capacity) return start
    start = next
  }
}
