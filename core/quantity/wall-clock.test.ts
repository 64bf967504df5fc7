import { format, parseISO, startOfDay } from 'date-fns'
import { afterAll, describe, expect, it } from 'vitest'
import { atWallMinute, wallMinutes } from './wall-clock'

/**
 * Days on which the clock is put forward and back in 2026. Source: the IANA time zone database, as Node ships it; the
 * days themselves from memory and seen by their length.
 */
const ZONES = [
  ['Europe/Berlin', '2026-03-29', '2026-10-25', 60],
  ['America/New_York', '2026-03-08', '2026-11-01', 60],
  ['Australia/Lord_Howe', '2026-10-04', '2026-04-05', 30],
  ['Pacific/Auckland', '2026-09-27', '2026-04-05', 60],
  ['Asia/Tokyo', '2026-03-29', '2026-10-25', 0],
] as const
const before = process.env.TZ
afterAll(() => {
  if (before === undefined) delete process.env.TZ
  else process.env.TZ = before
})

describe.each(ZONES)('the wall clock in %s', (zone, forward, back, byMin) => {
  const day = (iso: string) => {
    process.env.TZ = zone
    return startOfDay(parseISO(iso))
  }
  it('begins the day at eight when it begins at eight, on either day that the clock is changed', () => {
    for (const iso of [forward, back]) {
      const midnight = day(iso)
      expect(format(atWallMinute(480, midnight), 'yyyy-MM-dd HH:mm')).toBe(`${iso} 08:00`)
      expect(wallMinutes(atWallMinute(480, midnight), midnight)).toBe(480)
    }
  })
  it('counts the days after it by the wall too', () => {
    const midnight = day(forward)
    const elapsedMin = (atWallMinute(1440 + 480, midnight).getTime() - midnight.getTime()) / 60_000
    expect(elapsedMin).toBe(1440 + 480 - byMin)
    expect(format(atWallMinute(7 * 1440 + 510, midnight), 'HH:mm')).toBe('08:30')
    expect(wallMinutes(atWallMinute(7 * 1440 + 510, midnight), midnight)).toBe(7 * 1440 + 510)
  })
  it('and those before it', () => expect(wallMinutes(atWallMinute(-930, day(back)), day(back))).toBe(-930))
})
