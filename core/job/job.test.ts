import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { jobToText, readFile, readJob, shopToText } from './files'
import { jobSchema, kitSchema, type Job } from './job.schema'
import { FILE_SCHEMAS, jsonSchemaOf, type FileKind } from './json-schema'
import { EMPTY_KIT } from './empty-kit'
import { newJob } from './new-job'
import { newMend } from './new-mend'
import { JOB_VERSION } from './version'
import { crackToMend } from './crack-to-mend'
import { passStep } from './mend-steps'
import { toFive } from './to-five'
import { toFour } from './to-four'
import { mendSchema } from './mend.schema'
import { shapeOfSolid } from '../solid/stored/to-shape'
import { mergeJob, mergeJobs } from './merge'
import { applyPatch, inverseOf, valueAt } from './patch'

const AT = '2026-11-12T09:00:00Z'
const job = (): Job => newJob('job-1', 'A bracket', 'the village hall', AT)
const with_ = (change: (job: Job) => void) => {
  const one = structuredClone(job())
  change(one)
  return one
}

describe('patches', () => {
  it('replaces one value and shares the rest', () => {
    const before = job()
    const after = applyPatch(before, { path: ['handOver', 'alike'], value: 2 })
    expect(after.handOver.alike).toBe(2)
    expect(before.handOver.alike).toBe(1)
    expect(after.takeIn).toBe(before.takeIn)
  })
  it('goes there and back again, for any run of edits', () => {
    const paths = [
      ['title'],
      ['handOver', 'alike'],
      ['takeIn', 'damage'],
      ['prove', 'results', 'look'],
      ['settled', 'know'],
      ['handOver', 'other', 0],
    ] as const
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...paths), fc.oneof(fc.string(), fc.integer(), fc.constant(undefined))), {
          maxLength: 12,
        }),
        edits => {
          const start = job()
          const backs = []
          let now: Job = start
          for (const [path, value] of edits) {
            backs.unshift(inverseOf(now, { path, value }))
            now = applyPatch(now, { path, value })
          }
          for (const back of backs) now = applyPatch(now, back)
          expect(now).toEqual(start)
          expect(valueAt(now, ['prove', 'results', 'look'])).toBeUndefined()
        },
      ),
      { seed: 17 },
    )
  })
  it('does not go through a prototype', () => {
    for (const key of ['__proto__', 'constructor', 'prototype'])
      expect(() => applyPatch(job(), { path: [key, 'x'], value: 1 })).toThrow()
    expect(({} as Record<string, unknown>).x).toBeUndefined()
  })
})

