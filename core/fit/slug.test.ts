import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findAlloy } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { questions } from '../questions'
import { gapClock } from './gap-clock'
import { shrinkFit } from './shrink'
import { planSlug, type SlugInput } from './slug'
import { LEAST_GROOVE_MM, weldGroove } from './weld-groove'

const body = findAlloy('356')!
const slug = findAlloy('6061')!
const input: SlugInput = {
  threadMajorMm: 10,
  bossMm: 34,
  depthMm: 22,
  body,
  slug,
  clearanceMm: 0.02,
  cold: 'freezer',
  serviceC: 60,
  chamferMm: 2.5,
  facedMm: 0.5,
}
const shrink = {
  diameterMm: 19,
  interferenceMm: 0.03,
  clearanceMm: 0.02,
  hub: mechanicalOf(body),
  slug: mechanicalOf(slug),
  slugC: -18,
  ambientC: 20,
  hubC: 110,
  slugDensityGcm3: 2.7,
  slugHeatJkgK: 896,
  lengthMm: 20,
}

describe('the clock of the fit', () => {
  it('comes to the seconds of the shrink fit where the body stays hot: the march against the integral', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 50, noNaN: true }),
        fc.double({ min: 100, max: 200, noNaN: true }),
        fc.constantFrom(-75, -18, 0),
        (diameterMm, hubC, slugC) => {
          const one = { ...shrink, diameterMm, interferenceMm: 0.0015 * diameterMm, hubC, slugC }
          const { secondsToSeize, gapAtMm } = shrinkFit(one)
          if (gapAtMm < 0.004) return true
          return Math.abs(gapClock(one).seizesS! / secondsToSeize - 1) < 0.05
        },
      ),
      { seed: 101, numRuns: 60 },
    )
  })
  it('is shorter where the body cools, and the gap only ever closes', () => {
    const hot = gapClock(shrink)
    const cooling = gapClock(shrink, { massKg: 0.05, heatJkgK: 900, areaMm2: 20_000, filmWm2K: 20 })
    expect(cooling.seizesS!).toBeLessThan(hot.seizesS!)
    for (let n = 1; n < hot.points.length; n++)
      expect(hot.points[n]!.gapMm).toBeLessThanOrEqual(hot.points[n - 1]!.gapMm)
    expect(hot.points.length).toBeLessThanOrEqual(125)
  })
  it('is over before it begins where there is no gap', () =>
    expect(gapClock({ ...shrink, hubC: 20, slugC: 20 }).seizesS).toBe(0))
})

describe('the weld groove of two chamfers', () => {
  it('is what facing leaves, and its section a triangle each', () =>
    expect(weldGroove(3, 2.5, 1)).toMatchObject({
      deepMm: 2,
      wideMm: 3.5,
      areaMm2: (4 + 2.25) / 2,
      enough: true,
      leastChamferMm: 1 + LEAST_GROOVE_MM,
    }))
  it('says when too little is left, and refuses none at all', () => {
    expect(weldGroove(2, 2, 1).enough).toBe(false)
    expect(() => weldGroove(2, 2, 2)).toThrow('nothing holds the rim')
  })
})

describe('a slug', () => {
  it("takes the trade's interference on 19 mm where the wall bears it: 0.025 to 0.04 mm (common practice, no source)", () => {
    const plan = planSlug({ ...input, bossMm: 60, slugMm: 19 })
    expect(plan.interferenceMm).toBeGreaterThanOrEqual(0.025)
    expect(plan.interferenceMm).toBeLessThanOrEqual(0.04)
    expect(plan.cold.yieldFactor).toBeGreaterThan(1)
  })
  it('takes less on a thin wall, never yields by its own choice, and stops before what lies beneath', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 24, noNaN: true }),
        fc.double({ min: 1.9, max: 5, noNaN: true }),
        fc.double({ min: 3, max: 60, noNaN: true }),
        (threadMajorMm, boss, beneathMm) => {
          const plan = planSlug({ ...input, threadMajorMm, bossMm: threadMajorMm * boss, beneathMm })
          return (
            plan.boreDeepMm <= beneathMm - 1 + 1e-9 &&
            plan.boreDeepMm <= input.depthMm &&
            plan.turnToMm > plan.slugMm &&
            plan.interferenceMm <= 0.0017 * plan.slugMm + 1e-9
          )
        },
      ),
      { seed: 102, numRuns: 60 },
    )
  })
  it('holds less when hot where the body grows more than the slug, and softens', () => {
    const { cold, hot } = planSlug({ ...input, serviceC: 140 })
    expect(hot!.interferenceMm).toBeGreaterThan(0)
    expect(hot!.yieldFactor).not.toBe(cold.yieldFactor)
    expect(
      planSlug({ ...input, body: findAlloy('535')!, slug: findAlloy('390')!, interferenceMm: 0.01, serviceC: 250 }).hot,
    ).toBeNull()
  })
  it('asks less heat of the body the colder the slug', () => {
    const heats = planSlug(input).ways.map(way => way.hubC)
    for (let n = 1; n < heats.length; n++) expect(heats[n]!).toBeLessThan(heats[n - 1]!)
  })
  it.each([
    [{ bossMm: 16 }, 'no wall'],
    [{ slugMm: 9 }, 'no larger than its thread'],
    [{ beneathMm: 0.5 }, 'no depth'],
    [{ facedMm: 3 }, 'nothing holds the rim'],
    [{ hubC: -40 }, 'hotter than the hub'],
  ])('gives a plain reason for %j', (wrong, reason) => {
    const asked = questions.ask('fit.slug', { threadMajorMm: 10, bossMm: 34, depthMm: 22, bodyAlloy: '356', ...wrong })
    expect(asked).toMatchObject({ ok: false, error: { kind: 'no-answer', reason: expect.stringContaining(reason) } })
  })
})

it('going in looser, there is longer: as the gap squared over the difference in heat, which is how conduction through a closing air gap runs', () => {
  const plan = planSlug(input)
  const [gapTimes, hotterTimes] = [plan.looser.clearanceMm / 0.02, (plan.looser.hubC + 18) / (plan.shrink.hubC + 18)]
  expect(plan.looser.hubC).toBeGreaterThan(plan.shrink.hubC)
  expect(plan.looser.seizesS! / plan.clock.seizesS!).toBeGreaterThan((0.75 * gapTimes ** 2) / hotterTimes)
  expect(plan.looser.seizesS! / plan.clock.seizesS!).toBeLessThan((1.25 * gapTimes ** 2) / hotterTimes)
})
