import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readFile } from '../job/files'
import type { GroovePlan } from '../groove/plan'
import { newMend } from '../job/new-mend'
import { fields as crack } from '../mend/crack/fields'
import type { Job, Kit } from '../job/job.schema'
import { EMPTY_KIT } from '../job/empty-kit'
import { newJob } from '../job/new-job'
import { applyPatch } from '../job/patch'
import { STATION_IDS } from '../job/stations.table'
import { questions } from '../questions'
import { caution, CAUTION_CODES } from '../safety/cautions.table'
import { PROCESS_IDS, type ProcessId } from '../process/registry'
import { CHECKS } from './prove/checks.table'
import { bodyOf } from './take-in/body'
import { sharedSteps } from './open/shared-steps'
import { wordsFor } from '../mend/registry'
import { oneMend } from './one-mend.fixture'
import { planJob } from './plan-job'
import { recordOf, sentenceText } from './hand-over/record'
import { changesSince } from './stale'

const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const kit: Kit = file.kit!
const demo = (id: string): Job => file.jobs.find(job => job.id === id)!
const cover = demo('gearbox-cover')
/** As if only its flange were cracked. */
const flange = oneMend(cover, 'flange')
const said = (job: Job, id: (typeof STATION_IDS)[number], shop: Kit = kit) =>
  sentenceText(planJob(job, shop)[id].call, 'metric')

