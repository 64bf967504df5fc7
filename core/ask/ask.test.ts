import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { read } from '../quantity/read'
import { write } from '../quantity/show'
import { questions } from '../questions'
import { answerRows } from './answer-rows'
import { fieldsOf, inputFromForm, labelOfKey, unitOfKey } from './fields'
import { NoAnswer, question } from './question'
import { createRegistry, type Asked } from './registry'

/** Every question of the contract that this version answers. */
const ANSWERED = [
  'day.schedule',
  'log.learn',
  'flat.evaluate',
  'flat.lap',
  'thread.dims',
  'thread.identify',
  'thread.strength',
  'thread.insert',
  'boss.compare',
  'machine.setup',
  'mig.setup',
  'braze.plan',
  'groove.buildUp',
  'heat.simulate',
  'heat.fitSource',
  'fit.press',
  'fit.shrink',
  'cut.speed',
  'photo.measure',
  'balance.correct',
  'heat.arcPoint',
  'leak.decay',
  'plate.reinforce',
  'runout.evaluate',
  'weld.crackMap',
  'alloy.density',
  'alloy.identify',
  'alloy.list',
  'amps.need',
  'filler.choose',
  'gas.use',
  'groove.plan',
  'heat.preheat',
  'job.quote',
  'machine.ac',
  'machine.balance',
  'machine.dial',
  'machine.duty',
  'process.choose',
  'repair.judge',
  'weld.chemistry',
  'weld.crackIndex',
]

/** What the contract says each answer must hold at least. */
const HOLDS: Record<string, string[]> = {
  'day.schedule': ['starts', 'makespanMin', 'lowerBoundMin', 'lateMin'],
  'log.learn': ['all', 'groups'],
  'flat.evaluate': ['minimumZoneMm', 'leastSquaresMm', 'shape', 'high', 'contact'],
  'flat.lap': ['removeMm', 'volumeMm3', 'minutes', 'before', 'after'],
  'thread.dims': [
    'majorMm',
    'pitchMm',
    'pitchDiameterMm',
    'minorInternalMm',
    'minorExternalMm',
    'flankDeg',
    'stressAreaMm2',
    'tapDrills',
  ],
  'thread.identify': ['ranked', 'confusable'],
  'thread.strength': ['boltBreakN', 'bodyStripN', 'boltStripN', 'governs', 'engagementToBreakBoltMm'],
  'thread.insert': ['drillMm', 'tapMajorMm', 'outsideMm', 'leastWallMm'],
  'boss.compare': ['ranked'],
  'machine.setup': ['tungstenMm', 'tip', 'cup', 'gasLMin', 'postflowS', 'fillerMm', 'enPct', 'frequencyHz'],
  'mig.setup': ['wireMMin', 'v', 'a', 'depositGMin'],
  'braze.plan': ['verdict', 'workingC', 'marginToSolidusC', 'reaches', 'timeS', 'cautions'],
  'groove.buildUp': ['layers', 'passes', 'rods', 'arcMin'],
  'heat.simulate': ['times', 'probes', 'peak', 'cells', 'wallMs'],
  'heat.fitSource': ['sourceW', 'filmWm2K'],
  'fit.press': ['pressureMPa', 'hubHoopMPa', 'slugHoopMPa', 'pushOutN', 'yieldFactor'],
  'fit.shrink': ['hubC', 'gapAtMm', 'secondsToSeize'],
  'cut.speed': ['rpm', 'feedMmMin'],
  'photo.measure': ['lengthMm', 'uncertaintyMm', 'pointsMm'],
  'balance.correct': ['unbalanceGmm', 'correctG'],
  'heat.arcPoint': ['temperatureC'],
  'leak.decay': ['sccm', 'kPaMin', 'holeUm', 'storedJ'],
  'plate.reinforce': ['stiffnessRatio', 'strengthRatio'],
  'runout.evaluate': ['tirMm', 'eccentricityMm', 'highDeg', 'lobes'],
  'weld.crackMap': ['index', 'beads'],
  'alloy.density': ['densityGcm3', 'uncertaintyGcm3'],
  'alloy.identify': ['families', 'entropyBits', 'next', 'recommended', 'verdict'],
  'alloy.list': ['alloys'],
  'amps.need': ['a', 'lowA', 'highA'],
  'filler.choose': ['ranked'],
  'gas.use': ['litres', 'cylinderShare'],
  'groove.plan': ['depthMm', 'topWidthMm', 'areaMm2', 'volumeMm3', 'massG', 'rods', 'passes', 'stopHoles', 'arcMin'],
  'heat.preheat': ['reaches', 'timeS', 'equilibriumC', 'curve'],
  'job.quote': ['labour', 'materials', 'total', 'ofNewPct', 'lines'],
  'machine.ac': ['averageA', 'rmsA', 'enMs', 'epMs'],
  'machine.balance': ['enPct', 'epPct'],
  'machine.dial': ['a'],
  'machine.duty': ['dutyPct', 'weldMin', 'restMin'],
  'process.choose': ['ranked'],
  'repair.judge': ['verdict', 'chancePct', 'parts'],
  'weld.chemistry': ['pct', 'byPass'],
  'weld.crackIndex': ['index', 'rating', 'liquidusC', 'solidusC', 'freezingRangeC', 'curve'],
}

