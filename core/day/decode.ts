import { InUse } from './in-use'
import type { Day } from './model'

export interface Laid {
  starts: Float64Array
  ends: Float64Array
  makespanMin: number
  lateMin: number
  /** Whether a wait would have run over, so that a task before it begins later than it could. */
  held: boolean
}
/** A day laid before from a list that begins like this one: its first so many tasks stay where they are. */
export interface Known {
  starts: Float64Array
  tasks: number
}

const MOST_ROUNDS = 60
/** A minute late weighs as many minutes of length: being late is what a day is planned against. */
const LATE_WEIGHT = 50

/** What a day is searched for: least lateness, then least length. */
export const cost = ({ makespanMin, lateMin }: Pick<Laid, 'makespanMin' | 'lateMin'>) =>
  makespanMin + LATE_WEIGHT * lateMin

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
 *
 * One day's lists are laid by one of these, which keeps what it works in from list to list. `known` saves laying what
 * stands already; `most` is the cost from which on a day is of no use: null is given for it.
 */
export function layer(day: Day): (list: ArrayLike<number>, known?: Known | null, most?: number) => Laid | null {
  const { tasks, capacity, due } = day
  const n = tasks.length
  const release = new Float64Array(n)
  const jobEnd = new Float64Array(due.length)
  const inUse = capacity.map(
    (count, resource) => new InUse(count, tasks.filter(task => task.needs.includes(resource)).length),
  )
  const wants = tasks.map(({ needs }) =>
    [...new Set(needs)].map(resource => ({
      use: inUse[resource]!,
      wanted: needs.filter(need => need === resource).length,
    })),
  )

  /** First minute from `from` at which a task fits a shift and everything it needs; Infinity where none is left. */
  const fits = (at: number, from: number): number => {
    const { unattended, minutes } = tasks[at]!
    for (let start = from; ;) {
      const before = start
      if (!unattended) start = inShift(day, start, minutes)
      if (start === Infinity) return start
      for (const { use, wanted } of wants[at]!) start = use.freeFrom(start, minutes, wanted)
      if (start === before) return start
    }
  }

  return (list, known = null, most = Infinity) => {
    const starts = new Float64Array(n)
    const ends = new Float64Array(n)
    tasks.forEach((task, at) => {
      release[at] = task.earliestMin
    })
    for (let round = 0; round < MOST_ROUNDS; round++) {
      for (const use of inUse) use.clear()
      jobEnd.fill(0)
      let [again, makespanMin, lateMin] = [false, 0, 0]
      const put = (at: number, start: number) => {
        const { minutes, job } = tasks[at]!
        const end = start + minutes
        starts[at] = start
        ends[at] = end
        if (minutes > 0) for (const { use, wanted } of wants[at]!) use.take(start, end, wanted)
        if (end > makespanMin) makespanMin = end
        const was = jobEnd[job]!
        if (end <= was) return
        jobEnd[job] = end
        lateMin += Math.max(0, end - due[job]!) - Math.max(0, was - due[job]!)
      }
      const stands = round === 0 && known ? known.tasks : 0
      for (let place = 0; place < stands; place++) put(list[place]!, known!.starts[list[place]!]!)
      for (let place = stands; place < n; place++) {
        const at = list[place]!
        const task = tasks[at]!
        let latest = -Infinity
        for (const before of task.before) if (ends[before]! > latest) latest = ends[before]!
        const start = fits(at, Math.max(release[at]!, latest))
        if (start === Infinity) return null
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
        put(at, start)
        if (cost({ makespanMin, lateMin }) >= most) return null
      }
      if (!again) return { starts, ends, makespanMin, lateMin, held: round > 0 }
    }
    return null
  }
}
