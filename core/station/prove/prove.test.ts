import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { newJob } from '../../job/new-job'
import { applyPatch } from '../../job/patch'
import { FACES } from '../../quantity/pdf-faces.fixture'
import { embedFaces } from '../../quantity/pdf-faces'
import { CHECKS } from './checks.table'
import { dayFromJobs, lateJobs, promised } from '../shop/day'
import { shapeOfPieces } from '../../solid/stored/to-shape'
import { partDrawing } from '../take-in/part-drawing'
import { lessonsOf } from '../shop/lessons'
import { planJob } from '../plan-job'
import { recordOf, sentenceText } from '../hand-over/record'
import { recordPdf, wrapped } from '../hand-over/record-pdf'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const shutter = file.jobs.find(job => job.id === 'dome-shutter')!
const cover = file.jobs.find(job => job.id === 'gearbox-cover')!
const edit = (job: Job, path: string, value: unknown) => applyPatch(job, { path: path.split('.'), value })
const read = (value: number, unit = '') => ({ typed: `${value} ${unit}`, value })
const said = (job: Job) => {
  const { prove } = planJob(job, kit)
  return [prove.call, ...prove.why].map(sentence => sentenceText(sentence, 'metric')).join('\n')
}

describe('what was measured', () => {
  it('run-out is total, off centre and where it is high, against its limit', () => {
    const turned = edit(
      edit(
        cover,
        'prove.runOut',
        Array.from({ length: 12 }, (_, n) => read(0.04 * Math.cos(((n * 30 - 60) * Math.PI) / 180))),
      ),
      'prove.runOutLimitMm',
      read(0.05),
    )
    expect(said(turned)).toMatch(/Runs out 0\.080 mm in all, off centre by 0\.040 mm, high at 60°: over its limit/)
    expect(planJob(turned, kit).prove.data.checks.find(check => check.id === 'runout')!.within).toBe(false)
    expect(said(edit(turned, 'prove.results.runout', { result: 'pass', note: '', at: cover.updatedAt }))).toContain(
      'marked passed, but its readings are over',
    )
    expect(said(edit(cover, 'prove.runOut', [read(1), { typed: '', value: null }]))).toContain('readings at least')
  })
  it('a leak says its hole, and a dangerous charge stops the test before it', () => {
    const blown = edit(edit(cover, 'prove.volumeL', read(2)), 'prove.startKPa', read(10))
    expect(said(blown)).toContain('read it again after the time')
    expect(said(edit(blown, 'prove.endKPa', read(9)))).toMatch(/Loses .* as through a hole of/)
    const danger = planJob(edit(edit(blown, 'prove.volumeL', read(50)), 'prove.startKPa', read(300)), kit).prove
    expect(danger.cautions[0]).toMatchObject({ code: 'stored-energy', level: 'stop' })
    expect(danger.held.map(caution => caution.code)).toContain('stored-energy')
  })
  it('a failed check says where to go back to, and each check has a station', () => {
    expect(said(edit(cover, 'prove.results.leak', { result: 'fail', note: '', at: cover.updatedAt }))).toContain(
      'Leak failed: back to Weld',
    )
    for (const check of CHECKS) expect(check.back).toMatch(/^(take-in|open|weld|rebuild)$/)
  })
  it('what may not move is measured before and after, and says how far it went', () => {
    const moved = edit(cover, 'prove.compared', [
      { id: 'b', what: 'Bore', beforeMm: read(40), afterMm: read(40.03), limitMm: read(0.02) },
      { id: 'p', what: 'Pivots', beforeMm: read(90), afterMm: { typed: '', value: null }, limitMm: read(0.1) },
    ])
    expect(said(moved)).toContain('Bore: 40.000 mm before, 40.030 mm after; moved 0.030 mm, over its limit')
    expect(planJob(moved, kit).prove.data.checks.find(check => check.id === 'line')?.within).toBe(false)
    expect(said(moved)).not.toContain('Pivots')
  })
  it('stands in the record', () => {
    const job = edit(edit(edit(shutter, 'prove.addedG', read(4)), 'prove.radiusMm', read(60)), 'overruled', [
      { field: 'title', words: 'The other name' },
    ])
    const text = JSON.stringify(recordOf(job, planJob(job, kit), kit, 'metric'))
    expect(text).toContain('240 g·mm')
    expect(text).toContain('The other name')
  })
})

