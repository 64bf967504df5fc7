import { describe, expect, it } from 'vitest'
import { findAlloy } from '../metal/find-alloy'
import { questions } from '../questions'
import { migSetup, MIG_MODES } from './mig'
import { tigSetup } from './setup'
import { TUNGSTENS } from './setup.table'

const set = (a: number, change: object = {}) =>
  tigSetup({ a, position: 'flat', school: 'middle', metal: 'dirty', ...change })

describe('a TIG machine set for a current', () => {
  it('takes 2.4 mm all round and leaves 1.6 mm before 200 A (common practice, no source)', () => {
    for (const a of [110, 140, 180, 195]) expect(set(a).tungstenMm).toBe(2.4)
    expect(set(190).tungstens.map(entry => entry.mm)).not.toContain(1.6)
    expect(set(60).tungstenMm).toBe(1.6)
    expect(set(240).tungstenMm).toBe(3.2)
  })
  it('always takes one that stands the current, AWS A5.12 ranges from memory', () => {
    for (let a = 10; a <= 450; a += 5) {
      const found = set(a)
      const row = TUNGSTENS.find(entry => entry.mm === found.tungstenMm)!
      expect(a >= row.lowA && a <= row.highA, `${a} A on ${row.mm} mm`).toBe(true)
    }
    expect(() => set(600)).toThrow(/past what/)
  })
  it('7 L/min with No. 5–6, 15 s of post-flow at full output and 5 s at 70 A (common practice, no source)', () => {
    expect(set(160)).toMatchObject({ cup: 6, gasLMin: 7 })
    expect(set(200).postflowS).toBeCloseTo(15, 6)
    expect(set(70).postflowS).toBeCloseTo(5, 6)
  })
  it('names each school with its range', () => {
    expect(set(150, { school: 'low' }).frequencyHz).toBe(65)
    expect(set(150, { school: 'high' })).toMatchObject({
      frequencyHz: 140,
      schools: {
        frequency: { low: { lowHz: 50, highHz: 80 } },
        balance: { dirty: { lowPct: 60, highPct: 70 }, clean: { lowPct: 70, highPct: 73 } },
      },
    })
  })
  it('sends MIG elsewhere', () =>
    expect(questions.ask('machine.setup', { process: 'mig-spool', a: 100 })).toMatchObject({
      ok: false,
      error: { kind: 'no-answer', reason: expect.stringContaining('mig.setup') },
    }))
})

describe('a MIG gun set for a wall', () => {
  const filler = findAlloy('4043')!
  it("is a spool gun's 17 V and 344 in/min on 3 mm tread plate, cold (common practice, no source)", () => {
    const { v, wireMMin } = migSetup({ wireMm: 0.9, filler, wallMm: 3, mode: 'cold' })
    expect(v).toBeGreaterThan(16)
    expect(v).toBeLessThan(18)
    expect(wireMMin / 0.0254).toBeGreaterThan(344 * 0.85)
    expect(wireMMin / 0.0254).toBeLessThan(344 * 1.15)
  })
  it('keeps the metal: what is deposited is the wire that went in', () => {
    for (const mode of MIG_MODES) {
      const { depositGMin, wireMMin } = migSetup({ wireMm: 1.2, filler, wallMm: 6, mode })
      expect(((wireMMin * Math.PI) / 4) * 1.2 ** 2 * filler.densityGcm3).toBeCloseTo(depositGMin, 9)
    }
  })
  it('runs magnesium wire faster, thicker wire slower, and says when it would not spray', () => {
    const feed = (wireMm: number, name: string) =>
      migSetup({ wireMm, filler: findAlloy(name)!, wallMm: 5, mode: 'spray' }).wireMMin
    expect(feed(1.2, '5356')).toBeGreaterThan(feed(1.2, '4043'))
    expect(feed(1.6, '4043')).toBeLessThan(feed(1.2, '4043'))
    expect(questions.ask('mig.setup', { wireMm: 1.6, wallMm: 2 })).toMatchObject({
      ok: true,
      cautions: expect.arrayContaining([expect.objectContaining({ code: 'no-spray' })]),
    })
    expect(questions.ask('mig.setup', { wireMm: 0.8, wallMm: 20 })).toMatchObject({
      ok: false,
      error: { kind: 'no-answer' },
    })
  })
})