describe('files', () => {
  it('gives back a job and a shop unchanged', () => {
    expect(readFile(jobToText(job()))).toEqual({ ok: true, jobs: [job()], kit: null, corrected: [] })
    const read = readFile(shopToText([job()], EMPTY_KIT, AT))
    expect(read).toEqual({ ok: true, jobs: [job()], kit: EMPTY_KIT, corrected: [] })
  })
  it.each([
    ['', /empty/],
    ['{', /breaks off at/],
    ['{"kind":\n "wild-sparrow/job",,}', /line 2/],
    ['[]', /not a Wild Sparrow file/],
    ['{"kind":"other"}', /kind/],
    ['null', /not a Wild Sparrow file/],
    ['{"kind":"wild-sparrow/job","version":99}', /newer/],
    ['{"kind":"wild-sparrow/job","version":1}', /./],
  ])('refuses %s and says where', (text, why) => {
    const read = readFile(text)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.issues.map(issue => `${issue.path} ${issue.message}`).join()).toMatch(why)
  })
  it('names the path of a bad value', () => {
    const text = jobToText(job()).replace('"alike": 1', '"alike": 0')
    expect(readFile(text)).toMatchObject({ ok: false, issues: [{ path: 'handOver.alike' }] })
    const twice = shopToText([job(), job()], EMPTY_KIT, AT)
    expect(readFile(twice)).toMatchObject({ ok: false, issues: [{ path: 'jobs' }] })
  })
  it('says the line and column where a file breaks off, and which line is the end', () => {
    const lines = jobToText(job()).split('\n')
    const at = lines.findIndex(line => line.includes('"alike"'))
    const broken = [...lines]
    broken[at] = broken[at]!.replace(':', ' ')
    const found = readFile(broken.join('\n'))
    expect(found.ok).toBe(false)
    if (!found.ok) expect(found.issues[0]!.message).toMatch(new RegExp(`line ${at + 1}, column \\d+ `))
    const odd = [...lines]
    odd[at] = `${odd[at]!.slice(0, -1)} nought,`
    const other = readFile(odd.join('\n'))
    if (!other.ok) expect(other.issues[0]!.message).toContain(`line ${at + 1},`)
    const cut = readFile(lines.slice(0, 40).join('\n'))
    if (!cut.ok) expect(cut.issues[0]!.message).toContain('line 40,')
  })
  it('refuses dates that no bench can mean, words of which nothing is seen, and shows what hides in words', () => {
    const file = (change: object) => readFile(JSON.stringify({ ...job(), ...change }))
    expect(file({ updatedAt: '9999-12-31T00:00:00Z' })).toMatchObject({ ok: false, issues: [{ path: 'updatedAt' }] })
    expect(file({ title: '\u200b\u2060' })).toMatchObject({ ok: false, issues: [{ path: 'title' }] })
    const shown = file({ title: 'Cover \u202egnp.exe\u0000' })
    expect(shown.ok && shown.jobs[0]!.title).toBe('Cover \ufffdgnp.exe\ufffd')
  })
  it('takes no mutated file that its schema would not', () => {
    const text = jobToText(job())
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: text.length - 1 }),
        fc.integer({ min: 0, max: 20 }),
        fc.string({ maxLength: 6 }),
        (at, cut, put) => {
          const read = readFile(text.slice(0, at) + put + text.slice(at + cut))
          return !read.ok || read.jobs.every(each => jobSchema.safeParse(each).success)
        },
      ),
      { numRuns: 1000, seed: 18 },
    )
  })
  it('doubles nothing: the same file twice is kept, a newer job replaces, an older does not', () => {
    const here = [job()]
    expect(mergeJobs(here, [job()])).toMatchObject({ add: [], replace: [], keep: [{ id: 'job-1' }] })
    expect(
      mergeJobs(here, [
        with_(one => {
          one.updatedAt = '2026-11-12T09:00:00.001Z'
        }),
      ]).replace,
    ).toHaveLength(1)
    expect(
      mergeJobs(here, [
        with_(one => {
          one.updatedAt = '2026-11-11T09:00:00Z'
        }),
      ]).keep,
    ).toHaveLength(1)
    expect(mergeJobs([], [job()]).add).toHaveLength(1)
  })
  it('has defaults that its own schema takes', () => {
    expect(jobSchema.parse(job())).toEqual(job())
    // A kit of before it was asked has its own rate; on a bench with nothing on it nobody has said one.
    expect(kitSchema.parse({})).toEqual({ ...EMPTY_KIT, rateAssumed: false })
  })
})

type Was = Record<string, unknown>
const isSaid = (held: unknown) => (typeof held === 'string' ? held : (held as { typed: string }).typed) !== ''

