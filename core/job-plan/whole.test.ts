import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { KIND_IDS, kinds, wordsFor, type KindId } from '../mend/registry'
import { SHARED_WORDS } from '../mend/words'
import { WHOLE_WORDS } from './words'
import type { JobPlanned } from './job-planned'

/** One mend of each kind, as little as it wants. */
const LEAST: Readonly<Record<KindId, object>> = {
  crack: { lengthMm: 50 },
  break: { lengthMm: 40 },
  hole: { diameterMm: 8 },
  edge: { longMm: 30, wideMm: 6, highMm: 8 },
  turned: { turnedMm: 80, wideMm: 8, deepMm: 4 },
  window: { wideMm: 60, highMm: 40 },
  overlay: { wideMm: 80, highMm: 60 },
  plate: { longMm: 90, wideMm: 30, plateMm: 5 },
  joint: { joint: 'tee', lengthMm: 60 },
  thread: { thread: 'M10', deepMm: 18 },
  boss: { thread: 'M10', deepMm: 18, bossMm: 26, state: 'cracked' },
  face: { wideMm: 12, longMm: 80, lowMm: 0.6 },
  bore: { boreMm: 40, deepMm: 15, lowMm: 0.3 },
  bent: { bentMm: 2, overMm: 60 },
}
const PART = {
  lengthMm: 200,
  widthMm: 140,
  heightMm: 40,
  newPrice: 400,
  bodies: [{ id: 'cover', alloy: '356', wallMm: 6 }],
}
type Answer = Omit<JobPlanned, 'working'>
function plan(mends: object[], part: object = PART, more: object = {}): Answer {
  const asked = questions.ask('job.plan', { part, mends, ...more })
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as Answer
}
const mend = (kind: KindId, id: string = kind, more: object = {}) => ({ id, kind, ...LEAST[kind], ...more })
const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(b)))

const some = fc.uniqueArray(fc.constantFrom(...KIND_IDS), { minLength: 1, maxLength: 6 })
const parts = fc
  .record({
    does: fc.constantFrom('seal', 'static', 'cyclic'),
    moves: fc.constantFrom('still', 'spins', 'to-and-fro'),
    soak: fc.constantFrom('dry', 'handled', 'oily', 'oil-soaked'),
    wallMm: fc.constantFrom(2, 4, 6, 10, 14),
    alloy: fc.constantFrom('356', '6061', '380', '5052', 'AZ91D', '7075'),
  })
  .map(({ wallMm, alloy, ...rest }) => ({ ...PART, ...rest, bodies: [{ id: 'cover', alloy, wallMm }] }))

