import { DAY_MIN } from '#core/quantity/hours'
import type { PlannedDay } from '~/workers/day'

export const WIDTH = 1060
export const LEFT = 170
export const ROW = 34
/** A bar narrower than this does not hold its name, and one narrower than that not its number either. */
const NAMED = 70
const NUMBERED = 20
/** Room that a digit above a bar takes. */
const DIGIT = 7

export type NumberedTask = PlannedDay['tasks'][number] & { number: number }

export interface Bar extends NumberedTask {
  x: number
  wide: number
  label: string
  /** Where its number stands above it at the end of a short line; null, it stands in the bar. */
  leadX: number | null
}
export interface DayLines {
  start: number
  /** Drawing units to a minute, and the minute of the day at the left edge. */
  scale: number
  low: number
  lines: { id: string; title: string; bars: Bar[]; due: number | null; late: boolean }[]
  ticks: { hour: number; x: number }[]
  high: number
}

/** Tasks in the order they begin, with the numbers by which the drawing and the list name them. */
export const numbered = (tasks: PlannedDay['tasks']): NumberedTask[] =>
  tasks.toSorted((a, b) => a.startMin - b.startMin).map((task, n) => ({ ...task, number: n + 1 }))

/** One day as it is drawn: the hands' own line, then a line for each job that has something in it. */
export function dayLines(
  planned: PlannedDay,
  tasks: readonly NumberedTask[],
  n: number,
  open: { fromMin: number; toMin: number } | null,
): DayLines | null {
  const [start, end] = [n * DAY_MIN, (n + 1) * DAY_MIN]
  const here = tasks.filter(task => task.startMin < end && task.startMin + task.minutes > start)
  if (!here.length) return null
  const starts = here.map(task => Math.max(0, task.startMin - start))
  // A day half gone is drawn from where its work begins.
  const low = Math.max(Math.min(open?.fromMin ?? DAY_MIN, ...starts), 60 * Math.floor(Math.min(...starts) / 60))
  const high = Math.max(open?.toMin ?? 0, ...here.map(task => Math.min(DAY_MIN, task.startMin + task.minutes - start)))
  const scale = (WIDTH - LEFT - 10) / (high - low)
  const bar = (task: NumberedTask): Bar => {
    const wide = (Math.min(end, task.startMin + task.minutes) - Math.max(start + low, task.startMin)) * scale
    const room = Math.floor(wide / 8) - 2
    return {
      ...task,
      x: LEFT + Math.max(0, task.startMin - start - low) * scale,
      wide,
      label: wide > NAMED ? `${task.number} ${task.name.slice(0, room)}` : wide > NUMBERED ? `${task.number}` : '',
      leadX: null,
    }
  }
  /** Numbers above narrow bars, moved along until none lies on another or over the edge. */
  const withLeads = (bars: Bar[]): Bar[] => {
    const led = bars.filter(each => !each.label).toSorted((a, b) => a.x - b.x)
    const room = (each: Bar) => String(each.number).length * DIGIT + 4
    let free = LEFT
    for (const each of led) {
      each.leadX = Math.max(each.x + each.wide / 2 + 8, free)
      free = each.leadX + room(each)
    }
    let edge = WIDTH
    for (const each of led.toReversed()) {
      each.leadX = Math.min(each.leadX!, edge - room(each))
      edge = each.leadX
    }
    return bars
  }
  const line = (id: string) => {
    const own = here.filter(task => task.jobId === id)
    const due = planned.given.jobs.find(job => job.id === id)?.due
    return {
      id,
      title: own[0]!.title,
      bars: withLeads(own.map(bar)),
      due: due !== undefined && due >= start + low && due <= start + high ? LEFT + (due - start - low) * scale : null,
      late: planned.late.some(job => job.id === id),
    }
  }
  const lines = [
    { id: 'hands', title: 'The hands', bars: here.filter(task => !task.unattended).map(bar), due: null, late: false },
    ...[...new Set(here.map(task => task.jobId))].map(line),
  ]
  const ticks = Array.from({ length: Math.floor(high / 60) - Math.ceil(low / 60) + 1 }, (_, hour) => ({
    hour: Math.ceil(low / 60) + hour,
    x: LEFT + ((Math.ceil(low / 60) + hour) * 60 - low) * scale,
  }))
  return { start, scale, low, lines, ticks, high: lines.length * ROW + 30 }
}