describe('a shop of version 1', () => {
  const text = readFileSync(new URL('./fixtures/shop-version-1.json', import.meta.url), 'utf8')
  it('opens unharmed: every job as it was, its lists with names, nothing else changed', () => {
    const read = readFile(text)
    if (!read.ok) throw new Error(JSON.stringify(read.issues))
    const before = (JSON.parse(text) as { jobs: Record<string, unknown>[] }).jobs
    expect(read.jobs).toHaveLength(before.length)
    const unnamed = (value: unknown) =>
      JSON.parse(
        JSON.stringify(value, (key, each: unknown) =>
          (key === 'holes' || key === 'other') && Array.isArray(each)
            ? (each as Record<string, unknown>[]).map(({ id: _, ...rest }) => rest)
            : each,
        ),
      ) as Record<string, unknown>
    read.jobs.forEach((job, n) => {
      const { version, mends, ...rest } = unnamed(job) as Record<string, unknown> & { takeIn: Record<string, unknown> }
      expect(version).toBe(JOB_VERSION)
      const { moves, ...takeIn } = rest.takeIn
      expect(moves).toBe('still')
      const { open, rebuild, weld, handOver, settled, ...was } = unnamed(before[n]) as Record<string, Was>
      delete was.version
      expect({ ...rest, takeIn }).toMatchObject(was)
      // A thread and a bend stand among the mends since version 4, the crack since version 5; nothing else has moved.
      expect(rebuild).toMatchObject(rest.rebuild as object)
      expect({ ...open, done: job.open.done }).toMatchObject(rest.open as object)
      const { passesDone, log, ...set } = weld!
      expect(rest.weld).toMatchObject(set)
      expect(job.weld.log).toMatchObject(log as object[])
      const { actualMin, ...handed } = handOver!
      expect(rest.handOver).toMatchObject(handed)
      const minutes = (of: object) => Object.values(of).reduce((sum: number, each: number) => sum + each, 0)
      expect(minutes(job.handOver.actualMin)).toBe(minutes(actualMin as object))
      expect(Object.keys(job.settled)).toEqual(Object.keys(settled!))
      const told = [...['thread', 'threadDeepMm', 'bossMm'].map(key => rebuild![key]), open!.crackMm].filter(isSaid)
      const passes = (passesDone as number[]).map(passStep)
      expect((mends as { readings: object }[]).flatMap(mend => Object.values(mend.readings))).toEqual(
        expect.arrayContaining(told),
      )
      expect(job.mends.flatMap(({ done }) => done)).toEqual(expect.arrayContaining(passes))
    })
    expect(read.corrected).toEqual([])
  })
  it('of a version to come is refused by that name, in a file and in the database', () => {
    const newer = text.replaceAll('"version": 1', `"version": ${JOB_VERSION + 1}`)
    expect(readFile(newer)).toMatchObject({
      ok: false,
      issues: [{ path: 'version', message: expect.stringContaining('newer') }],
    })
    expect(readJob({ ...job(), version: JOB_VERSION + 1 })).toMatchObject({
      ok: false,
      issues: [{ message: expect.stringContaining('newer') }],
    })
  })
})

describe('a shop of version 2', () => {
  const text = readFileSync(new URL('./fixtures/shop-version-2.json', import.meta.url), 'utf8')
  const read = readFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const [two, one, file, none] = read.jobs as [Job, Job, Job, Job]
  it('has one shape for the whole job: the first on its heat bench', () => {
    expect(one.shape.pieces.map(({ id, kind }) => [id, kind])).toEqual([
      ['p1', 'plate'],
      ['p2', 'disc'],
    ])
    expect(one.warm.setups.map(setup => setup.parts)).toEqual([[], []])
    expect(one.warm.setups[0]!.places).toHaveLength(1)
    expect(shapeOfSolid(one.shape)?.kind).toBe('union')
  })
  it('keeps another shape where a second set-up had one', () => {
    expect(two.shape.pieces).toHaveLength(2)
    expect(two.warm.setups.map(setup => setup.parts.length)).toEqual([0, 1])
  })
  it('keeps a shape from a file by its name', () => {
    expect(file.shape.mesh?.file).toBe('mesh-1')
    expect(file.warm.setups[0]!.mesh).toBeNull()
  })
  it('with nothing on its heat bench has no shape, and all else as it was', () => {
    expect(none.shape).toEqual({ pieces: [], mesh: null, marks: [] })
    const { open, rebuild, weld, ...was } = (JSON.parse(text) as { jobs: Record<string, unknown>[] }).jobs[3]!
    const { settled: _, mends, ...rest } = was
    expect(mends).toEqual([])
    expect(none).toMatchObject({ ...rest, version: JOB_VERSION })
    expect(open).toMatchObject({ ...none.open, done: expect.any(Array) })
    expect(rebuild).toMatchObject(none.rebuild)
    const { passesDone: __, ...set } = weld as Was
    expect(none.weld).toMatchObject(set)
  })
})