describe('a part and its mends', () => {
  it.each(KIND_IDS)('a %s goes from its readings to a price', kind => {
    const {
      mends: [found],
      totals,
      decision,
    } = plan([mend(kind)])
    expect(found!.price).toBeGreaterThan(0)
    expect(found!.handMin).toBeGreaterThan(0)
    expect(totals.price).toBeGreaterThan(found!.price)
    expect(totals.ofNewPct).toBeCloseTo(totals.price / 4, 6)
    expect(decision).toBe('repair')
    // What was not welded is not looked at as a weld is.
    if (found!.lays.length) expect(found!.checks).toContain('look')
    expect(found!.checks.length).toBeGreaterThan(0)
  })
  it('a stripped thread and nothing else says nothing of cracks, and has a price', () => {
    const answer = plan([mend('thread')])
    expect(JSON.stringify(answer)).not.toMatch(/crack|groove|stop-hole/)
    expect(answer.mends[0]!.way).toBe('wire-insert')
  })
  it('no kind speaks of what belongs to another', () => {
    for (const kind of kinds().filter(each => !['crack', 'break', 'boss', 'thread', 'bent'].includes(each.id))) {
      for (const sentence of Object.values(kind.words)) expect(sentence, kind.id).not.toMatch(/\bcrack|stop-hole/i)
    }
    for (const sentence of Object.values(SHARED_WORDS)) expect(sentence).not.toMatch(/\bcrack|\bgroove|stop-hole/i)
  })
  it('has a sentence for every code that any plan gives', () => {
    fc.assert(
      fc.property(some, parts, (chosen, part) => {
        const { mends, warm } = plan(
          chosen.map(kind => mend(kind)),
          part,
        )
        for (const one of mends) {
          for (const code of [...one.opening, ...one.rebuild].map(step => step.code).filter(code => code !== 'uncoat'))
            expect(wordsFor(one.kind, code).length).toBeGreaterThan(5)
          for (const { why } of one.ruledOut) expect(wordsFor(one.kind, why).length).toBeGreaterThan(5)
          for (const code of one.because) expect(WHOLE_WORDS[code] ?? wordsFor(one.kind, code)).toBeTruthy()
        }
        for (const code of warm.why) expect(WHOLE_WORDS[code], code).toBeTruthy()
      }),
      { numRuns: 150, seed: 5 },
    )
  })
  it('a mend more never makes the job cheaper, nor quicker', () => {
    fc.assert(
      fc.property(some, fc.constantFrom(...KIND_IDS), parts, (chosen, another, part) => {
        const [few, more] = [
          plan(
            chosen.map(kind => mend(kind)),
            part,
          ),
          plan([...chosen.map(kind => mend(kind)), mend(another, 'another')], part),
        ]
        // One that makes it too dear, or stops it, costs the looking alone.
        if (more.decision === 'decline' && few.decision !== 'decline') return
        expect(more.totals.price).toBeGreaterThanOrEqual(few.totals.price - 1e-9)
        expect(more.totals.handMin).toBeGreaterThanOrEqual(few.totals.handMin - 1e-9)
        expect(more.totals.arcMin).toBeGreaterThanOrEqual(few.totals.arcMin - 1e-9)
      }),
      { numRuns: 150, seed: 6 },
    )
  })
  it('the order of the mends changes no total', () => {
    fc.assert(
      fc.property(some, parts, (chosen, part) => {
        const [a, b] = [
          plan(
            chosen.map(kind => mend(kind)),
            part,
          ),
          plan(
            chosen.toReversed().map(kind => mend(kind)),
            part,
          ),
        ]
        for (const key of ['arcMin', 'handMin', 'elapsedMin', 'gasL', 'rods', 'price'] as const)
          near(b.totals[key], a.totals[key])
        expect(b.decision).toBe(a.decision)
      }),
      { numRuns: 100, seed: 7 },
    )
  })
  it('what is shared is counted once, however many mends share it', () => {
    for (const count of [1, 2, 5]) {
      const part = { ...PART, newPrice: 4000 }
      const { totals, mends } = plan(
        Array.from({ length: count }, (_, n) => mend('face', `f${n}`)),
        part,
      )
      expect(totals.shared.filter(entry => entry.code === 'mill-set-up')).toHaveLength(1)
      near(
        totals.handMin,
        mends.reduce((sum, each) => sum + each.handMin, 0) +
          totals.shared.reduce((sum, entry) => sum + entry.minutes, 0),
      )
      near(
        totals.arcMin,
        mends.reduce((sum, each) => sum + each.arcMin, 0),
      )
      // One look at all of them, one measuring of the face: what another asks more of a check is its own share of it.
      for (const code of ['take-in', 'degrease', 'weld-set-up', 'warm', 'check-look', 'check-flatness'])
        expect(totals.shared.filter(entry => entry.code === code)).toHaveLength(1)
    }
  })
  it('charges nothing for cutting what is open already', () => {
    for (const kind of ['crack', 'break', 'edge', 'window', 'overlay'] as const) {
      const [cut, open] = [plan([mend(kind)]).mends[0]!, plan([mend(kind, kind, { opened: true })]).mends[0]!]
      expect(open.price, kind).toBeLessThan(cut.price)
      expect(
        open.opening.map(step => step.code),
        kind,
      ).not.toEqual(expect.arrayContaining(['groove']))
      near(open.depositG, cut.depositG)
    }
  })
  it('no call recommends a process that its own numbers say does not melt in', () => {
    fc.assert(
      fc.property(some, parts, fc.constantFrom(60, 110, 140, 200, 300), fc.boolean(), (chosen, part, highA, torch) => {
        const kit = {
          machines: [
            {
              id: 'm',
              name: 'm',
              process: 'ac-tig',
              lowA: 5,
              highA,
              ratedA: highA,
              ratedPct: 35,
              torchA: highA,
              dialReads: 'en-share',
            },
          ],
          torches: torch ? [{ id: 't', name: 't', gas: 'propylene', powerW: 2000, efficiencyPct: 35 }] : [],
        }
        const { mends, warm } = plan(
          chosen.map(kind => mend(kind)),
          part,
          { kit },
        )
        for (const one of mends)
          if (one.process === 'ac-tig' && one.decision.startsWith('repair')) {
            const need = questions.ask('amps.need', {
              wallMm: 6,
              startC: warm.need !== 'none' && warm.reaches ? warm.toC : 20,
              process: 'ac-tig',
            })
            expect(need.ok).toBe(true)
            expect(one.startA!).toBeLessThanOrEqual(highA + 1e-9)
            expect(one.easedA!).toBeLessThanOrEqual(one.startA! + 1e-9)
          }
      }),
      { numRuns: 100, seed: 8 },
    )
  })
})

