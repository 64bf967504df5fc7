import type { DayGiven } from '../../day/model'
import { DAY_MIN, type Hours } from '../../quantity/hours'
import type { DayTask } from './day'

/**
 * Shifts of the days ahead, in minutes from today's midnight.
 * @param today today's hours, whatever the week says
 * @param week hours by weekday, Sunday first; null, a day off
 * @param weekday today's, 0 for Sunday
 */
export const weekShifts = (
  today: Hours,
  week: readonly (Hours | null)[],
  weekday: number,
  days: number,
): DayGiven['shifts'] =>
  Array.from({ length: days }, (_, n) => ({ n, hours: n ? (week[(weekday + n) % 7] ?? null) : today })).flatMap(
    ({ n, hours }) => (hours ? [{ startMin: n * DAY_MIN + hours.fromMin, endMin: n * DAY_MIN + hours.toMin }] : []),
  )

export interface DayAhead {
  /** Its midnight, minutes from today's. */
  startMin: number
  openMin: number
  handsMin: number
}

/** How full each of the days ahead is: what the shop is open, and what the hands have to do in it. */
export function weekAhead(
  tasks: readonly (DayTask & { startMin: number })[],
  shifts: DayGiven['shifts'],
  days = 7,
): DayAhead[] {
  const within = (from: number, to: number, startMin: number) =>
    Math.max(0, Math.min(to, startMin + DAY_MIN) - Math.max(from, startMin))
  return Array.from({ length: days }, (_, n) => {
    const startMin = n * DAY_MIN
    return {
      startMin,
      openMin: shifts.reduce((sum, shift) => sum + within(shift.startMin, shift.endMin, startMin), 0),
      handsMin: tasks
        .filter(task => !task.unattended)
        .reduce((sum, task) => sum + within(task.startMin, task.startMin + task.minutes, startMin), 0),
    }
  })
}
