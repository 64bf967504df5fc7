import { addDays, differenceInCalendarDays, set } from 'date-fns'
import { DAY_MIN } from './hours'

/**
 * A bench's plan counts minutes by the clock on its wall, 1440 a day: eight in the morning is minute 480 of its day,
 * also on the two days a year when the clock is changed and the day has 23 hours or 25.
 * @param at a moment @param midnight any moment of the day that minutes are counted from
 * @returns minutes by the wall clock since that day's midnight; in the zone of this machine
 */
export function wallMinutes(at: Date, midnight: Date): number {
  const days = differenceInCalendarDays(at, midnight)
  return days * DAY_MIN + at.getHours() * 60 + at.getMinutes() + at.getSeconds() / 60
}

/**
 * The moment when the wall clock shows so many minutes since a day's midnight. An hour that is skipped when the clock
 * is put forward is taken by what follows it.
 */
export function atWallMinute(minutes: number, midnight: Date): Date {
  const whole = Math.round(minutes)
  const days = Math.floor(whole / DAY_MIN)
  const rest = whole - days * DAY_MIN
  return set(addDays(midnight, days), { hours: Math.floor(rest / 60), minutes: rest % 60, seconds: 0, milliseconds: 0 })
}
