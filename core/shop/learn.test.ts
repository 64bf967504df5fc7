import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { learn, successRate, timeRatio, oddsOf } from './learn'

describe('success rates', () => {
  it("have Jeffreys' interval: 90 % of 0 in 10 and 5 in 10 (Brown, Cai and DasGupta 2001, by the beta distribution)", () => {
    expect(successRate(0, 10)).toMatchObject({ lowPct: 0, highPct: expect.closeTo(17.1, 0) })
    const half = successRate(5, 10)
    expect(half.ratePct).toBeCloseTo(50, 9)
    expect(half.lowPct + half.highPct).toBeCloseTo(100, 6)
    expect(half.lowPct).toBeCloseTo(26.3, 0)
  })
  it('say little from one job, and hold the rate between their ends', () => {
    expect(successRate(1, 1).lowPct).toBeLessThan(25)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.double({ min: 0, max: 1, noNaN: true }), (jobs, share) => {
        const { lowPct, ratePct, highPct } = successRate(Math.round(jobs * share), jobs)
        return lowPct <= ratePct && ratePct <= highPct && lowPct >= 0 && highPct <= 100
      }),
      { seed: 3 },
    )
  })
  it('cover what is true nine times in ten', () => {
    let state = 9
    const random = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31
    let held = 0
    for (let trial = 0; trial < 2000; trial++) {
      const successes = Array.from({ length: 12 }, () => random() < 0.8).filter(Boolean).length
      const { lowPct, highPct } = successRate(successes, 12)
      if (lowPct <= 80 && highPct >= 80) held += 1
    }
    expect(held / 2000).toBeGreaterThan(0.84)
    expect(held / 2000).toBeLessThan(0.96)
  })
})

describe('time ratios', () => {
  it("are the geometric mean drawn towards one, with Student's interval", () => {
    const found = timeRatio([1.2, 1.2, 1.2, 1.2])!
    expect(found.ratio).toBeCloseTo(1.2 ** (4 / 6), 9)
    expect([found.low, found.high]).toEqual([expect.closeTo(1.2, 9), expect.closeTo(1.2, 9)])
    // t(0.95, 3) = 2.353.
    const two = timeRatio([1, Math.E ** 2, 1, Math.E ** 2])!
    expect(Math.log(two.high!) - 1).toBeCloseTo((2.353 * Math.sqrt(4 / 3)) / 2, 2)
  })
  it('have no interval from one job, and are nothing from none', () => {
    expect(timeRatio([1.5])).toMatchObject({ low: null, high: null })
    expect(timeRatio([])).toBeNull()
  })
})

describe('log.learn', () => {
  const records = [
    { success: true, family: 'cast-al-si-mg', process: 'ac-tig', soak: 'oily', plannedMin: 60, actualMin: 75 },
    { success: true, family: 'cast-al-si-mg', process: 'ac-tig', soak: 'dry', plannedMin: 40, actualMin: 44 },
    {
      success: false,
      family: 'die-cast-al-si-cu',
      process: 'ac-tig',
      soak: 'oil-soaked',
      plannedMin: 90,
      actualMin: 150,
    },
  ]
  it('groups by family, process and soak, each with how many jobs it rests on', () => {
    const { all, groups } = learn(records)
    expect(all).toMatchObject({ jobs: 3, successes: 2 })
    expect(groups[0]).toMatchObject({ by: 'process', value: 'ac-tig', jobs: 3 })
    expect(groups.filter(group => group.by === 'soak')).toHaveLength(3)
  })
  it('has nothing to teach an empty shop, and says so', () =>
    expect(questions.ask('log.learn', { records: [] })).toMatchObject({ ok: false, error: { kind: 'no-answer' } }))
  it('answers the same as records in another order', () =>
    expect(questions.ask('log.learn', { records: records.toReversed() })).toEqual(
      questions.ask('log.learn', { records }),
    ))
})

describe('odds of a shop', () => {
  it('are what came out over what was foretold, drawn towards nothing by ten jobs', () => {
    expect(oddsOf([])).toBeNull()
    const held = Array.from({ length: 30 }, () => ({ chancePct: 80, held: true }))
    expect(oddsOf(held)).toEqual({ points: (30 * 20) / 40, jobs: 30 })
    expect(oddsOf([{ chancePct: 90, held: false }])!.points).toBeCloseTo(-90 / 11, 9)
  })
})