describe('between mends', () => {
  it('what is bent comes first, then what takes most heat, places that must be true after it, cold work last; each says why', () => {
    const { order } = plan([
      mend('thread'),
      mend('face'),
      mend('crack', 'small', { lengthMm: 20 }),
      mend('crack', 'large', { lengthMm: 120 }),
      mend('bent'),
    ])
    expect(order).toEqual([
      { id: 'bent', why: 'straight-first' },
      { id: 'large', why: 'most-heat-first' },
      { id: 'small', why: 'most-heat-first' },
      { id: 'face', why: 'true-places-after' },
      { id: 'thread', why: 'cold-last' },
    ])
    for (const { why } of order) expect(WHOLE_WORDS[why]).toBeTruthy()
  })
  it('the part keeps the heat of the one before: the next wants less current, and no more than its interpass limit counts', () => {
    const alone = plan([mend('crack', 'small', { lengthMm: 20 })], { ...PART, massG: 400 }, { warm: 'none' }).mends[0]!
    const after = plan(
      [mend('crack', 'small', { lengthMm: 20 }), mend('crack', 'large', { lengthMm: 200 })],
      { ...PART, massG: 400 },
      { warm: 'none' },
    ).mends[0]!
    expect(after.startA!).toBeLessThan(alone.startA!)
    expect(after.startA! / alone.startA!).toBeGreaterThan((620 - 175) / 600 - 0.02)
    // On a warm part a current short of cold metal's melts in the sooner.
    expect(after.arcMin).toBeLessThanOrEqual(alone.arcMin)
  })
})

describe('motion', () => {
  it('a part that spins is run out and balanced whatever its mend; one that goes to and fro is weighed; a wheel is referred', () => {
    for (const kind of ['crack', 'thread', 'face'] as const) {
      expect(plan([mend(kind)], { ...PART, moves: 'spins' }).checks).toEqual(
        expect.arrayContaining(['run-out', 'balance']),
      )
      const fro = plan([mend(kind)], { ...PART, moves: 'to-and-fro' }).checks
      expect(fro).toContain('weight')
      expect(fro).not.toContain('balance')
    }
    expect(plan([mend('crack')], { ...PART, moves: 'spins', safetyCritical: 'wheel' })).toMatchObject({
      decision: 'refer',
    })
  })
})

describe('threads and bosses by their state', () => {
  const state = (kind: 'thread' | 'boss', states: string | string[], more: object = {}, part: object = {}) =>
    plan([mend(kind, kind, { state: states, bossMm: 30, ...more })], { ...PART, ...part }).mends[0]!
  it('a boss that is cracked, oil-soaked and holds a failed insert gets none, with the reasons', () => {
    const found = state('boss', ['cracked', 'failed-insert'], {}, { soak: 'oil-soaked' })
    expect(['weld-and-tap', 'new-boss']).toContain(found.way)
    expect(found.ruledOut.map(entry => entry.way)).toEqual(
      expect.arrayContaining(['wire-insert', 'solid-insert', 'pressed-slug']),
    )
    expect(found.opening.map(step => step.code)).toEqual(expect.arrayContaining(['insert-out', 'open-boss']))
  })
  it('what is left of the thread counts: enough of it wants only a longer bolt', () => {
    expect(state('thread', 'stripped', { deepMm: 30, soundMm: 22, torqueNm: 30 }).way).toBe('longer-bolt')
    expect(state('thread', 'stripped', { deepMm: 30, soundMm: 2, torqueNm: 30 }).way).not.toBe('longer-bolt')
  })
  it('a way asked for that its state rules out is refused with the reason', () => {
    expect(state('thread', 'crooked', { way: 'wire-insert' })).toMatchObject({
      decision: 'decline',
      because: ['way-ruled-out'],
      ruledOut: expect.arrayContaining([{ way: 'wire-insert', why: 'follows-crooked' }]),
    })
  })
  it('a boss that is gone is a new one, turned, set and welded; a broken stud is taken out and charged', () => {
    expect(state('boss', 'gone')).toMatchObject({ way: 'new-boss' })
    expect(state('boss', 'gone').depositG).toBeGreaterThan(5)
    expect(state('thread', 'broken-stud', { way: 'weld-and-tap' }).price).toBeGreaterThan(
      state('thread', 'stripped', { way: 'weld-and-tap' }).price,
    )
  })
})

