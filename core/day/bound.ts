import { inShift } from './decode'
import type { Day } from './model'

/** Earliest starts by what each task waits for and the shifts alone, and the longest work that must follow each. */
function headsAndTails(day: Day): { heads: Float64Array; tails: Float64Array } {
  const { tasks, order } = day
  const [heads, tails] = [new Float64Array(tasks.length), new Float64Array(tasks.length)]
  for (const n of order) {
    const task = tasks[n]!
    const from = Math.max(task.earliestMin, ...task.before.map(before => heads[before]! + tasks[before]!.minutes), 0)
    heads[n] = task.unattended ? from : inShift(day, from, task.minutes)
  }
  for (const n of order.toReversed())
    tails[n] = Math.max(0, ...tasks[n]!.then.map(next => tails[next]! + tasks[next]!.minutes))
  return { heads, tails }
}

/**
 * Jackson's preemptive schedule of one machine with heads and tails: its length bounds every schedule's from below
 * (Carlier 1982).
 */
function jackson(entries: readonly { head: number; minutes: number; tail: number }[]): number {
  const waiting = entries.toSorted((a, b) => a.head - b.head)
  const open: { left: number; tail: number }[] = []
  let [now, bound, at] = [0, 0, 0]
  while (at < waiting.length || open.length) {
    if (!open.length) now = Math.max(now, waiting[at]!.head)
    while (at < waiting.length && waiting[at]!.head <= now) {
      open.push({ left: waiting[at]!.minutes, tail: waiting[at]!.tail })
      at += 1
    }
    open.sort((a, b) => b.tail - a.tail)
    const first = open[0]!
    const until = Math.min(now + first.left, at < waiting.length ? waiting[at]!.head : Infinity)
    first.left -= until - now
    now = until
    if (first.left <= 1e-12) {
      bound = Math.max(bound, now + first.tail)
      open.shift()
    }
  }
  return bound
}

/** Minute at which so much attended work can be done at the earliest, begun no earlier than `fromMin`. */
function workedBy({ shifts }: Day, fromMin: number, minutes: number): number {
  if (!shifts.length) return fromMin + minutes
  let left = minutes
  for (const shift of shifts) {
    const room = shift.endMin - Math.max(fromMin, shift.startMin)
    if (room <= 0) continue
    if (left <= room) return Math.max(fromMin, shift.startMin) + left
    left -= room
  }
  return Infinity
}

/**
 * A length no schedule can beat: the longest chain, the busiest resource with what must come before and after its work,
 * and attended work in the hours there are.
 */
export function lowerBound(day: Day): number {
  const { tasks, capacity } = day
  if (!tasks.length) return 0
  const { heads, tails } = headsAndTails(day)
  let bound = Math.max(...tasks.map((task, n) => heads[n]! + task.minutes + tails[n]!))
  capacity.forEach((count, resource) => {
    const on = tasks.flatMap((task, n) =>
      task.needs.includes(resource) && task.minutes > 0
        ? [{ head: heads[n]!, minutes: task.minutes, tail: tails[n]!, unattended: task.unattended }]
        : [],
    )
    if (!on.length) return
    if (count === 1) bound = Math.max(bound, jackson(on))
    const sum = on.reduce((total, entry) => total + entry.minutes, 0)
    const [least, after] = [Math.min(...on.map(entry => entry.head)), Math.min(...on.map(entry => entry.tail))]
    bound = Math.max(bound, least + sum / count + after)
    if (on.every(entry => !entry.unattended)) bound = Math.max(bound, workedBy(day, least, sum / count) + after)
  })
  return bound
}

/**
 * How far above the best a plan of that length can lie at most, percent of the bound; 0 where there is nothing to do.
 */
export const mostAbovePct = (makespanMin: number, lowerBoundMin: number): number =>
  lowerBoundMin > 0 ? (100 * (makespanMin - lowerBoundMin)) / lowerBoundMin : 0