describe('the record as a PDF', () => {
  it('holds sections, log and pictures, over as many pages as it takes', async () => {
    const long = {
      ...shutter,
      weld: {
        ...shutter.weld,
        log: Array.from({ length: 120 }, (_, n) => ({
          id: `x${n}`,
          at: shutter.updatedAt,
          pass: 1,
          saw: 'pinhole' as const,
          note: 'noted',
          settings: '150 A',
        })),
      },
    }
    const picture = readFileSync(new URL('../../../demo/pictures/demo-flange.jpg', import.meta.url))
    const { bytes, lacked } = await recordPdf({
      faces: FACES,
      shop: kit.shop,
      title: shutter.title,
      under: 'For someone.',
      record: recordOf(long, planJob(long, kit), kit, 'metric'),
      part: partDrawing(cover, planJob(cover, kit), shapeOfPieces(cover.shape.pieces), 'metric'),
      pictures: [
        { name: 'flange', type: 'image/jpeg', bytes: picture },
        { name: 'broken', type: 'image/png', bytes: new Uint8Array([1, 2, 3]) },
      ],
    })
    expect(lacked).toEqual([])
    const pdf = await PDFDocument.load(bytes)
    expect(pdf.getPageCount()).toBeGreaterThan(3)
    expect(pdf.getTitle()).toBe(shutter.title)
  })
  it('draws the part with a number at every mark that is said of it', () => {
    const { layers, marks, low, high } = partDrawing(
      cover,
      planJob(cover, kit),
      shapeOfPieces(cover.shape.pieces),
      'metric',
    )
    expect(layers.length).toBeGreaterThan(3)
    expect([high[0] - low[0], high[1] - low[1]]).toEqual([279.4, 190.5])
    expect(marks.map(mark => mark.number)).toEqual(cover.shape.marks.map((_, n) => n + 1))
    expect(marks[0]!.text).toBe('crack through the flange, 110.2 mm along its line')
  })
  it('lets no line be too wide, whatever the text', async () => {
    const { plain, drawn } = await embedFaces(await PDFDocument.create(), FACES)
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 120 }), fc.integer({ min: 40, max: 400 }), (text, wide) => {
        for (const line of wrapped(drawn(text), plain, 9, wide))
          if (plain.widthOfTextAtSize(line, 9) > wide && line.length > 1) return false
        return true
      }),
      { seed: 121, numRuns: 100 },
    )
  })
})

describe('lessons', () => {
  const done = (id: string, minutes: number, more: (job: Job) => Job = job => job): Job =>
    more({ ...shutter, id, handOver: { ...shutter.handOver, actualMin: { 'mend-toe': minutes }, usedRods: 3 } })
  const plannedMin = planJob(shutter, { ...kit, learnt: null })['hand-over'].data.phases.find(
    phase => phase.id === 'mend-toe',
  )!.minutes
  it('say how long the shop takes over the starting value, from how many jobs, and plans go by it', () => {
    const lessons = lessonsOf([done('a', plannedMin * 2), done('b', plannedMin * 2), done('c', plannedMin * 2)], kit)
    const crack = lessons.learnt.find(entry => entry.key === 'mend-of-crack')!
    expect(crack.ratio.jobs).toBe(3)
    // Three jobs at twice the time, drawn towards one by two: 2^(3/5).
    expect(crack.ratio.ratio).toBeCloseTo(2 ** 0.6, 6)
    const taught = { ...kit, learnt: { at: shutter.updatedAt, ratios: { 'mend-of-crack': crack.ratio }, odds: null } }
    const phase = planJob(shutter, taught)['hand-over'].data.phases.find(entry => entry.id === 'mend-toe')!
    expect([phase.startingMin, phase.fromJobs]).toEqual([plannedMin, 3])
    expect(phase.minutes).toBeCloseTo(plannedMin * 2 ** 0.6, 6)
    expect(
      planJob(shutter, taught)
        ['hand-over'].why.map(sentence => sentenceText(sentence, 'metric'))
        .join(),
    ).toMatch(/Your shop: .* from three finished jobs/)
    expect(
      lessonsOf([done('a', plannedMin * 2)], taught).learnt.find(entry => entry.key === 'mend-of-crack')!.ratio.ratio,
    ).toBeCloseTo(2 ** (1 / 3), 6)
  })
  it('of welding, from before cracks were mends, stand for them until they teach it anew', () => {
    const ratios = { weld: { ratio: 1.5, jobs: 4, low: 1, high: 2 } }
    const phase = (more: object) =>
      planJob(shutter, { ...kit, learnt: { at: shutter.updatedAt, ratios: { ...ratios, ...more }, odds: null } })[
        'hand-over'
      ].data.phases.find(entry => entry.id === 'mend-toe')!
    expect(phase({})).toMatchObject({ fromJobs: 4, minutes: expect.closeTo(plannedMin * 1.5, 6) })
    expect(phase({ 'mend-of-crack': { ratio: 1, jobs: 7, low: 1, high: 1 } }).fromJobs).toBe(7)
  })
  it('count a part that came back as one that did not hold, and say why', () => {
    const back = { ...newJob('back', 'Came back', '', shutter.takenInAt) }
    back.takeIn = { ...back.takeIn, comebackOf: 'a', comebackWhy: 'beside' }
    const lessons = lessonsOf([done('a', 30), done('b', 30), back], kit)
    expect(lessons.all).toMatchObject({ jobs: 2, successes: 1 })
    expect(lessons.comebacks).toEqual([{ why: 'cracked beside the weld', jobs: 1 }])
    expect(lessons.all!.lowPct).toBeLessThan(20)
  })
  it('know what a machine has brought in, and nothing of a shop with nothing finished', () => {
    const paid = { ...kit, machines: kit.machines.map(machine => ({ ...machine, paid: 1200 })) }
    expect(lessonsOf([done('a', 30)], paid).machines.find(machine => machine.jobs === 1)!.earned).toBeGreaterThan(10)
    expect(lessonsOf([cover], EMPTY_KIT)).toMatchObject({ finished: 0, all: null, learnt: [] })
  })
})