describe("a job's plan", () => {
  it('has something to say at every station of an empty job in an empty shop, and wants what it needs', () => {
    const plan = planJob(newJob('x', 'X', '', '2026-11-12T09:00:00Z'), EMPTY_KIT)
    for (const id of STATION_IDS) {
      expect(plan[id].call.length, id).toBeGreaterThan(0)
      expect(plan[id].short.length, id).toBeGreaterThan(0)
    }
    expect(plan.open.wants).toEqual(['a mend'])
    const cracked = { ...newJob('x', 'X', '', '2026-11-12T09:00:00Z'), mends: [newMend('m', 'crack')] }
    expect(planJob(cracked, EMPTY_KIT).open.wants).toEqual(['crack you can see'])
  })
  it('says of the gearbox cover what the questions say', () => {
    const plan = planJob(flange, kit)
    const asked = questions.ask('groove.plan', plan.open.workings.groove!.input)
    const { cutting, planned } = plan.mends.rows[0]!
    expect(asked.ok && asked.answer).toEqual(cutting && 'answer' in cutting && cutting.answer)
    expect((asked as { answer: GroovePlan }).answer).toMatchObject({
      passes: planned!.passes,
      rods: Math.ceil(planned!.rods),
    })
    expect((asked as { answer: GroovePlan }).answer.massG).toBeCloseTo(planned!.depositG, 6)
    expect(said(flange, 'open')).toMatch(/^Groove it from one side, 6\.0 mm deep at 70°; three passes, 1\.6 rods\.$/)
    expect(said(cover, 'call')).toMatch(/^Mend it, with limits: AC TIG with 4043/)
    expect(plan.know.data.identified!.families[0]!.id).toBe('cast-al-si-mg')
  })
  it('opens a working for every figure that says it has one', () => {
    for (const job of file.jobs) {
      const plan = planJob(job, kit)
      for (const id of STATION_IDS) {
        for (const part of [plan[id].call, ...plan[id].why, ...plan[id].change].flat()) {
          if (typeof part !== 'string' && part.ref)
            expect(Object.keys(plan[id].workings), `${job.id} ${id}`).toContain(part.ref)
        }
      }
    }
  })
  it('marks as stale what a change upstream touches, and says what changed', () => {
    const plan = planJob(cover, kit)
    expect(plan.warm.changed).toContainEqual({ what: 'Wall at the damage', before: '6.3 mm', after: '8.0 mm' })
    expect(plan.know.changed).toEqual([])
    const thicker = planJob(
      applyPatch(cover, { path: ['takeIn', 'wallMm'], value: { typed: '10 mm', value: 10 } }),
      kit,
    )
    expect(thicker.call.changed.map(change => change.what)).toContain('Wall at the damage')
    expect(thicker['take-in'].changed.map(change => change.what)).toContain('Wall at the damage')
    expect(thicker.know.changed).toEqual([])
  })
  it('holds the call at a stop caution until it is acknowledged by name', () => {
    expect(planJob(cover, kit).open.held.map(entry => entry.code)).toContain('chlorinated-solvent')
    const heeded = { ...cover, acknowledged: [{ code: 'chlorinated-solvent', name: 'A hand', at: cover.updatedAt }] }
    expect(planJob(heeded, kit).open.held).toEqual([])
  })
  it('sends a safety-critical part on, whatever else is good', () =>
    expect(said(demo('bar-hanger'), 'call')).toMatch(/^Send it on/))
  it('will not hand over what is not proved', () => {
    expect(said(cover, 'hand-over')).toMatch(/before it goes/)
    expect(said(demo('dome-shutter'), 'hand-over')).toMatch(/it may go/)
  })
  it('says when a machine or a torch does not reach', () => {
    const small: Kit = {
      ...kit,
      machines: [{ ...kit.machines[0]!, highA: 60, ratedA: 60 }],
      torches: [{ ...kit.torches[0]!, powerW: 100 }],
    }
    expect(said(flange, 'weld', small)).toMatch(/^Say no: no machine here melts in on this wall/)
    expect(said(cover, 'warm', small)).toMatch(/never gets it to/)
  })
  it('keeps the frequency to what the machine gives, and says so', () => {
    const old = { ...flange, weld: { ...cover.weld, machine: 'tig-old' } }
    expect(planJob(old, kit).weld.data.setUp!.set.frequencyHz).toBe(60)
    expect(
      planJob(old, kit)
        .weld.why.map(sentence => sentenceText(sentence, 'metric'))
        .join(),
    ).toMatch(/100 Hz is outside .* taken as 60 Hz/)
  })
  it('takes the next move from what the puddle last did', () => {
    expect(
      said(
        {
          ...flange,
          weld: {
            ...cover.weld,
            log: [{ id: 'a', at: cover.updatedAt, mend: 'flange', pass: 1, saw: 'reopens', note: '', settings: '' }],
          },
        },
        'weld',
      ),
    ).toMatch(/cut deeper/)
  })
  it('bears any reading without falling over', () => {
    const readings = Object.entries(crack)
      .filter(([, field]) => field.kind === 'reading')
      .map(([key]) => ['mends', '#flange', 'readings', key])
      .concat(
        ['lengthMm', 'widthMm', 'heightMm', 'wallMm', 'hotC'].map(key => ['takeIn', key]),
        ['dryG', 'submergedG', 'hangerG', 'scaleG', 'iacsPct', 'hb'].map(key => ['know', key]),
        ['targetC', 'startC', 'massG'].map(key => ['warm', key]),
        ['enPct', 'frequencyHz', 'flowLMin', 'currentA', 'epA', 'copiedDial', 'interpassC', 'wireMm'].map(key => [
          'weld',
          key,
        ]),
        ['armWideMm', 'armHighMm', 'armLongMm', 'plateMm'].map(key => ['open', key]),
      )
    const value = fc.oneof(
      fc.constantFrom(null, 0, -1, 1e-9, 1e12, -1e12, 660, 200),
      fc.double({ min: -1e4, max: 1e4, noNaN: true }),
    )
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...readings), value), { minLength: 1, maxLength: 5 }), edits => {
        const job = edits.reduce(
          (one, [path, each]) => applyPatch(one, { path, value: { typed: String(each), value: each } }),
          cover,
        )
        const plan = planJob(job, kit)
        return !/NaN|Infinity|undefined/.test(
          JSON.stringify(plan) + STATION_IDS.map(id => sentenceText(plan[id].call, 'inch')).join(),
        )
      }),
      { numRuns: 150, seed: 19 },
    )
  })
})