describe('lays', () => {
  const laid = (lays: object[], more: object = {}) =>
    plan(
      [mend('crack', 'c', { lengthMm: 80, lays, ...more })],
      { ...PART, bodies: [{ id: 'cover', alloy: '356', wallMm: 10 }] },
      {
        kit: {
          machines: ['ac-tig', 'mig-pulse'].map(process => ({
            id: process,
            name: process,
            process,
            lowA: 5,
            highA: 300,
            ratedA: 300,
            ratedPct: 60,
            torchA: 300,
            dialReads: 'en-share',
          })),
        },
      },
    ).mends[0]!
  it('a root by TIG under a fill by gun: each planned by what it is', () => {
    const both = laid([
      { process: 'ac-tig', filler: '4043', upTo: 'root' },
      { process: 'mig-pulse', filler: '5356', upTo: 'cap' },
    ])
    expect(both.lays.map(({ process, filler }) => [process, filler])).toEqual([
      ['ac-tig', '4043'],
      ['mig-pulse', '5356'],
    ])
    expect(both.rods).toBeGreaterThan(0)
    expect(both.wireM).toBeGreaterThan(0)
    const whole = laid([{ process: 'ac-tig', filler: '4043', upTo: 'cap' }])
    expect(both.depositG / whole.depositG).toBeCloseTo(1, 1)
    expect(whole.wireM).toBe(0)
    expect(laid([{ process: 'mig-pulse', filler: '5356', upTo: 'cap' }]).rods).toBe(0)
  })
  it('sides in turn, are finished one by one, or get both roots first', () => {
    const sides = (order: string) =>
      laid(
        [
          { process: 'ac-tig', upTo: 'root' },
          { process: 'ac-tig', upTo: 'cap' },
        ],
        { sides: 2, order },
      ).lays.map(lay => lay.side)
    expect(sides('one-then-other')).toEqual([1, 1, 2, 2])
    expect(sides('roots-then-fills')).toEqual([1, 2, 1, 2])
    expect(
      laid([{ process: 'ac-tig', upTo: 'cap' }], { sides: 2, order: 'roots-then-fills' }).lays.map(lay => lay.side),
    ).toEqual([1, 2, 1, 2])
  })
  it('an arc without rod goes first where the part held oil', () => {
    const { steps, mends } = plan([mend('crack')], { ...PART, soak: 'oil-soaked' })
    const codes = steps.filter(step => step.mend === 'crack' && step.kind === 'arc').map(step => step.code)
    expect(codes.slice(0, 2)).toEqual(['boil-out', 'root'])
    // A step, and no lay.
    expect(mends[0]!.lays).toHaveLength(1)
    expect(steps.find(step => step.code === 'boil-out')).not.toHaveProperty('lay')
  })
})

describe('two bodies', () => {
  it('take the filler for the pair and the current of the thinner with the arc on the thicker', () => {
    const part = {
      massG: 2000,
      bodies: [
        { id: 'casting', alloy: '356', wallMm: 2 },
        { id: 'ear', alloy: '6061', wallMm: 3.5 },
      ],
    }
    const found = plan([mend('joint', 'j', { bodies: ['casting', 'ear'] })], part).mends[0]!
    const [thin, thick] = [
      plan([mend('joint')], { massG: 2000, bodies: [part.bodies[0]] }).mends[0]!,
      plan([mend('joint')], { massG: 2000, bodies: [part.bodies[1]] }).mends[0]!,
    ]
    expect(found.startA!).toBeGreaterThan(thin.startA!)
    expect(found.startA!).toBeLessThan(thick.startA!)
    expect(found.filler).toBe('4043')
  })
  it('an unknown body, two of one name, or a key that a kind does not know are refused by name', () => {
    expect(
      questions.ask('job.plan', { part: PART, mends: [mend('joint', 'j', { bodies: ['cover', 'ghost'] })] }),
    ).toMatchObject({ ok: false, error: { kind: 'no-answer', reason: expect.stringContaining('ghost') } })
    expect(questions.ask('job.plan', { part: PART, mends: [mend('hole', 'h', { lengthMm: 3 })] })).toMatchObject({
      ok: false,
      error: { kind: 'invalid-input', issues: [{ path: expect.stringContaining('lengthMm') }] },
    })
    expect(questions.ask('job.plan', { part: PART, mends: [mend('hole'), mend('hole')] })).toMatchObject({
      ok: false,
      error: { kind: 'invalid-input' },
    })
    expect(questions.ask('job.plan', { part: PART, mends: [{ id: 'x', kind: 'dent' }] })).toMatchObject({
      ok: false,
      error: { kind: 'invalid-input', issues: [{ message: expect.stringContaining('crack') }] },
    })
  })
})