describe('a shop of version 3', () => {
  const text = readFileSync(new URL('./fixtures/shop-version-3.json', import.meta.url), 'utf8')
  const read = readFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const [bracket, odd, plain, cover, tray, arm, axle] = read.jobs as [Job, Job, Job, Job, Job, Job, Job]
  const before = (JSON.parse(text) as { jobs: Record<string, unknown>[] }).jobs
  const typed = (text: string, value: number) => ({ typed: text, value })
  it('has its thread, its slug and its bend among the mends, with what was done and nothing that nobody said', () => {
    expect(bracket.mends).toEqual([
      expect.objectContaining({ id: 'opening', kind: 'crack' }),
      {
        ...newMend('rebuilt-thread', 'thread'),
        readings: {
          thread: 'M8',
          deepMm: typed('16 mm', 16),
          bossMm: typed('26 mm', 26),
          torqueNm: typed('14 N·m', 14),
          beneathMm: typed('24 mm', 24),
          way: 'pressed-slug',
          slugMm: typed('15 mm', 15),
          cold: 'dry-ice',
        },
        done: ['machine-bore', 'machine-chill'],
      },
      { ...newMend('rebuilt-bend', 'bent'), readings: { bentMm: typed('1.5 mm', 1.5), overMm: typed('60 mm', 60) } },
    ])
    expect(read.corrected).toEqual([])
  })
  it('keeps a thread that nobody understands as it was typed, and a bend without its length', () => {
    expect(odd.mends.map(mend => [mend.kind, mend.readings.thread ?? mend.readings.bentMm])).toEqual([
      ['crack', undefined],
      ['thread', 'M8ish'],
      ['bent', typed('1.5 mm', 1.5)],
    ])
  })
  it('has no mend where nothing was said of a thread, and all else as it was', () => {
    expect(plain.mends.map(({ kind }) => kind)).toEqual(['crack'])
    const { rebuild, title, takeIn, know } = before[2]! as { rebuild: object } & Record<string, unknown>
    expect(plain).toMatchObject({ title, takeIn, know, version: JOB_VERSION })
    expect(rebuild).toMatchObject(plain.rebuild)
    expect(cover.mends.map(mend => mend.id)).toEqual(['opening', 'drain', 'gasket'])
  })
  it('has a patch, an edge and a turned groove that were the opening among the mends, with what hung on it', () => {
    expect([tray, arm, axle].map(job => job.mends.map(mend => mend.kind))).toEqual([
      ['window'],
      ['edge', 'thread'],
      ['turned'],
    ])
    expect(tray.mends[0]).toMatchObject({
      id: 'first-opening',
      readings: { wideMm: typed('80 mm', 80), highMm: typed('50 mm', 50), includedDeg: typed('70 °', 70) },
      lays: [{ process: 'mig-pulse', filler: '5356', upTo: 'cap' }],
      done: ['cut-window', 'bevel-window', 'wipe', 'pass-1', 'pass-2'],
    })
    expect(tray.weld.log).toMatchObject([{ mend: 'first-opening', saw: 'bubbles' }])
    expect(tray.open.done).toContain('degrease')
    expect(tray.shape.marks[0]!.mend).toBe('first-opening')
    expect(arm.mends[0]!.readings).toMatchObject({ longMm: typed('40 mm', 40), highMm: typed('6 mm', 6) })
    // Left over 2 mm of a wall of 8: the groove was 6 deep, and as wide as its angle and root make it.
    expect(axle.mends[0]!.readings).toMatchObject({ turnedMm: typed('100 mm', 100), deepMm: typed('6 mm', 6) })
    expect((axle.mends[0]!.readings.wideMm as { value: number }).value).toBeGreaterThan(8)
  })
  it('comes to one job of two benches, whichever of them brought it up first', () => {
    const [here, there] = [bracket, { ...bracket, updatedAt: '2026-11-25T09:00:00Z' }]
    expect(mergeJob(here, there).job.mends).toEqual(mergeJob(there, here).job.mends)
    expect(mergeJob(here, there).job.mends).toEqual(bracket.mends)
    const taken = toFour({ version: 3, mends: [newMend('rebuilt-thread', 'hole')], rebuild: { thread: 'M6' } })
    expect((taken.mends as { id: string }[]).map(mend => mend.id)).toEqual(['rebuilt-thread', 'rebuilt-thread-'])
    // A groove filled with a rod has a hundred passes and more: all that were laid stay laid.
    const laid = toFour({
      version: 3,
      open: { work: 'turned', done: ['wipe'] },
      weld: { passesDone: Array.from({ length: 300 }, (_, n) => n + 1), log: [] },
    }).mends as object[]
    expect(mendSchema.parse(laid[0]).done).toHaveLength(301)
    const stamped = toFour({
      version: 3,
      rebuild: { thread: 'M6' },
      stamps: { 'rebuild.thread': '2026-11-20T09:00:00Z', mends: '2026-11-19T09:00:00Z' },
    })
    expect(stamped.stamps).toMatchObject({ mends: '2026-11-20T09:00:00Z' })
  })
})