/** Rounds what a conversion there and back may disturb; how long it took is no part of an answer's meaning. */
const round = (key: string, value: unknown) =>
  key === 'wallMs' ? 0 : typeof value === 'number' ? Number(value.toPrecision(9)) : value

const finite = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : value !== null && typeof value === 'object'
      ? Object.values(value).every(finite)
      : true

/** An answer that is finite, or a refusal in words that does not blame the program. */
function sound(asked: Asked): boolean {
  if (asked.ok)
    return finite(asked.answer) && finite(asked.working) && asked.cautions.every(entry => entry.text.length > 0)
  const { error } = asked
  if (error.kind === 'fault') return false
  return error.kind === 'invalid-input'
    ? error.issues.length > 0 && error.issues.every(issue => issue.message.length > 0)
    : error.kind === 'no-answer'
      ? error.reason.length > 0
      : true
}

describe('the registry', () => {
  it('answers the questions of the contract', () => expect(questions.names).toEqual(expect.arrayContaining(ANSWERED)))
  it('names the nearest to an unknown one', () =>
    expect(questions.ask('groove.plam', {})).toMatchObject({
      ok: false,
      error: { kind: 'unknown-question', nearest: expect.arrayContaining(['groove.plan']) },
    }))
  it('rounds the figures of a refusal to what can be measured, and leaves words and whole figures alone', () => {
    expect(new NoAnswer('a 2.3812499999999996 mm rod, over 500 passes, 356.0').message).toBe(
      'a 2.381 mm rod, over 500 passes, 356.0',
    )
  })
  it('throws on a duplicate', () => {
    const once = question({
      name: 'x.y',
      purpose: '',
      input: z.object({}),
      output: z.object({}),
      example: {},
      solve: () => ({ answer: {}, working: [], cautions: [] }),
    })
    expect(() => createRegistry([once, once])).toThrow(/twice/)
  })
  it('names a key that a question does not know, with the nearest it knows, at any depth', () => {
    expect(questions.ask('groove.plan', { crackMm: 10, wallMm: 8, capMM: 1 })).toMatchObject({
      ok: false,
      error: { kind: 'invalid-input', issues: [{ path: 'capMM', message: expect.stringContaining('capMm') }] },
    })
    expect(questions.ask('filler.choose', { baseA: '6061', service: { maxc: 50 } })).toMatchObject({
      ok: false,
      error: { issues: [{ path: 'service.maxc', message: expect.stringContaining('maxC') }] },
    })
    for (const name of questions.names) {
      const asked = questions.ask(name, { ...(questions.get(name)!.example as object), zzz: 1 })
      expect(asked, name).toMatchObject({
        ok: false,
        error: { kind: 'invalid-input', issues: expect.arrayContaining([expect.objectContaining({ path: 'zzz' })]) },
      })
    }
  })
  it('refuses a wide body in few words', () => {
    const asked = questions.ask('day.schedule', {
      jobs: Array.from({ length: 5000 }, () => ({ x: 'y'.repeat(50) })),
      resources: [],
    })
    expect(asked.ok).toBe(false)
    expect(JSON.stringify(asked).length).toBeLessThan(8000)
  })
  it('writes the figures of every working as a person writes them, and holds units to them', () => {
    for (const name of questions.names) {
      const asked = questions.ask(name, questions.get(name)!.example)
      if (asked.ok)
        for (const step of asked.working)
          expect(`${step.label} ${step.formula}`, name).not.toMatch(/\d\.\d{7,}|\d (?:mm|°C|kg|MPa)(?![\p{L}\d])/u)
    }
  })
  it('turns a number that is none into no answer, and an exception into a fault with a code to quote', () => {
    const of = (solve: () => { answer: object; working: []; cautions: [] }) =>
      createRegistry([
        question({ name: 'a.b', purpose: '', input: z.object({}), output: z.any(), example: {}, solve }),
      ]).ask('a.b', {})
    expect(of(() => ({ answer: { deep: [1, NaN] }, working: [], cautions: [] }))).toMatchObject({
      ok: false,
      error: { kind: 'no-answer' },
    })
    expect(
      of(() => {
        throw new NoAnswer('because')
      }),
    ).toMatchObject({ ok: false, error: { kind: 'no-answer', reason: 'because' } })
    const fault = of(() => {
      throw new Error('secret at file.ts:1')
    })
    expect(fault).toMatchObject({ ok: false, error: { kind: 'fault', code: expect.stringMatching(/^F-[0-9A-Z]+$/) } })
    expect(JSON.stringify(fault)).not.toContain('secret')
  })
  it('says where an input is wrong', () => {
    expect(questions.ask('filler.choose', { baseA: '6061', service: { load: 'heavy' } })).toMatchObject({
      ok: false,
      error: { issues: [{ path: 'service.load' }] },
    })
    expect(questions.ask('alloy.identify', { evidence: [{ test: 'density', gcm3: '30 lb' }] })).toMatchObject({
      ok: false,
      error: { issues: [{ path: 'evidence[0].gcm3', message: expect.stringContaining('lb') }] },
    })
    expect(questions.ask('groove.plan', { crackMm: '3 furlongs', wallMm: 8 })).toMatchObject({
      ok: false,
      error: { issues: [{ path: 'crackMm', message: expect.stringContaining('furlongs') }] },
    })
  })
  it.each(questions.names)('%s answers its own example with what the contract asks, and shows its working', name => {
    const asked = questions.ask(name, questions.get(name)!.example)
    expect(asked.ok, JSON.stringify(asked)).toBe(true)
    if (!asked.ok) return
    expect(Object.keys(asked.answer as object)).toEqual(expect.arrayContaining(HOLDS[name] ?? []))
    expect(asked.working.length).toBeGreaterThan(0)
    for (const step of asked.working) expect(step.source.length).toBeGreaterThan(0)
  })
  it.each(questions.names)('%s never yields NaN, Infinity or a stack, whatever goes in', name => {
    fc.assert(
      fc.property(fc.anything(), input => sound(questions.ask(name, input))),
      { numRuns: 60, seed: 20 },
    )
  })
  it.each(questions.names)('%s bears its example with any field made odd', name => {
    const example = questions.get(name)!.example as Record<string, unknown>
    const odd = fc.oneof(
      fc.constantFrom(
        0,
        -1,
        1e-9,
        1e9,
        1e308,
        -1e308,
        '',
        '0',
        '-5 in',
        '1e9 m',
        'x',
        null,
        true,
        [],
        {},
        NaN,
        Infinity,
      ),
      fc.double(),
      fc.string({ maxLength: 12 }),
    )
    const keys = [...new Set([...Object.keys(example), ...fieldsOf(questions.get(name)!).map(field => field.key)])]
    if (keys.length === 0) return
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...keys), odd), { minLength: 1, maxLength: 3 }), changes =>
        sound(questions.ask(name, { ...example, ...Object.fromEntries(changes) })),
      ),
      { numRuns: 250, seed: 21 },
    )
  })
})

