import { describe, expect, it } from 'vitest'
import { sunsetMs } from './daylight'

describe('the setting of the sun', () => {
  const at = (text: string, latitude: number, longitude: number) => sunsetMs(Date.parse(text), latitude, longitude)
  it.each([
    // The Astronomical Almanac's sunsets for Greenwich's latitude, to the minute, from memory.
    ['midsummer at 51.5° N', '2026-06-21T12:00:00Z', 51.5, 0, '2026-06-21T20:21:00Z'],
    ['midwinter at 51.5° N', '2026-12-21T12:00:00Z', 51.5, 0, '2026-12-21T15:53:00Z'],
    ['the equinox at the equator', '2026-03-20T12:00:00Z', 0, 0, '2026-03-20T18:11:00Z'],
  ])('is within five minutes of the almanac: %s', (_, day, latitude, longitude, sets) =>
    expect(Math.abs(at(day, latitude, longitude)! - Date.parse(sets))).toBeLessThan(5 * 60_000),
  )
  it('does not come where the sun stays up or down all day', () => {
    expect(at('2026-06-21T12:00:00Z', 75, 20)).toBeNull()
    expect(at('2026-12-21T12:00:00Z', 75, 20)).toBeNull()
  })
  it('comes earlier the further east, four minutes a degree', () =>
    expect((at('2026-09-01T12:00:00Z', 45, 0)! - at('2026-09-01T12:00:00Z', 45, 10)!) / 60_000).toBeCloseTo(40, 0))
})