describe('a shop of version 4', () => {
  const text = readFileSync(new URL('./fixtures/shop-version-4.json', import.meta.url), 'utf8')
  const read = readFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const [cover, bracket, hanger, shutter, tray, ring, handed] = read.jobs as [Job, Job, Job, Job, Job, Job, Job]
  const typed = (text: string, value: number) => ({ typed: text, value })
  it('has its crack first among the mends, with all that was said and done of it, and nothing that nobody said', () => {
    expect(bracket.mends[0]).toEqual({
      ...newMend('opening', 'crack'),
      readings: {
        lengthMm: typed('42 mm', 42),
        sides: '2',
        keepBreak: true,
        landMm: typed('1.5 mm', 1.5),
        rodMm: typed('2.4 mm', 2.4),
        machined: true,
      },
      done: ['uncoat', 'find-ends', 'stop-holes', 'groove', 'wipe', 'pass-1', 'pass-2'],
    })
    expect(bracket.open.done).toEqual(['protect-finished-face', 'degrease'])
    expect(bracket.weld.log.map(({ mend }) => mend)).toEqual(['opening', 'opening', 'opening'])
    expect(bracket.shape.marks[0]!.mend).toBe('opening')
    expect(cover.mends.map(({ id }) => id)).toEqual(['opening', 'drain', 'gasket'])
    expect(cover.mends[0]!.readings).toMatchObject({ stopHoleMm: typed('1/8 in', 3.175), machined: true })
    expect(shutter.handOver.actualMin).toEqual({ open: 34, warm: 5, prove: 48, 'mend-opening': 43 })
    expect(read.corrected).toEqual([])
  })
  it('has no mend where nobody had said anything of a crack, and its other mends as they were', () => {
    expect([hanger.mends, tray.mends]).toEqual([[], []])
    expect(handed.mends.map(({ id, kind }) => [id, kind])).toEqual([['m1', 'crack']])
    expect(crackToMend({ open: { work: 'crack', done: ['degrease', 'uncoat'] } })).toBeNull()
    for (const said of [
      { open: { crackMm: typed('about an inch', NaN) } },
      { open: { done: ['ends'] } },
      { weld: { passesDone: [1] } },
      { weld: { log: [{ pass: 1 }] } },
      { shape: { marks: [{ mend: 'opening' }] } },
    ])
      expect(crackToMend(said), JSON.stringify(said)).not.toBeNull()
  })
  it('keeps its own process and filler where other mends stand beside it, and no root face that was cut away', () => {
    expect(ring.mends[0]).toMatchObject({
      lays: [{ process: 'mig-pulse', filler: '5356', upTo: 'cap' }],
      readings: { closed: true, sides: '2', faceWideMm: typed('12 mm', 12) },
    })
    expect(ring.mends[0]!.readings).not.toHaveProperty('landMm')
    expect(ring.overruled).toEqual([{ field: 'open.landMm', words: '3 mm' }])
    expect(ring.mends[0]!.readings).not.toHaveProperty('keepBreak')
    expect(shutter.mends[0]!.lays).toEqual([])
    expect(shutter.call).toMatchObject({ process: 'ac-tig', filler: '5356' })
  })
  it('loses nothing that was typed of it, whatever was, and comes to the same twice', () => {
    const held = fc.option(fc.constantFrom('2 mm', '3/8 in', 'about six', '70 °', ''), { nil: undefined })
    const one = fc.record({
      open: fc.record({
        work: fc.constantFrom('crack', undefined),
        crackMm: held,
        landMm: held,
        capMm: held,
        stopHoleMm: held,
        fillerMm: held,
        keepBreak: fc.option(fc.boolean(), { nil: undefined }),
        sides: fc.constantFrom(1, 2, undefined),
        startsIn: fc.constantFrom('tip', 'hole', 'edge', undefined),
      }),
      rebuild: fc.record({ machined: fc.option(fc.boolean(), { nil: undefined }), proudMm: held, faceWidthMm: held }),
    })
    const asReading = (section: object) =>
      Object.fromEntries(
        Object.entries(section).flatMap(([key, value]: [string, unknown]) =>
          value === undefined ? [] : [[key, key.endsWith('Mm') ? { typed: value, value: null } : value]],
        ),
      )
    const begun = ['2 mm', '']
    fc.assert(
      fc.property(one, ({ open, rebuild }) => {
        const four = { ...newJob('x', 'X', '', AT), version: 4, open: asReading(open), rebuild: asReading(rebuild) }
        const read = readJob(four)
        if (!read.ok) throw new Error(JSON.stringify(read.issues))
        const text = JSON.stringify(read.job)
        expect(readJob(four)).toEqual(read)
        expect(readJob(read.job)).toEqual(read)
        for (const typed of [open.crackMm, open.landMm, open.capMm, rebuild.faceWidthMm])
          if (typed && !begun.includes(typed) && open.crackMm)
            expect(text).toContain(JSON.stringify(typed).slice(1, -1))
      }),
      { seed: 51, numRuns: 200 },
    )
  })
  it('knows when each of its readings was changed, so that two benches come to one job', () => {
    const at = (minute: number) => `2026-11-20T09:0${minute}:00Z`
    const four = (mm: number, stamps: object) => ({
      version: 4,
      open: { work: 'crack', crackMm: typed(`${mm} mm`, mm), capMm: typed('2 mm', 2) },
      mends: [],
      stamps,
    })
    const here = toFive(four(60, { 'open.crackMm': at(5) }))
    expect(here.stamps).toMatchObject({ mends: at(5), 'mends.#opening.readings.lengthMm': at(5) })
    const job = (from: object) =>
      ({ ...newJob('m', 'One', '', at(0)), ...(from as Partial<Job>), version: JOB_VERSION }) as Job
    const there = toFive(four(40, { 'open.crackMm': at(1), 'open.capMm': at(9) }))
    for (const merged of [mergeJob(job(here), job(there)), mergeJob(job(there), job(here))])
      expect(merged.job.mends[0]!.readings.lengthMm).toEqual(typed('60 mm', 60))
    const taken = toFive({ version: 4, open: { crackMm: typed('4 mm', 4) }, mends: [newMend('opening', 'hole')] })
    expect((taken.mends as { id: string }[]).map(({ id }) => id)).toEqual(['opening-', 'opening'])
  })
})