describe('quantities as text', () => {
  it.each(questions.names)('%s gives the same answer to figures and to the same figures with their unit', name => {
    const entry = questions.get(name)!
    const example = entry.example as Record<string, unknown>
    const plain: Record<string, unknown> = { ...example }
    const written: Record<string, unknown> = { ...example }
    for (const field of fieldsOf(entry)) {
      const value = example[field.key]
      if (field.kind !== 'quantity' || field.unit === '') continue
      const { unit } = unitOfKey(field.key)
      const reading = typeof value === 'string' ? read(value, unit!) : null
      const figure = typeof value === 'number' ? value : reading?.ok ? reading.value : undefined
      if (figure === undefined) continue
      plain[field.key] = figure
      written[field.key] = write(figure, unit!)
    }
    const [a, b] = [questions.ask(name, plain), questions.ask(name, written)]
    expect(a.ok).toBe(true)
    if (a.ok && b.ok)
      expect(JSON.parse(JSON.stringify(b.answer, round))).toEqual(JSON.parse(JSON.stringify(a.answer, round)))
  })
  // The units the contract names, each where a key of its kind takes it.
  it.each([
    ['groove.plan', { crackMm: '4 in', wallMm: '5/16 in', fillerMm: '3/32"', capMm: '60 thou' }, 'depthMm', 7.9375],
    [
      'heat.preheat',
      { massKg: '3.5 lb', areaMm2: '1 ft2', targetC: '200 F', startC: '68 F', sourceW: '2 kW' },
      'absorbedW',
      700,
    ],
    ['gas.use', { flowLMin: '15 cfh', arcMin: '600 s' }, 'litres', 70.792],
    ['leak.decay', { volumeL: '1 l', startKPa: '60 psi', endKPa: '60 psi', seconds: '5 min' }, 'sccm', 0],
    ['cut.speed', { tool: 'drill', diameterMm: '1/2 in', alloy: '6061', surfaceMMin: '130 sfm' }, 'rpm', 993.1],
    ['machine.ac', { enA: '150 A', enPct: '70 %', frequencyHz: '0.1 kHz' }, 'enMs', 7],
  ])('%s reads %o', (name, input, key, value) => {
    const asked = questions.ask(name, input)
    expect(asked.ok && (asked.answer as Record<string, number>)[key]).toBeCloseTo(value as number, 1)
  })
})

