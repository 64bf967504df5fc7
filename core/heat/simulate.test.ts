import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { leastSquares } from './least-squares'
import { temperatureCurve } from './lumped'
import type { Simulated } from './simulate'
import type { SimulateInput } from './simulate.schema'

const PLATE: SimulateInput = {
  shape: { kind: 'plate', lengthMm: 90, widthMm: 60, thickMm: 6 },
  cellMm: 3,
  alloy: '6061',
  durationS: 60,
  sources: [{ kind: 'torch', powerW: '2 kW', efficiencyPct: 30, atMm: [45, 30, 6], radiusMm: '15 mm' }],
  probes: [
    { name: 'under the torch', xMm: 45, yMm: 30, zMm: 6 },
    { name: 'corner', xMm: 0, yMm: 0, zMm: 0 },
  ],
}
const ask = (input: object) => questions.ask('heat.simulate', input)
const answered = (input: object) => {
  const asked = ask(input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked as typeof asked & { answer: Simulated & { wallMs: number } }
}
const reasonOf = (input: object) => {
  const asked = ask(input)
  return asked.ok
    ? ''
    : asked.error.kind === 'no-answer'
      ? asked.error.reason
      : asked.error.kind === 'invalid-input'
        ? `${asked.error.issues[0]!.path}: ${asked.error.issues[0]!.message}`
        : ''
}

describe('heat.simulate', () => {
  it('comes within 1 % of finite elements for a block and a rib on a plate that rests on a bench', () => {
    // By an independent finite-element program (CalculiX) on the same cells: k = 157.2 W/m·K, ρ = 2680 kg/m³, c = 963
    // J/kg·K; film 10 W/m²K and ε 0.2 where air reaches, contact 150 W/m²K below, 300 s.
    const FOUND: [number, number, number, number][] = [
      [20, 40, 7, 225.7],
      [60, 40, 31, 144.6],
      [118, 78, 1, 116.4],
      [100, 40, 23, 119.4],
      [60, 4, 4, 142.4],
    ]
    const box = (xMm: number, yMm: number, zMm: number) => ({ kind: 'box', xMm, yMm, zMm })
    const asked = questions.ask('heat.simulate', {
      shape: {
        kind: 'union',
        parts: [
          { shape: box(120, 80, 8) },
          { shape: box(40, 32, 24), atMm: [40, 24, 8] },
          { shape: box(8, 80, 16), atMm: [96, 0, 8] },
        ],
      },
      cellMm: 2,
      alloy: 'A356',
      durationS: 300,
      sources: [{ kind: 'torch', powerW: 900, efficiencyPct: 30, atMm: [20, 40, 8], radiusMm: 15 }],
      losses: { filmWm2K: 10, emissivity: 0.2, benchWm2K: 150 },
      probes: FOUND.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm })),
    })
    if (!asked.ok) throw new Error(JSON.stringify(asked))
    const { probes } = asked.answer as { probes: number[][] }
    FOUND.forEach(([, , , C], n) =>
      expect(Math.abs(probes[n]!.at(-1)! - C) / (C - 20), `${probes[n]!.at(-1)} for ${C}`).toBeLessThan(0.01),
    )
  })
  it('reads each probe from the start to the end, and closes its energy', () => {
    const { answer } = answered(PLATE)
    expect(answer.times).toHaveLength(121)
    expect([answer.times[0], answer.times.at(-1)]).toEqual([0, 60])
    expect(answer.probes.map(series => series.length)).toEqual([121, 121])
    expect(answer.probes[0]!.at(-1)).toBeGreaterThan(answer.probes[1]!.at(-1)! + 20)
    expect(answer.cells).toBe(30 * 20 * 2)
    expect(Math.abs(answer.imbalancePct)).toBeLessThan(0.5)
    expect(answer.peak).toBeGreaterThanOrEqual(answer.probes[0]!.at(-1)! - 1)
  })
  it("warms a small part as heat.preheat's lump does, given the same heat", () => {
    const { answer } = answered({
      ...PLATE,
      sources: [{ kind: 'volume', powerW: 200 }],
      durationS: 120,
      losses: { filmWm2K: 10, emissivity: 0.2 },
    })
    const lump = questions.ask('heat.preheat', {
      volumeMm3: 90 * 60 * 6,
      alloy: '6061',
      areaMm2: 2 * (90 * 60 + 90 * 6 + 60 * 6),
      targetC: answer.probes[1]!.at(-1),
      sourceW: 200,
      efficiencyPct: 100,
    })
    expect(lump.ok && (lump.answer as { timeS: number }).timeS).toBeCloseTo(120, 0)
  })
  it('lets a hot part cool with no source at all', () =>
    expect(answered({ ...PLATE, sources: [], startC: 200 }).answer.probes[0]!.at(-1)).toBeLessThan(200))
  it("an oven brings it to the oven's heat", () =>
    expect(
      answered({
        ...PLATE,
        sources: [{ kind: 'oven', airC: 120 }],
        losses: { filmWm2K: 40 },
        durationS: '2 h',
      }).answer.probes[1]!.at(-1),
    ).toBeCloseTo(120, 1))
  it('a source switched off early leaves off heating then', () => {
    const { answer } = answered({
      ...PLATE,
      sources: [{ kind: 'volume', powerW: 300, startS: 10, endS: 30 }],
      losses: { filmWm2K: 0, emissivity: 0 },
    })
    expect(answer.absorbedJ).toBeCloseTo(6000, 3)
    expect(answer.probes[1]![10]).toBeCloseTo(20, 3)
  })
  it.each<[string, object, RegExp]>([
    ['no source', { sources: [] }, /no source/],
    ['a source with no power', { sources: [{ kind: 'volume', powerW: 0 }] }, /no source with any power/],
    ['a target in the melting range', { targetC: 600 }, /targetC: 6061 begins to melt at 582/],
    [
      'a probe in the air',
      { probes: [{ name: 'the seal', xMm: 45, yMm: 30, zMm: 40 }] },
      /the seal .*lies outside the metal/,
    ],
    [
      'a torch that points past it',
      { sources: [{ kind: 'torch', powerW: 500, atMm: [400, 30, 6] }] },
      /points past the part/,
    ],
    ['a torch that points nowhere', { sources: [{ kind: 'torch', powerW: 500 }] }, /say where it points/],
    [
      'too many cells',
      { shape: { kind: 'box', xMm: 2000, yMm: 2000, zMm: 2000 }, cellMm: 1 },
      /least cell for this part is about/,
    ],
    [
      'a source that ends before it starts',
      { sources: [{ kind: 'volume', powerW: 10, startS: 9, endS: 3 }] },
      /must end after/,
    ],
  ])('refuses %s in plain words', (_, change, reason) => expect(reasonOf({ ...PLATE, ...change })).toMatch(reason))
  it('says so when it would melt', () =>
    expect(
      answered({ ...PLATE, sources: [{ kind: 'volume', powerW: 5000 }], durationS: 120 }).cautions.map(
        caution => caution.code,
      ),
    ).toContain('melting'))
})