describe('mends in a job', () => {
  const mend = (id: string, more: object = {}) =>
    mendSchema.parse({ id, kind: 'hole', readings: { diameterMm: { typed: '8 mm', value: 8 } }, ...more })
  it('hold the readings of their kind and no others', () => {
    expect(
      mendSchema.safeParse({ id: 'a', kind: 'hole', readings: { lengthMm: { typed: '', value: null } } }),
    ).toMatchObject({ success: false })
    expect(readFile(jobToText({ ...job(), mends: [mend('a')] })).ok).toBe(true)
  })
  it('of two benches are both there, and one that both changed goes field by field', () => {
    const at = (s: number) => new Date(Date.parse('2026-11-12T09:00:00Z') + s * 1000).toISOString()
    const bench = (mends: ReturnType<typeof mend>[], s: number) => ({
      ...job(),
      mends,
      updatedAt: at(s),
      stamps: { mends: at(s) },
    })
    const one = bench([mend('a'), mend('b', { name: 'here', done: ['wipe'] })], 5)
    const two = bench(
      [
        mend('b', {
          name: 'there',
          done: ['cone'],
          readings: { diameterMm: { typed: '9 mm', value: 9 }, capMm: { typed: '1 mm', value: 1 } },
        }),
        mend('c'),
      ],
      9,
    )
    for (const { job: merged } of [mergeJob(one, two), mergeJob(two, one)]) {
      expect(merged.mends.map(each => each.id).toSorted()).toEqual(['a', 'b', 'c'])
      const b = merged.mends.find(each => each.id === 'b')!
      expect(b.done.toSorted()).toEqual(['cone', 'wipe'])
      expect(b.readings).toEqual({ diameterMm: { typed: '9 mm', value: 9 }, capMm: { typed: '1 mm', value: 1 } })
      expect(merged.overruled).toEqual([{ field: 'mends.b.name', words: 'here' }])
    }
  })
})

