import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import type { BrazePlan } from './plan'

const plan = (change: object = {}) => {
  const asked = questions.ask('braze.plan', {
    baseAlloy: '356',
    rod: 'zinc-al',
    massKg: 0.6,
    areaMm2: 60_000,
    sourceW: 3000,
    ...change,
  })
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as BrazePlan
}

describe('brazing', () => {
  it('zinc rod has well over 100 K of room on any aluminium casting', () => {
    for (const baseAlloy of ['356', '319', '380', '413', '6061', '5083'])
      expect(plan({ baseAlloy }).marginToSolidusC, baseAlloy).toBeGreaterThan(100)
    expect(plan().verdict).toBe('good')
  })
  it("aluminium-silicon rod melts above a casting's solidus and is refused; on 3003 it is the usual thing (AWS C3.7, from memory)", () => {
    expect(plan({ rod: '4047' })).toMatchObject({
      verdict: 'refused',
      reason: expect.stringContaining('begins to melt at'),
    })
    expect(plan({ rod: '718', baseAlloy: '380' }).verdict).toBe('refused')
    expect(plan({ rod: '718', baseAlloy: '3003' })).toMatchObject({ verdict: 'good', workingC: expect.any(Number) })
    // Brazing range of BAlSi-4 by AWS A5.8, from memory: 582–604 °C.
    expect(plan({ rod: '718', baseAlloy: '3003' }).workingC).toBeGreaterThanOrEqual(582)
    expect(plan({ rod: '718', baseAlloy: '3003' }).workingC).toBeLessThanOrEqual(604)
  })
  it('6061 by 4047 has no room; flux does not wet a magnesium alloy', () => {
    expect(plan({ rod: '4047', baseAlloy: '6061' }).verdict).toBe('refused')
    expect(plan({ rod: '4047', baseAlloy: '5052' }).verdict).toBe('refused')
  })
  it('says when the flame is too small for the mass, and what would do', () => {
    const small = plan({ massKg: 8, areaMm2: 600_000, sourceW: 1500 })
    expect(small).toMatchObject({ verdict: 'too-cold', reaches: false })
    expect('timeS' in small).toBe(false)
    expect(small.reason).toMatch(/at least \d+ W of flame/)
    expect(plan({ massKg: 8, areaMm2: 600_000, sourceW: small.leastSourceW * 1.3 }).reaches).toBe(true)
  })
  it('cools a heavy part for hours (common practice, no source)', () =>
    expect(plan({ massKg: 25, areaMm2: 900_000, sourceW: 30_000 }).coolMin).toBeGreaterThan(120))
  it('is refused where it runs too hot', () =>
    expect(plan({ serviceC: 180 })).toMatchObject({
      verdict: 'refused',
      reason: expect.stringContaining('good to about'),
    }))
  it('warns of welding over zinc, and of salt', () =>
    expect(plan().cautions.map(entry => entry.code)).toEqual(
      expect.arrayContaining(['braze-no-fusion', 'braze-salt', 'braze-cool']),
    ))
})
