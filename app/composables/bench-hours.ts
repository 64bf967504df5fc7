import { useLocalStorage } from '@vueuse/core'
import { format, startOfDay } from 'date-fns'
import { computed } from 'vue'
import type { DayAround } from '#core/station/shop/day'
import { weekShifts } from '#core/station/shop/week'
import { DAY_MIN, readHours } from '#core/quantity/hours'
import { atWallMinute, wallMinutes } from '#core/quantity/wall-clock'
import { useClocks } from '~/stores/clocks'

/** Days looked ahead; work for longer than that is not a day's plan. */
const DAYS = 30
/** A weekday's name alone says which day is meant within the days before it comes again. */
const NAMED_MIN = 7 * DAY_MIN
/** A day kept as today, in English or German. */
const AS_TODAY = new Set(['open', 'offen'])
/** Sunday first, as weekdays are counted. */
const USUAL_WEEK = ['off', 'open', 'open', 'open', 'open', 'open', 'off']

/**
 * The bench's hours and the week's, today's midnight, and what is known of today: clocks that run, what hands are at,
 * and what was put off by hand.
 */
export function useBenchHours() {
  const from = useLocalStorage('ws-day-from', '8:00')
  const to = useLocalStorage('ws-day-to', '17:00')
  const midnight = startOfDay(new Date())
  const clocks = useClocks()
  const hours = computed(() => {
    const read = readHours(`${from.value}-${to.value}`)
    return read.ok ? read.hours : null
  })
  /** Hours by weekday as they are written; `open` is the same as today's. */
  const week = useLocalStorage<string[]>('ws-week', USUAL_WEEK)
  const weekRead = computed(() =>
    USUAL_WEEK.map((usual, weekday) => {
      const written = week.value[weekday] ?? usual
      return AS_TODAY.has(written.trim().toLowerCase()) ? { ok: true as const, hours: hours.value } : readHours(written)
    }),
  )
  const writeHours = (weekday: number, text: string) => {
    week.value = USUAL_WEEK.map((usual, n) => (n === weekday ? text.slice(0, 24) : (week.value[n] ?? usual)))
  }
  const shifts = computed(() =>
    hours.value
      ? weekShifts(
          hours.value,
          weekRead.value.map(read => (read.ok ? read.hours : null)),
          midnight.getDay(),
          DAYS,
        )
      : null,
  )
  /** Tasks put off by hand, for today; the rest of the day follows. */
  const notBefore = useLocalStorage<Record<string, number>>(`ws-day-put-${format(midnight, 'yyyy-MM-dd')}`, {})
  const running = computed(() =>
    Object.fromEntries(
      clocks.running
        .filter(clock => clock.jobId && clock.leftS > 0 && clock.task === undefined)
        .map(clock => [clock.jobId!, Math.ceil(clock.leftS / 60)]),
    ),
  )
  const begun = computed(() => clocks.running.filter(clock => clock.task !== undefined))
  const around = (): DayAround => ({
    midnightMs: midnight.getTime(),
    nowMin: Math.floor(wallMinutes(new Date(), midnight)),
    notBefore: { ...notBefore.value },
    running: { ...running.value },
    begun: Object.fromEntries(begun.value.map(clock => [clock.task!, (Date.now() - clock.startedAt) / 60_000])),
  })
  const at = (minutes: number) => atWallMinute(minutes, midnight)
  const clock = (minutes: number) => format(at(minutes), 'HH:mm')
  const dayName = (minutes: number) => format(at(minutes), 'EEEE d MMMM')
  /** A minute of the plan: its time, with the day where that is not today. */
  const when = (minutes: number) =>
    minutes < DAY_MIN ? clock(minutes) : format(at(minutes), minutes < NAMED_MIN ? 'EEE HH:mm' : 'EEE d MMM HH:mm')
  return {
    from,
    to,
    hours,
    week,
    weekRead,
    writeHours,
    shifts,
    begun,
    midnight,
    notBefore,
    running,
    around,
    at,
    clock,
    dayName,
    when,
  }
}