describe('the JSON Schema', () => {
  it.each(Object.keys(FILE_SCHEMAS) as FileKind[])('of a %s stands in docs as it is in force', kind => {
    expect(JSON.parse(readFileSync(new URL(`../../docs/${kind}.schema.json`, import.meta.url), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jsonSchemaOf(kind))),
    )
  })
  it('takes what is exported, by another validator', () => {
    const ajv = new Ajv({ strict: false, validateFormats: false })
    expect(ajv.compile(jsonSchemaOf('job'))(JSON.parse(jobToText(job())))).toBe(true)
    expect(ajv.compile(jsonSchemaOf('shop'))(JSON.parse(shopToText([job()], EMPTY_KIT, AT)))).toBe(true)
    expect(ajv.compile(jsonSchemaOf('job'))({ ...job(), open: { ...job().open, sides: 3 } })).toBe(false)
  })
})

describe('a shop of version 5', () => {
  const text = readFileSync(new URL('./fixtures/shop-version-5.json', import.meta.url), 'utf8')
  const read = readFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const [cover, bracket, hanger, shutter, tray] = read.jobs as [Job, Job, Job, Job, Job]
  const typed = (text: string, value: number) => ({ typed: text, value })
  it('has the plate that stood at Open last among the mends, as wide as its arm, with its times', () => {
    expect(bracket.mends.map(({ id }) => id)).toEqual(['lug', 'bolt', 'arm-plate'])
    expect(bracket.mends.at(-1)).toEqual({
      ...newMend('arm-plate', 'plate'),
      readings: {
        wideMm: typed('30 mm', 30),
        plateMm: typed('4 mm', 4),
        sides: '2',
        armWideMm: typed('30 mm', 30),
        armHighMm: typed('12 mm', 12),
        armLongMm: typed('110 mm', 110),
      },
    })
    expect(bracket.stamps).toMatchObject({
      mends: '2026-11-20T09:00:00Z',
      'mends.#arm-plate.readings.plateMm': '2026-11-20T09:00:00Z',
      'mends.#arm-plate.readings.armWideMm': '2026-11-19T09:00:00Z',
    })
    expect(tray.mends).toEqual([{ ...newMend('arm-plate', 'plate'), readings: { plateMm: typed('3/16 in', 4.7625) } }])
  })
  it('has no mend for an arm that was to get no plate, and keeps its words; the rest is as it was', () => {
    expect(hanger.mends.map(({ id }) => id)).toEqual(['eye'])
    expect(hanger.overruled).toEqual([
      { field: 'open.armWideMm', words: '25 mm' },
      { field: 'open.armHighMm', words: 'about ten' },
    ])
    expect(cover.mends.map(({ id }) => id)).toEqual(['flange', 'drain', 'gasket'])
    expect([cover.overruled, shutter.overruled]).toEqual([[], []])
    expect(shutter.mends.map(({ id }) => id)).toEqual(['toe'])
    expect(read.corrected).toEqual([])
  })
})

describe('a shop of version 6', () => {
  const text = readFileSync(new URL('./fixtures/shop-version-6.json', import.meta.url), 'utf8')
  const read = readFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const was = (JSON.parse(text) as { jobs: Job[] }).jobs
  it('remembers of what is settled its readings by their fields, and nothing that was said', () => {
    const cover = read.jobs.find(({ id }) => id === 'gearbox-cover')!
    expect(cover.settled.warm!.basis).toMatchObject({ 'takeIn.wallMm': 6.35 })
    for (const { settled } of read.jobs)
      for (const entry of Object.values(settled)) expect(Object.keys(entry.basis)).not.toContain('the call')
  })
  it('loses nothing of a mend, and nobody was hurt before anybody asked', () => {
    for (const [n, job] of read.jobs.entries()) {
      expect(job.takeIn).toMatchObject({ stakes: 'nothing', keptOn: [], pressureMPa: { value: null } })
      for (const [m, mend] of job.mends.entries()) expect(mend.readings).toMatchObject(was[n]!.mends[m]!.readings)
      expect(Object.keys(job.settled)).toEqual(Object.keys(was[n]!.settled))
    }
    expect(read.corrected).toEqual([])
  })
})
