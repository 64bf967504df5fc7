import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { ampsNeed } from './amps'
import { DIAL_READINGS, dialForBalance, readBalance } from './balance'
import { dutyAt, elapsedMin } from './duty'
import { gasUse } from './gas'
import { acWave, wavePoints } from './wave'

describe('the AC wave', () => {
  it('averages 300 A for 350 negative, 225 positive, 60 % (common practice, no source)', () =>
    expect(acWave(350, 225, 60, 100).averageA).toBeCloseTo(300, 9))
  it('agrees with integration of the wave that is drawn', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 5, max: 95, noNaN: true }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        (en, ep, pct, hz) => {
          const points = wavePoints(en, ep, pct, hz)
          const integral = (f: (a: number) => number) =>
            points.slice(1).reduce((sum, point, i) => sum + f(points[i]!.a) * (point.ms - points[i]!.ms), 0) /
            points.at(-1)!.ms
          const wave = acWave(en, ep, pct, hz)
          return (
            Math.abs(integral(Math.abs) - wave.averageA) < 1e-6 * wave.averageA &&
            Math.abs(Math.sqrt(integral(a => a * a)) - wave.rmsA) < 1e-6 * wave.rmsA &&
            Math.abs(wave.enMs + wave.epMs - 1000 / hz) < 1e-9
          )
        },
      ),
      { seed: 13 },
    )
  })
})

describe('balance dials', () => {
  it('reads the three conventions', () => {
    expect(readBalance(70, 'en-share')).toMatchObject({ enPct: 70, epPct: 30 })
    expect(readBalance(30, 'cleaning-share')).toMatchObject({ enPct: 70, epPct: 30 })
    expect(readBalance(-40, 'ep-minus-en')).toMatchObject({ enPct: 70, epPct: 30 })
  })
  it('goes round on every dial', () => {
    for (const reads of DIAL_READINGS)
      for (let en = 0; en <= 100; en += 5)
        expect(readBalance(dialForBalance(en, reads), reads).enPct).toBeCloseTo(en, 12)
  })
  it('refuses a figure the dial does not have', () => {
    expect(questions.ask('machine.balance', { value: -40, reads: 'en-share' })).toMatchObject({
      ok: false,
      error: { issues: [{ path: 'value' }] },
    })
  })
})

describe('duty', () => {
  it('keeps duty × current² (IEC 60974-1): 200 A at 25 % is 51 % at 140 A', () =>
    expect(dutyAt(200, 25, 140, 10).dutyPct).toBeCloseTo(25 * (200 / 140) ** 2, 9))
  it('never passes 100 %, and the window is shared between arc and rest', () => {
    expect(dutyAt(200, 60, 50, 10)).toMatchObject({ dutyPct: 100, weldMin: 10, restMin: 0 })
    const half = dutyAt(200, 35, 200, 10)
    expect(half.weldMin + half.restMin).toBe(10)
  })
  it('counts the rests between windows, none after the last', () => {
    expect(elapsedMin(6, { weldMin: 3, restMin: 7 })).toBe(13)
    expect(elapsedMin(2, { weldMin: 3, restMin: 7 })).toBe(2)
    expect(elapsedMin(30, { weldMin: 10, restMin: 0 })).toBe(30)
  })
})

describe('current', () => {
  // All of these: common practice, no source.
  it('is about 40 A a millimetre on thin walls', () => {
    for (const wall of [1, 2, 3, 4]) expect(ampsNeed(wall, 20, 'ac-tig', 'flat').a / (40 * wall)).toBeCloseTo(1, 1)
  })
  it('is about 300 A for half an inch, cold', () => expect(ampsNeed(12.7, 20, 'ac-tig', 'flat').a).toBeCloseTo(300, -1))
  it('lets 140 A melt in on preheated castings of 6 to 10 mm', () => {
    for (const wall of [6, 8, 10]) expect(ampsNeed(wall, 150, 'ac-tig', 'flat').lowA).toBeLessThanOrEqual(140)
  })
  it('falls with preheat and rises with the wall', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 400, noNaN: true }),
        (wall, start) =>
          ampsNeed(wall, start + 50, 'ac-tig', 'flat').a < ampsNeed(wall, start, 'ac-tig', 'flat').a &&
          ampsNeed(wall * 1.1, start, 'ac-tig', 'flat').a > ampsNeed(wall, start, 'ac-tig', 'flat').a,
      ),
      { seed: 14 },
    )
  })
})

describe('gas and dial', () => {
  it('is flow × time with every post-flow', () =>
    expect(gasUse({ flowLMin: 7, arcMin: 8, postflowS: 15, starts: 4, cylinderL: 2000 })).toMatchObject({
      litres: expect.closeTo(63, 9),
      cylinderShare: expect.closeTo(0.0315, 9),
    }))
  it('is a straight line on a dial', () =>
    expect(questions.ask('machine.dial', { lowA: 10, highA: 210, dialPct: 50 })).toMatchObject({ answer: { a: 110 } }))
  it('has no answer for a range turned round', () =>
    expect(questions.ask('machine.dial', { lowA: 210, highA: 10, dialPct: 50 })).toMatchObject({
      ok: false,
      error: { kind: 'no-answer' },
    }))
})
