import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { equilibriumC, lossW, preheat, secondsBetween, temperatureCurve, type LumpedBody } from './lumped'

const BODY: LumpedBody = {
  massKg: 1.6,
  specificHeatJkgK: 900,
  areaMm2: 150_000,
  ambientC: 20,
  absorbedW: 700,
  filmWm2K: 10,
  emissivity: 0.2,
}

describe('preheat of one lump', () => {
  it('is the exponential of Incropera and DeWitt, ch. 5, where nothing radiates', () => {
    const body = { ...BODY, emissivity: 0 }
    const hA = 10 * 0.15
    const tau = (1.6 * 900) / hA
    const rise = 700 / hA
    for (const target of [60, 110, 200, 400]) {
      expect(secondsBetween(body, 20, target)).toBeCloseTo(-tau * Math.log(1 - (target - 20) / rise), 3)
    }
    for (const point of temperatureCurve(body, 20, 900))
      expect(point.c).toBeCloseTo(20 + rise * (1 - Math.exp(-point.s / tau)), 6)
  })
  it("follows a worked case: a copper sphere losing heat, Newton's law alone (closed form)", () => {
    const cooling = {
      massKg: 0.5,
      specificHeatJkgK: 385,
      areaMm2: 7000,
      ambientC: 25,
      absorbedW: 0,
      filmWm2K: 60,
      emissivity: 0,
    }
    expect(secondsBetween(cooling, 150, 60)).toBeCloseTo(((0.5 * 385) / (60 * 0.007)) * Math.log(125 / 35), 3)
  })
  it('closes its energy balance: what came in less what went out is what the lump holds, within 0.1 %', () => {
    const curve = temperatureCurve(BODY, 20, 1200, 1200)
    const lost = curve
      .slice(1)
      .reduce(
        (sum, point, i) => sum + ((lossW(BODY, point.c) + lossW(BODY, curve[i]!.c)) / 2) * (point.s - curve[i]!.s),
        0,
      )
    const held = 1.6 * 900 * (curve.at(-1)!.c - 20)
    expect((700 * 1200 - lost) / held).toBeCloseTo(1, 3)
  })
  it('agrees with itself: the curve passes the target when the integral says so', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 200, max: 4000, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (massKg, absorbedW, emissivity) => {
          const body = { ...BODY, massKg, absorbedW, emissivity }
          const target = 20 + (equilibriumC(body) - 20) * 0.6
          if (target > 600) return true
          const seconds = secondsBetween(body, 20, target)
          return Math.abs(temperatureCurve(body, 20, seconds, 200).at(-1)!.c - target) < 0.02
        },
      ),
      { numRuns: 40, seed: 12 },
    )
  })
  it('says where it settles when the torch is too small', () => {
    const cold = preheat({ ...BODY, absorbedW: 60 }, 20, 200)
    expect(cold.reaches).toBe(false)
    expect('timeS' in cold).toBe(false)
    expect(lossW({ ...BODY, absorbedW: 60 }, cold.equilibriumC)).toBeCloseTo(60, 6)
    expect(cold.equilibriumC).toBeLessThan(200)
  })
  it('takes no time for a part that is warm already', () =>
    expect(preheat(BODY, 120, 95)).toMatchObject({ reaches: true, timeS: 0 }))
  it('is near what the bench knows: five minutes of gas torch on a hand-sized bracket (common practice, no source)', () => {
    const asked = questions.ask('heat.preheat', {
      massKg: 1.2,
      areaMm2: 90_000,
      targetC: 110,
      sourceW: 2000,
      efficiencyPct: 30,
    })
    const seconds = asked.ok ? (asked.answer as { timeS: number }).timeS : 0
    expect(seconds).toBeGreaterThan(100)
    expect(seconds).toBeLessThan(420)
  })
  it('refuses a target in the melting range', () => {
    const asked = questions.ask('heat.preheat', {
      massKg: 1,
      alloy: '380',
      areaMm2: 90_000,
      targetC: 560,
      sourceW: 2000,
    })
    expect(asked).toMatchObject({ ok: false, error: { kind: 'invalid-input', issues: [{ path: 'targetC' }] } })
  })
})