describe('a day with promises', () => {
  const midnightMs = Date.parse('2026-11-26T00:00:00Z')
  const around = { midnightMs, nowMin: 480, notBefore: {}, running: {} }
  const TWO_DAYS = [0, 1].map(n => ({ startMin: n * 1440 + 480, endMin: n * 1440 + 1020 }))
  const due = edit(cover, 'takeIn.dueAt', '2026-11-26T09:00:00Z')
  it('begins nothing before now, holds what is put off, and waits for a running clock', () => {
    const { given } = dayFromJobs([due], kit, TWO_DAYS, { ...around, running: { 'gearbox-cover': 25 } })
    expect(given.jobs[0]).toMatchObject({ due: 540 })
    expect(given.jobs[0]!.tasks[0]!.earliestMin).toBe(505)
    const first = given.jobs[0]!.tasks[0]!.id
    expect(
      dayFromJobs([due], kit, [], { ...around, notBefore: { [first]: 700 } }).given.jobs[0]!.tasks[0]!.earliestMin,
    ).toBe(700)
  })
  it('turns the slug before it lies in the freezer and presses it after, and lets solvent dry before heat', () => {
    const bracket = file.jobs.find(job => job.id === 'signal-bracket')!
    const { given } = dayFromJobs([bracket, file.jobs.find(job => job.id === 'cider-tray')!], kit, TWO_DAYS, around)
    const [slugged, tray] = given.jobs
    const freeze = slugged!.tasks.find(task => task.id.endsWith('-freeze'))!
    expect(freeze).toMatchObject({
      unattended: true,
      needs: ['freezer'],
      after: ['signal-bracket:mend-bolt-bore'],
      minutes: 120,
    })
    expect(slugged!.tasks.find(task => task.id.endsWith(':mend-bolt'))!.after).toEqual([freeze.id])
    // A part is put into the oven by somebody, and is welded within four hours of coming out.
    const baked = dayFromJobs([cover], kit, TWO_DAYS, around).given.jobs[0]!.tasks
    const load = baked.findIndex(task => task.id.endsWith(':open-load'))
    expect(baked[load]).toMatchObject({ needs: ['hands'], unattended: false })
    expect(baked[load + 1]).toMatchObject({
      id: 'gearbox-cover:open-alone',
      maxWaitMin: 0,
      unattended: true,
      needs: ['oven'],
    })
    expect(baked[load + 2]).toMatchObject({ id: 'gearbox-cover:set-up', maxWaitMin: 240 })
    const dry = tray!.tasks.findIndex(task => task.id.endsWith(':open-dry'))
    expect(tray!.tasks[dry - 1]!.id).toMatch(/:open$/)
    expect(tray!.tasks[dry + 1]!.after).toEqual([tray!.tasks[dry]!.id])
  })
  it('what is begun goes on with what is left of it, and the hands are free for nothing else until then', () => {
    const tray = file.jobs.find(job => job.id === 'cider-tray')!
    const plain = dayFromJobs([due, tray], kit, TWO_DAYS, around)
    const first = plain.given.jobs[1]!.tasks[0]!
    const begun = dayFromJobs([due, tray], kit, TWO_DAYS, {
      ...around,
      notBefore: { [first.id]: 900 },
      begun: { [first.id]: first.minutes - 7 },
    }).given.jobs
    expect(begun[1]!.tasks[0]).toMatchObject({ minutes: 7, earliestMin: 480 })
    expect(begun[0]!.tasks[0]!.earliestMin).toBe(487)
    // Run over, it is taken for nearly done.
    const over = dayFromJobs([tray], kit, TWO_DAYS, { ...around, begun: { [first.id]: 9999 } }).given.jobs[0]!
    expect(over.tasks[0]!.minutes).toBe(1)
  })
  it('says who is late, why, and what would save it', () => {
    const { given, tasks } = dayFromJobs([due], kit, TWO_DAYS, around)
    let at = 480
    const placed = tasks.map(task => {
      const one = { ...task, startMin: at }
      at += task.minutes
      return one
    })
    const [late] = lateJobs(given, placed)
    expect(late!.lateMin).toBe(at - 540)
    expect(late!.why).toMatch(/it (takes|begins)/)
    // What is promised is said before it breaks too, the tightest first.
    expect(promised(given, placed)).toMatchObject([{ id: late!.id, dueMin: 540, endMin: at, roomMin: 540 - at }])
    const roomy = { ...given, jobs: given.jobs.map(job => ({ ...job, due: at + 60 })) }
    expect(promised(roomy, placed)[0]!.roomMin).toBe(60)
    expect(lateJobs({ ...given, jobs: given.jobs.map(job => ({ ...job, due: 5000 })) }, placed)).toEqual([])
  })
})