describe('pieces of the plan', () => {
  it('reckons a tray from its walls, and believes the scale before it', () => {
    const light = { ...cover, know: { ...cover.know, dryG: { typed: '', value: null } } }
    const body = bodyOf({ ...light, shape: { ...cover.shape, pieces: [] } }, 2.68)!
    const [l, w, h, t] = [279.4, 190.5, 71.12, 8.001]
    expect(body.volumeMm3).toBeCloseTo(l * w * h - (l - 2 * t) * (w - 2 * t) * (h - t), 0)
    expect(bodyOf(cover, 2.68)!.massKg).toBeCloseTo(2.868, 6)
    // Made as a shape, it is reckoned by that; the scale goes all the same, and what it says is kept beside.
    const shaped = bodyOf(light, 2.68)!
    expect([shaped.from, bodyOf(cover, 2.68)!.reckonedKg]).toEqual(['shape', shaped.massKg])
    expect(shaped.massKg).toBeGreaterThan(2.5)
    expect(bodyOf(newJob('x', 'X', '', '2026-11-12T09:00:00Z'), 2.7)).toBeNull()
  })
  it('puts cleaning in the order of the trade (common practice, no source)', () => {
    const [row] = planJob(flange, kit).mends.rows
    const shared = sharedSteps(cover, ['ac-tig'])
    const steps = (when: 'before' | 'after') => shared.filter(step => step.when === when).map(({ id }) => id)
    const order = [...steps('before'), ...row!.planned!.opening.map(({ code }) => code), ...steps('after')]
    const before = (a: string, b: string) => expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b))
    before('protect-lip-seal', 'degrease')
    before('degrease', 'earlier')
    before('earlier', 'find-ends')
    before('find-ends', 'stop-holes')
    before('stop-holes', 'groove')
    before('groove', 'wipe')
    before('wipe', 'bake')
    before('bake', 'wipe-again')
    before('wipe-again', 'earth')
    before('earth', 'clean')
    for (const code of order.slice(order.indexOf('find-ends'), order.indexOf('bake')))
      expect(wordsFor('crack', code)).toMatch(/\w{3}/)
  })
  it('earths and tries the arc only where there is one, fluxes only what wants flux, and washes it off afterwards', () => {
    const steps = (process: ProcessId) => sharedSteps(cover, [process]).map(step => step.id)
    expect(steps('ac-tig')).toContain('earth')
    for (const process of ['zinc-rod-braze', 'al-si-braze', 'oxy-fuel'] as const)
      expect(steps(process)).not.toContain('earth')
    expect(PROCESS_IDS.filter(process => steps(process).includes('flux'))).toEqual(['al-si-braze', 'oxy-fuel'])
    expect(sharedSteps(cover, ['oxy-fuel']).find(step => step.id === 'clean')!.text).not.toContain('arc')
    expect(sharedSteps(cover, ['ac-tig', 'al-si-braze']).map(({ id }) => id)).toEqual(
      expect.arrayContaining(['earth', 'clean', 'flux']),
    )
    // Where nothing is laid, nothing is baked or earthed.
    expect(sharedSteps(cover, []).every(({ when }) => when === 'before')).toBe(true)
    const checks = (process: ProcessId) =>
      planJob(applyPatch(cover, { path: ['call', 'process'], value: process }), kit).prove.data.checks.map(
        check => check.id,
      )
    // A rod that is never for this metal is not laid, and so leaves no flux to wash off.
    expect(PROCESS_IDS.filter(process => checks(process).includes('flux'))).toEqual(['oxy-fuel'])
    expect(PROCESS_IDS.filter(process => checks(process).includes('wetted'))).toEqual([])
  })
  it('asks the checks that the duty needs', () => {
    const checks = planJob(cover, kit).prove.data.checks.map(check => check.id)
    expect(checks).toEqual(expect.arrayContaining(['look', 'dye', 'flat', 'line', 'pattern', 'leak', 'fit', 'cause']))
    expect(planJob(demo('signal-bracket'), kit).prove.data.checks.map(check => check.id)).not.toContain('leak')
    for (const row of CHECKS) if (row.caution) expect(CAUTION_CODES).toContain(row.caution)
  })
  it('has words for every caution, and none of them empty', () => {
    for (const code of CAUTION_CODES)
      expect(caution(code)).toMatchObject({ text: expect.stringMatching(/\w{3}/), title: expect.stringMatching(/\w/) })
  })
  it('sees what is new, gone and changed', () =>
    // What it did not know when it was settled is not held against it.
    expect(
      changesSince(
        { 'takeIn.wallMm': 6, 'takeIn.does': 'seal', 'is.process': 'ac-tig' },
        { 'takeIn.wallMm': 6, 'takeIn.does': 'static', 'is.price': 3 },
        cover,
      ),
    ).toEqual([
      { what: 'What it does', before: 'seals', after: 'steady load' },
      { what: 'process', before: 'ac tig', after: '' },
    ]))
  it('writes a record that holds cause, metal, log, checks and who heeded what', () => {
    const record = recordOf(demo('dome-shutter'), planJob(demo('dome-shutter'), kit), kit, 'metric')
    expect(record.sections.map(section => section.title)).toEqual([
      'What came in',
      'The metal',
      'What was done',
      'Mends',
      'How it was proved',
      'Use',
      'Price',
    ])
    expect(JSON.stringify(record)).toMatch(/gusset/)
    expect(record.log.length).toBeGreaterThan(2)
    expect(record.acknowledged[0]).toMatchObject({ name: 'Wren Tolliver' })
  })
})

it("a picture's pins stand in the record", () => {
  const lines = recordOf(cover, planJob(cover, kit), kit, 'metric').sections.flatMap(section => section.lines)
  expect(lines.find(line => line.label === 'In the pictures')?.text).toContain('pin 1: crack starts at this bolt hole')
})
