import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ampsNeed } from '../arc/amps'
import { questions } from '../questions'
import { FAMILY_IDS, familyById } from '../metal/families.table'
import { findAlloy } from '../metal/find-alloy'
import { chooseFiller, type Service } from './filler'
import { judge } from './judge'
import { EARLIER_POINTS, SAFETY_CRITICAL } from './judge.table'
import { chooseProcess } from './process'
import { SOAKS } from './process.table'
import { runningTotals } from './running-totals'

const PLAIN: Service = { maxC: 20, anodised: false, saltWater: false, load: 'static', heatTreatAfter: false }
const ranked = (base: string, service: Partial<Service> = {}) =>
  chooseFiller(findAlloy(base)!, findAlloy(base)!, { ...PLAIN, ...service }, 30).ranked
const first = (base: string, service: Partial<Service> = {}) => ranked(base, service)[0]!
const verdict = (base: string, filler: string, service: Partial<Service> = {}) =>
  ranked(base, service).find(entry => entry.filler === filler)!.verdict

describe('filler', () => {
  // AWS A5.10 annex and ASM Handbook vol. 6, selection charts, from memory: first choice for the alloy joined to
  // itself.
  it.each([
    ['1100', '4043'],
    ['3003', '4043'],
    ['5005', '4043'],
    ['5052', '5356'],
    ['5083', '5183'],
    ['5086', '5356'],
    ['5154', '5356'],
    ['5454', '5554'],
    ['6061', '4043'],
    ['6063', '4043'],
    ['6005A', '4043'],
    ['6082', '4043'],
    ['7005', '5356'],
    ['7020', '5356'],
    ['2219', '2319'],
    ['356', '4043'],
    ['A356', '4043'],
    ['357', '4043'],
    ['443', '4043'],
    ['413', '4043'],
    ['514', '5356'],
    ['535', '5356'],
  ])('%s takes %s', (base, filler) => {
    expect(first(base)).toMatchObject({ filler, verdict: 'first' })
  })
  // The same charts, unlike alloys joined.
  it.each([
    ['6061', '356', '4043'],
    ['6063', '443', '4043'],
    ['3003', '6061', '4043'],
    ['1100', '3003', '4043'],
    ['5052', '5083', '5356'],
    ['5086', '5083', '5356'],
    ['7005', '5052', '5356'],
  ])('%s to %s takes %s', (a, b, filler) => {
    expect(chooseFiller(findAlloy(a)!, findAlloy(b)!, PLAIN, 30).ranked[0]).toMatchObject({ filler, verdict: 'first' })
  })
  it('keeps magnesium fillers from hot service', () => {
    expect(verdict('6061', '5356', { maxC: 90 })).toBe('never')
    expect(verdict('6061', '5554', { maxC: 90 })).not.toBe('never')
  })
  it('takes 5356 where it will be anodised, and says why not 4043', () => {
    expect(first('6061', { anodised: true }).filler).toBe('5356')
    expect(
      ranked('6061', { anodised: true })
        .find(entry => entry.filler === '4043')!
        .reasons.join(),
    ).toMatch(/dark/)
  })
  it('takes 5356 for a frame under repeated load', () => expect(first('6061', { load: 'cyclic' }).filler).toBe('5356'))
  it('avoids silicon fillers on 5083, copper in salt water, and mending 7075', () => {
    expect(verdict('5083', '4043')).toBe('avoid')
    expect(verdict('356', '4145', { saltWater: true })).toBe('avoid')
    for (const entry of ranked('7075')) expect(['avoid', 'never']).toContain(entry.verdict)
    for (const entry of ranked('AZ91D')) expect(entry.verdict).toBe('never')
  })
  it('gives every avoid and never a reason', () => {
    for (const base of ['2024', '5083', '6061', '7075', '380', 'AZ91D']) {
      for (const entry of ranked(base, { maxC: 120, anodised: true, saltWater: true, heatTreatAfter: true }))
        if (entry.verdict === 'avoid' || entry.verdict === 'never') expect(entry.reasons.length).toBeGreaterThan(0)
    }
  })
})

