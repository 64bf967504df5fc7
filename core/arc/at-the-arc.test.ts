import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DIAL_READINGS, dialForBalance } from './balance'
import { copiedBalance } from './copied'
import { arcWithinMin, dutyLeft } from './duty-left'
import { halvesFor } from './halves'
import { acWave, wavePoints } from './wave'

describe('a copied balance', () => {
  it('names the trap: 32 is a cleaning share, not negative (common practice, no source)', () => {
    expect(copiedBalance(32, 'en-share')).toMatchObject({
      verdict: 'trap',
      dial: 68,
      asItStandsPct: 32,
      meant: { reads: 'cleaning-share', enPct: 68 },
    })
    expect(copiedBalance(32, 'cleaning-share')).toMatchObject({ verdict: 'same', dial: 32 })
    expect(copiedBalance(-36, 'en-share')).toMatchObject({ verdict: 'trap', dial: 68, asItStandsPct: null })
    expect(copiedBalance(70, 'cleaning-share')).toMatchObject({ verdict: 'trap', dial: 30, asItStandsPct: 30 })
    expect(copiedBalance(5, 'en-share')).toMatchObject({ verdict: 'unlikely', dial: null })
  })
  it("the trade's own: a dial that says 40 may mean the cleaning share (common practice, no source)", () => {
    expect(copiedBalance(40, 'en-share')).toMatchObject({
      verdict: 'trap',
      meant: { reads: 'cleaning-share' },
      dial: 60,
    })
  })
  it('sets on this dial what was meant, whichever the two conventions', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 56, max: 84 }),
        fc.constantFrom(...DIAL_READINGS),
        fc.constantFrom(...DIAL_READINGS),
        (enPct, theirs, mine) => {
          const found = copiedBalance(dialForBalance(enPct, theirs), mine)
          return found.meant === null
            ? found.verdict === 'either'
            : found.dial === dialForBalance(found.meant.enPct, mine)
        },
      ),
      { seed: 92 },
    )
  })
})

describe('halves set apart', () => {
  it('350 A negative and 225 A positive at 60 % is about 300 A on average (common practice, no source)', () =>
    expect(halvesFor(300, 225, 60).enA).toBeCloseTo(350, 0))
  it('keep the average, by integrating the drawn wave', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 50, max: 90 }),
        fc.integer({ min: 20, max: 250 }),
        fc.double({ min: 0.2, max: 1.2, noNaN: true }),
        (averageA, enPct, hz, share) => {
          const { enA, epA } = halvesFor(averageA, averageA * share, enPct)
          const points = wavePoints(enA, epA, enPct, hz, 1)
          let [area, squares, ms] = [0, 0, 0]
          for (let n = 1; n < points.length; n++) {
            const width = points[n]!.ms - points[n - 1]!.ms
            area += width * Math.abs(points[n]!.a)
            squares += width * points[n]!.a ** 2
            ms += width
          }
          const wave = acWave(enA, epA, enPct, hz)
          return (
            Math.abs(area / ms - averageA) < 1e-6 * averageA &&
            Math.abs(wave.averageA - averageA) < 1e-9 * averageA &&
            Math.abs(Math.sqrt(squares / ms) - wave.rmsA) < 1e-6 * wave.rmsA
          )
        },
      ),
      { seed: 93 },
    )
  })
  it('refuse a positive half that is more than the whole', () =>
    expect(() => halvesFor(100, 400, 60)).toThrow('already more'))
})

describe('duty that is left (IEC 60974-1: any ten minutes)', () => {
  const at = (min: number) => new Date(Date.UTC(2026, 10, 12, 9, 0, 0) + min * 60_000).toISOString()
  const now = (min: number) => Date.parse(at(min))
  it('counts only the arc of the last ten minutes, cut at its edges', () => {
    const spans = [
      { from: at(0), to: at(3) },
      { from: at(8), to: at(9) },
    ]
    expect(arcWithinMin(spans, now(9), 10)).toBeCloseTo(4, 9)
    expect(arcWithinMin(spans, now(12), 10)).toBeCloseTo(2, 9)
    expect(arcWithinMin(spans, now(30), 10)).toBe(0)
  })
  it('is all there before the first arc, and says how long to rest once it is used up', () => {
    expect(dutyLeft([], now(0), 3)).toEqual({ usedMin: 0, leftMin: 3, restMin: 0 })
    const used = dutyLeft([{ from: at(0), to: at(3) }], now(3), 3)
    expect(used.leftMin).toBe(0)
    // The first minute of arc leaves the window eleven minutes after it began: eight from now.
    expect(used.restMin).toBeCloseTo(8, 6)
  })
})