describe('least squares', () => {
  it("is exact on a straight line, with the textbook's standard errors", () => {
    const x = [1, 2, 3, 4, 5, 6],
      y = [2.1, 3.9, 6.2, 7.8, 10.1, 12.2]
    const fit = leastSquares(([a, b]) => x.map(value => a! + b! * value), y, [0.5, 1], {
      least: [-100, -100],
      scale: [1, 1],
    })
    const mean = (list: number[]) => list.reduce((sum, value) => sum + value, 0) / list.length
    const sxx = x.reduce((sum, value) => sum + (value - mean(x)) ** 2, 0)
    const slope = x.reduce((sum, value, n) => sum + (value - mean(x)) * (y[n]! - mean(y)), 0) / sxx
    const residual = Math.sqrt(
      x.reduce((sum, value, n) => sum + (y[n]! - mean(y) - slope * (value - mean(x))) ** 2, 0) / 4,
    )
    expect(fit.values[1]).toBeCloseTo(slope, 6)
    expect(fit.standardErrors[1]).toBeCloseTo(residual / Math.sqrt(sxx), 6)
  })
})

describe('heat.fitSource', () => {
  const body = {
    massKg: 1.2,
    specificHeatJkgK: 900,
    areaMm2: 100_000,
    ambientC: 20,
    absorbedW: 640,
    filmWm2K: 14,
    emissivity: 0.2,
  }
  const heating = temperatureCurve(body, 20, 300, 15)
  const cooling = temperatureCurve({ ...body, absorbedW: 0 }, heating.at(-1)!.c, 600, 20).slice(1)
  const readings = [...heating.map(({ s, c }) => ({ s, C: c })), ...cooling.map(({ s, c }) => ({ s: s + 300, C: c }))]
  const part = { massKg: 1.2, areaMm2: 100_000, offS: 300 }

  it('finds power and film of a made series again', () => {
    expect(questions.ask('heat.fitSource', { ...part, readings })).toMatchObject({
      ok: true,
      answer: { sourceW: expect.closeTo(640, 1), filmWm2K: expect.closeTo(14, 2) },
    })
  })
  it('under noise stays within three of its own standard errors, and counts the source before its efficiency', () => {
    let state = 7
    const noise = () =>
      Array.from({ length: 12 }, () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31 - 0.5).reduce(
        (sum, value) => sum + value,
        0,
      )
    const asked = questions.ask('heat.fitSource', {
      ...part,
      efficiencyPct: 32,
      readings: readings.map(({ s, C }) => ({ s, C: C + 1.5 * noise() })),
    })
    if (!asked.ok) throw new Error(JSON.stringify(asked.error))
    const { sourceW, sourceErrorW, filmWm2K, filmErrorWm2K, residualC } = asked.answer as Record<
      'sourceW' | 'sourceErrorW' | 'filmWm2K' | 'filmErrorWm2K' | 'residualC',
      number
    >
    expect(Math.abs(sourceW - 2000) / sourceErrorW).toBeLessThan(3)
    expect(Math.abs(filmWm2K - 14) / filmErrorWm2K).toBeLessThan(3)
    expect(residualC).toBeGreaterThan(0.8)
    expect(residualC).toBeLessThan(2.2)
  })
  it('finds them on a part in cells too, the readings off to one side of the torch', () => {
    const shape = PLATE.shape
    const sources = [{ kind: 'torch', powerW: 450, atMm: [45, 30, 6], radiusMm: 15, endS: 60 }]
    const run = answered({
      ...PLATE,
      shape,
      sources,
      durationS: 200,
      readings: 21,
      losses: { filmWm2K: 18 },
      probes: [{ xMm: 10, yMm: 10, zMm: 3 }],
    }).answer
    const asked = questions.ask('heat.fitSource', {
      shape,
      cellMm: 3,
      alloy: '6061',
      sources: [{ ...sources[0], powerW: 1 }],
      offS: 60,
      probe: { xMm: 10, yMm: 10, zMm: 3 },
      readings: run.times.map((s, n) => ({ s, C: run.probes[0]![n] })),
    })
    expect(asked).toMatchObject({
      ok: true,
      answer: { sourceW: expect.closeTo(450, 0), filmWm2K: expect.closeTo(18, 1) },
    })
  }, 60_000)
  it('says when the readings cannot tell film from power, and when they say nothing', () => {
    const short = readings.slice(0, 5).map(({ s, C }, n) => ({ s, C: C + (n % 2 ? 2 : -2) }))
    expect(questions.ask('heat.fitSource', { ...part, offS: undefined, readings: short })).toMatchObject({
      ok: true,
      cautions: [{ code: 'film-vague' }],
    })
    expect(questions.ask('heat.fitSource', { ...part, readings: [0, 1, 2, 3].map(s => ({ s, C: 20 })) })).toMatchObject(
      { ok: false, error: { kind: 'no-answer' } },
    )
    expect(
      questions.ask('heat.fitSource', { ...part, readings: [0, 9, 5, 12].map(s => ({ s, C: 20 + s })) }),
    ).toMatchObject({ ok: false, error: { kind: 'invalid-input', issues: [{ path: 'readings' }] } })
  })
})