describe('a question as a form', () => {
  it('reads units off its keys', () => {
    expect(unitOfKey('crackMm')).toEqual({ unit: 'mm', stem: 'crack' })
    expect(unitOfKey('rateMm3Min')).toEqual({ unit: 'mm3Min', stem: 'rate' })
    expect(unitOfKey('flowLMin')).toEqual({ unit: 'lMin', stem: 'flow' })
    expect(unitOfKey('filler')).toEqual({ unit: null, stem: 'filler' })
    expect(labelOfKey('pastTipMm')).toBe('past tip')
  })
  it.each(questions.names)('%s gives back its example through the form', name => {
    const entry = questions.get(name)!
    const fields = fieldsOf(entry)
    const form = Object.fromEntries(
      fields
        .filter(field => field.example !== undefined)
        .map(field => [
          field.key,
          field.kind === 'json'
            ? JSON.stringify(field.example)
            : field.kind === 'choice' || field.kind === 'flag'
              ? field.example
              : String(field.example),
        ]),
    )
    const { input, issues } = inputFromForm(fields, form)
    expect(issues).toEqual([])
    expect(questions.ask(name, input).ok).toBe(true)
    const asked = questions.ask(name, input)
    if (asked.ok) {
      const { rows, tables } = answerRows(asked.answer, questions.get(name)!.output)
      expect(rows.length + tables.length).toBeGreaterThan(0)
    }
  })
  it('says where JSON breaks off', () =>
    expect(inputFromForm(fieldsOf(questions.get('job.quote')!), { phases: '[{' }).issues).toMatchObject([
      { path: 'phases' },
    ]))
  it('asks a reader whose decimals have a comma about a point between thousands', () => {
    const grooves = fieldsOf(questions.get('groove.plan')!)
    expect(inputFromForm(grooves, { crackMm: '1.500' }, true).issues).toMatchObject([{ path: 'crackMm' }])
    expect(inputFromForm(grooves, { crackMm: '1.500' }).input).toEqual({ crackMm: 1.5 })
  })
})