describe('process', () => {
  const input = {
    wallMm: 8,
    family: familyById('cast-al-si-mg')!,
    soak: 'oil-soaked' as const,
    load: 'seal' as const,
    watertight: true,
    access: 'open' as const,
    areaMm2: 900,
    count: 1,
  }
  it('puts AC TIG first on a dirty casting, MIG behind it (common practice, no source)', () => {
    const { ranked } = chooseProcess({ ...input, kit: [] })
    expect(ranked[0]).toMatchObject({ process: 'ac-tig', verdict: 'first' })
    expect(ranked.find(entry => entry.process === 'mig-pulse')!.score).toBeLessThan(ranked[0]!.score)
  })
  it('offers a gas torch and no welder the rod', () => {
    const { ranked } = chooseProcess({
      ...input,
      wallMm: 4,
      soak: 'dry',
      watertight: false,
      load: 'static',
      kit: [{ process: 'zinc-rod-braze' }],
    })
    expect(ranked[0]).toMatchObject({ process: 'zinc-rod-braze', verdict: 'first' })
    expect(ranked.filter(entry => entry.process !== 'zinc-rod-braze').every(entry => entry.verdict === 'never')).toBe(
      true,
    )
  })
  it('knows that 140 A reaches 8 mm only with preheat, and 20 mm not at all', () => {
    const kit = [{ process: 'ac-tig' as const, maxA: 140 }]
    expect(chooseProcess({ ...input, kit }).ranked[0]).toMatchObject({ process: 'ac-tig', needsPreheat: true })
    expect(chooseProcess({ ...input, wallMm: 20, kit }).ranked.find(entry => entry.process === 'ac-tig')!.verdict).toBe(
      'never',
    )
  })
  it('counts the rests that the duty forces over the arc minutes (IEC 60974-1)', () => {
    const kit = [{ process: 'ac-tig' as const, maxA: 200, ratedA: 200, dutyPct: 25 }]
    const at = (arcMin: number | undefined) => chooseProcess({ ...input, wallMm: 5, kit, arcMin }).ranked[0]!.minutes
    const duty = (25 * (200 / Math.min(200, ampsNeed(5, 20, 'ac-tig', 'flat').a)) ** 2) / 100
    expect(at(8)! - at(undefined)!).toBeCloseTo(((8 - 10 * duty) / duty) * (1 - duty), 6)
  })
  it('will not arc on magnesium', () =>
    expect(
      chooseProcess({ ...input, family: familyById('magnesium')!, kit: [] }).ranked.every(
        entry => entry.verdict === 'never',
      ),
    ).toBe(true))
})

describe('mend or not', () => {
  it('has parts that add up, whatever goes in', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAMILY_IDS),
        fc.constantFrom(...SOAKS),
        fc.constantFrom(...(Object.keys(EARLIER_POINTS) as (keyof typeof EARLIER_POINTS)[])),
        fc.constantFrom('seal' as const, 'static' as const, 'cyclic' as const),
        fc.constantFrom(...SAFETY_CRITICAL),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        (id, soak, earlierRepair, load, safetyCritical, wallMm) => {
          const judged = judge({
            families: [{ id, probability: 1 }],
            soak,
            earlierRepair,
            load,
            safetyCritical,
            wallMm,
          })
          const sum = judged.parts.reduce((total, part) => total + part.effect, 0)
          const bars = runningTotals(judged.parts)
          return (
            Math.abs(sum - judged.chancePct) < 0.2 &&
            Math.abs(bars.at(-1)!.to - sum) < 1e-9 &&
            judged.chancePct > 0 &&
            judged.chancePct < 100 &&
            (safetyCritical === 'none' || judged.verdict === 'refer')
          )
        },
      ),
      { seed: 4 },
    )
  })
  it('agrees with the trade on what never held oil and what held it for decades (common practice, no source)', () => {
    const of = (soak: 'dry' | 'oil-soaked') =>
      judge({
        families: [{ id: 'cast-al-si-mg', probability: 1 }],
        soak,
        earlierRepair: 'none',
        load: 'static',
        safetyCritical: 'none',
        wallMm: 6,
      })
    expect(of('dry').chancePct).toBeGreaterThan(90)
    expect(of('dry').verdict).toBe('repair')
    expect(of('oil-soaked').verdict).toBe('repair-with-limits')
  })
  it('counts the cause, and bears a dearer repair where a new one is months away', () => {
    const of = (more: object) =>
      judge({
        families: [{ id: 'cast-al-si', probability: 1 }],
        soak: 'dry',
        earlierRepair: 'none',
        load: 'static',
        safetyCritical: 'none',
        wallMm: 6,
        ...more,
      })
    expect(of({ cause: 'unknown' }).chancePct).toBeLessThan(of({ cause: 'put-right' }).chancePct)
    expect(of({ newPrice: 100, repairPrice: 90 }).verdict).toBe('decline')
    expect(of({ newPrice: 100, repairPrice: 90, newWeeks: 14 }).verdict).toBe('repair')
  })
  it('names limits wherever it mends with limits', () => {
    for (const load of ['seal', 'cyclic'] as const)
      expect(
        judge({
          families: [{ id: 'cast-al-si', probability: 1 }],
          soak: 'oil-soaked',
          earlierRepair: 'none',
          load,
          safetyCritical: 'none',
          wallMm: 6,
        }).limits.length,
      ).toBeGreaterThan(0)
  })
  it('declines magnesium, and what costs as much as new', () => {
    const of = (id: 'magnesium' | 'cast-al-si', repairPrice: number) =>
      judge({
        families: [{ id, probability: 1 }],
        soak: 'dry',
        earlierRepair: 'none',
        load: 'static',
        safetyCritical: 'none',
        wallMm: 6,
        newPrice: 100,
        repairPrice,
      }).verdict
    expect(of('magnesium', 10)).toBe('decline')
    expect(of('cast-al-si', 95)).toBe('decline')
    expect(of('cast-al-si', 25)).toBe('repair')
  })
  it('raises the stop caution of a safety-critical part', () => {
    const asked = questions.ask('repair.judge', {
      family: 'wrought-6xxx',
      soak: 'dry',
      earlierRepair: 'none',
      load: 'cyclic',
      safetyCritical: 'lifting',
      wallMm: 6,
    })
    expect(asked.ok && asked.cautions[0]).toMatchObject({ code: 'safety-lifting', level: 'stop' })
  })
})
