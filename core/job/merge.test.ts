import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fieldOf, fieldsOfJob, stamped } from './field'
import { jobSchema, type Job } from './job.schema'
import { mergeJob } from './merge'
import { passStep } from './mend-steps'
import { newJob } from './new-job'
import { newMend } from './new-mend'
import { addressed, applyPatch, valueAt } from './patch'
import { threeWay } from './three-way'
import { tick } from './tick'

const BLANK = newJob('m', 'Bracket', 'someone', '2026-11-12T09:00:00Z')
const START: Job = { ...BLANK, mends: [newMend('m', 'crack')] }
const doneOf = (job: Job) => job.mends[0]!.done
const at = (s: number) => new Date(Date.parse('2026-11-12T09:00:00Z') + s * 1000).toISOString()
const reading = (value: number) => ({ typed: `${value} mm`, value })
const edit = (job: Job, path: (string | number)[], value: unknown, s: number): Job => {
  const next = applyPatch(job, { path, value })
  return { ...next, updatedAt: at(s), stamps: stamped(job, next, [path], at(s)) }
}
const entry = (n: number, note: string) => ({
  id: `e${n}`,
  at: at(n),
  pass: 1,
  saw: 'pinhole' as const,
  note,
  settings: '',
})

it('times every field by the name that merging looks it up by, at whatever depth it is changed', () => {
  const job = {
    ...START,
    prove: { ...START.prove, results: { look: { result: 'pass', note: '', at: at(1) } } },
    handOver: { ...START.handOver, actualMin: { weld: 3 } },
  }
  for (const field of fieldsOfJob(job).keys()) {
    expect(fieldOf(field.split('.')), field).toBe(field)
    expect(fieldOf([...field.split('.'), 'typed']), field).toBe(field)
  }
})
it('lets the newer of two measurements of a check win, whichever bench it comes from', () => {
  const mine = edit(START, ['prove', 'startKPa'], reading(20), 5)
  const theirs = edit(START, ['prove', 'startKPa'], reading(9), 9)
  for (const merged of [mergeJob(mine, theirs), mergeJob(theirs, mine)]) expect(merged.job.prove.startKPa.value).toBe(9)
})

describe('a list changed in two tabs at once', () => {
  const log = (...ids: number[]) => ids.map(n => entry(n, ''))
  it('holds what each put in', () => expect(threeWay(log(1), log(1, 2), log(1, 3))).toEqual(log(1, 3, 2)))
  it('lacks what either took out', () => {
    expect(threeWay(log(1, 2), log(1, 2), log(1))).toEqual(log(1))
    expect(threeWay(log(1, 2), log(2), log(1, 2, 3))).toEqual(log(2, 3))
  })
  it('keeps an entry that was changed here and taken out there', () => {
    const changed = [entry(1, 'changed'), entry(2, '')]
    expect(threeWay(log(1, 2), log(2), changed)).toEqual(changed)
  })
  it('is as changed here where nobody else touched it, and wherever it is no such list', () => {
    const value = log(1, 2)
    expect(threeWay(log(1), log(1), value)).toBe(value)
    expect(threeWay('a', 'b', 'c')).toBe('c')
    expect(threeWay([], [1], [2])).toEqual([2])
  })
  it('loses no entry of either, whatever is put in where', () => {
    const ids = fc.uniqueArray(fc.nat(9), { maxLength: 6 })
    fc.assert(
      fc.property(ids, ids, ids, (before, there, here) => {
        const stored = [...before, ...there.filter(n => !before.includes(n))]
        const value = [...before, ...here.filter(n => !before.includes(n))]
        const names = (list: readonly number[]) => list.map(n => `pass-${n}`)
        const found = threeWay(names(before), names(stored), names(value)) as string[]
        expect(found.toSorted()).toEqual(names([...new Set([...stored, ...value])]).toSorted())
      }),
      { seed: 12 },
    )
  })
})

/** A bench's edits: scalars, words, deep fields and lists, at times that may fall together. */
const edits = fc.array(fc.tuple(fc.nat(9), fc.nat(6), fc.nat(20)), { maxLength: 10 }).map(
  list => (start: Job) =>
    list.reduce((job, [what, value, s]) => {
      switch (what) {
        case 0:
          return edit(job, ['takeIn', 'wallMm'], reading(value), s)
        case 1:
          return edit(job, ['takeIn', 'damage'], `damage ${value}`, s)
        case 2:
          return edit(job, ['rebuild', 'face', 'toMm'], reading(value), s)
        case 3:
          return edit(
            job,
            ['weld', 'log'],
            [...job.weld.log.filter(one => one.id !== `e${value}`), entry(value, `at ${s}`)],
            s,
          )
        case 4:
          return edit(job, ['mends', '#m', 'done'], [...new Set([...doneOf(job), passStep(value + 1)])], s)
        case 5:
          return edit(
            job,
            ['prove', 'results', `c${value}`],
            { result: value % 2 ? 'pass' : 'fail', note: '', at: at(s) },
            s,
          )
        case 6:
          return edit(job, ['handOver', 'actualMin', 'weld'], value, s)
        case 7:
          return edit(
            job,
            ['acknowledged'],
            [...job.acknowledged.filter(one => one.code !== 'a'), { code: 'a', name: `hand ${value}`, at: at(s) }],
            s,
          )
        case 8:
          return edit(job, ['title'], `Bracket ${value}`, s)
        default:
          return edit(job, ['mends', '#m', 'readings', value % 2 ? 'lengthMm' : 'capMm'], reading(value), s)
      }
    }, start),
)
/** What counts of a job, with its lists in one order: two benches need not have typed in the same order. */
const same = (job: Job) =>
  JSON.parse(
    JSON.stringify(jobSchema.parse(job), (key, value: unknown) =>
      value && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1)))
        : value,
    ),
  )

describe('fields', () => {
  it('are two steps deep, three for faces, minutes and checks, one for lists', () =>
    expect(
      [
        ['takeIn', 'wallMm'],
        ['rebuild', 'face', 'points', 3, 'z'],
        ['prove', 'results', 'dye', 'note'],
        ['pictures', 0, 'name'],
        ['weld', 'log', 4],
        ['title'],
      ].map(fieldOf),
    ).toEqual(['takeIn.wallMm', 'rebuild.face.points', 'prove.results.dye', 'pictures', 'weld.log', 'title']))
  it('cover the whole job', () => {
    const fields = fieldsOfJob(START)
    expect(fields.size).toBeGreaterThan(90)
    for (const [field, value] of fields)
      expect(field.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], START)).toEqual(
        value,
      )
  })
})

describe('the same job on two benches', () => {
  it('comes to the same whichever is ours', () => {
    fc.assert(
      fc.property(edits, edits, (one, two) => {
        const [a, b] = [one(START), two(START)]
        expect(same(mergeJob(a, b).job)).toEqual(same(mergeJob(b, a).job))
      }),
      { seed: 111, numRuns: 300 },
    )
  })
  it('merged again with either, changes nothing', () => {
    fc.assert(
      fc.property(edits, edits, (one, two) => {
        const [a, b] = [one(START), two(START)]
        const merged = mergeJob(a, b).job
        expect(same(mergeJob(merged, b).job)).toEqual(same(merged))
        expect(same(mergeJob(merged, a).job)).toEqual(same(merged))
        expect(same(mergeJob(merged, merged).job)).toEqual(same(merged))
      }),
      { seed: 112, numRuns: 300 },
    )
  })
  it('loses nothing: every entry of either list is there, every word is in force or kept beside, every change comes from one of them', () => {
    fc.assert(
      fc.property(edits, edits, (one, two) => {
        const [a, b] = [one(START), two(START)]
        const { job } = mergeJob(a, b)
        const ids = (from: Job) => [
          ...from.weld.log.map(each => each.id),
          ...doneOf(from),
          ...from.acknowledged.map(each => each.code),
        ]
        for (const from of [a, b]) {
          for (const id of ids(from)) expect(ids(job)).toContain(id)
          for (const [field, words] of [
            ['takeIn.damage', from.takeIn.damage],
            ['title', from.title],
          ] as const) {
            if (words && from.stamps[field] && words !== (field === 'title' ? job.title : job.takeIn.damage))
              expect(job.overruled).toContainEqual({ field, words })
          }
        }
        const [of, first, second] = [fieldsOfJob(job), fieldsOfJob(a), fieldsOfJob(b)]
        for (const field of ['takeIn.wallMm', 'rebuild.face.toMm', 'handOver.actualMin.weld'])
          expect([first.get(field), second.get(field)]).toContainEqual(of.get(field))
        expect(jobSchema.safeParse(job).success).toBe(true)
      }),
      { seed: 113, numRuns: 300 },
    )
  })
  it('takes the newer of each reading of a mend, whoever changed another of it after that', () => {
    const length = ['mends', '#m', 'readings', 'lengthMm']
    const before = edit(START, length, reading(40), 1)
    const here = edit(before, length, reading(60), 5)
    const there = edit(before, ['mends', '#m', 'readings', 'capMm'], reading(2), 9)
    for (const { job } of [mergeJob(here, there), mergeJob(there, here)]) {
      expect(job.mends[0]!.readings).toMatchObject({ lengthMm: reading(60), capMm: reading(2) })
      expect(same(mergeJob(job, here).job)).toEqual(same(job))
    }
  })
  it('takes the newer of each field, and says where each came from', () => {
    const a = edit(edit(START, ['takeIn', 'wallMm'], reading(6), 10), ['takeIn', 'damage'], 'cracked lug', 30)
    const b = edit(edit(START, ['takeIn', 'wallMm'], reading(7), 20), ['takeIn', 'damage'], 'a crack', 15)
    const { job, changed } = mergeJob(a, b)
    expect([job.takeIn.wallMm.value, job.takeIn.damage, job.overruled]).toEqual([
      7,
      'cracked lug',
      [{ field: 'takeIn.damage', words: 'a crack' }],
    ])
    expect(changed).toEqual(
      expect.arrayContaining([
        { field: 'takeIn.wallMm', from: 'theirs' },
        { field: 'takeIn.damage', from: 'ours' },
      ]),
    )
  })
  it('of a file from before there were stamps counts whole by its last change', () => {
    const older = { ...START, takeIn: { ...START.takeIn, damage: 'old words' }, updatedAt: at(5) }
    const newer = edit(START, ['takeIn', 'damage'], 'new words', 50)
    expect(mergeJob(newer, older).job.takeIn.damage).toBe('new words')
    expect(mergeJob(older, newer).job.takeIn.damage).toBe('new words')
  })
})

describe('entries are named, not numbered', () => {
  const picture = (id: string, name = id) => ({
    id,
    name,
    stage: 'before' as const,
    pair: null,
    widthPx: 10,
    heightPx: 10,
    scale: {
      kind: 'two' as const,
      px: [],
      apartMm: { typed: '', value: null },
      wideMm: { typed: '', value: null },
      highMm: { typed: '', value: null },
    },
    traces: [],
    pins: [],
  })
  const two = { ...START, pictures: [picture('p'), picture('q')] }
  it('a path leads to the same picture after another has gone, and nowhere once it is gone itself', () => {
    const path = addressed(two, ['pictures', 1, 'name'])
    expect(path).toEqual(['pictures', '#q', 'name'])
    const less = { ...two, pictures: [two.pictures[1]!] }
    expect(applyPatch(less, { path, value: 'back' }).pictures).toEqual([picture('q', 'back')])
    const none = { ...two, pictures: [] }
    expect(applyPatch(none, { path, value: 'back' })).toBe(none)
    expect(valueAt(none, path)).toBeUndefined()
  })
  it('a path by number past the end makes no stump', () =>
    expect(
      applyPatch({ ...two, pictures: [] as object[] }, { path: ['pictures', 1, 'name'], value: 'x' }).pictures,
    ).toEqual([]))
  it('undoing what put one in leaves what came in meanwhile', () => {
    // One tab put q in; another then put r in; undo in the first.
    expect(threeWay([picture('p'), picture('q')], [picture('p'), picture('q'), picture('r')], [picture('p')])).toEqual([
      picture('p'),
      picture('r'),
    ])
  })
  it('a change of one entry here and of another there are both there', () => {
    expect(
      threeWay(
        [picture('p'), picture('q')],
        [picture('p', 'there'), picture('q')],
        [picture('p'), picture('q', 'here')],
      ),
    ).toEqual([picture('p', 'there'), picture('q', 'here')])
  })
})

describe('lists and words of every kind', () => {
  const each = (path: string[], a: unknown, b: unknown) => {
    const [mine, theirs] = [edit(START, path, a, 5), edit(START, path, b, 9)]
    return [mergeJob(mine, theirs).job, mergeJob(theirs, mine).job]
  }
  it.each([
    [['takeIn', 'protect'], ['bush'], ['lip-seal']],
    [['takeIn', 'mustNotMove'], ['bearing-bore'], ['pivot-line']],
    [['open', 'done'], ['degrease'], ['wipe']],
    [
      ['rebuild', 'holes'],
      [{ id: 'h1', xMm: reading(1), yMm: reading(2) }],
      [{ id: 'h2', xMm: reading(3), yMm: reading(4) }],
    ],
    [
      ['prove', 'compared'],
      [{ id: 'c', what: 'bore', beforeMm: reading(1), afterMm: reading(1), limitMm: reading(1) }],
      [{ id: 'd', what: 'face', beforeMm: reading(1), afterMm: reading(1), limitMm: reading(1) }],
    ],
    [['handOver', 'other'], [{ id: 'a', name: 'plug', price: 2 }], [{ id: 'b', name: 'seal', price: 3 }]],
  ] as const)('%s holds what either bench put in', (path, a, b) => {
    for (const job of each([...path], a, b)) {
      const list = valueAt(job, path) as unknown[]
      for (const entry of [...a, ...b]) expect(list).toContainEqual(entry)
    }
  })
  it.each([['know', 'markText'], ['know', 'alloy'], ['customer'], ['handOver', 'limits']])(
    '%s %s keeps beside what is overruled',
    (...path) => {
      const at = path.filter(Boolean)
      for (const job of each(at, 'first words', 'second words')) {
        expect(valueAt(job, at)).toBe('second words')
        expect(job.overruled).toEqual([{ field: at.join('.'), words: 'first words' }])
      }
    },
  )
  it('a note of one entry written on both benches is kept beside', () => {
    for (const job of each(['weld', 'log'], [entry(1, 'mine')], [entry(1, 'yours')]))
      expect([job.weld.log, job.overruled]).toEqual([
        [entry(1, 'yours')],
        [{ field: 'weld.log.e1.note', words: 'mine' }],
      ])
  })
  it('readings in turn: what one has not read the other may have', () => {
    const empty = { typed: '', value: null }
    for (const job of each(
      ['prove', 'runOut'],
      [reading(1), empty, reading(3)],
      [empty, reading(2), empty, reading(4)],
    ))
      expect(job.prove.runOut.map(one => one.value)).toEqual([1, 2, 3, 4])
  })
})

describe('clocks set wrong', () => {
  const change = (job: Job, value: string, clock: string): Job => {
    const next = applyPatch(job, { path: ['title'], value })
    return { ...next, updatedAt: clock, stamps: stamped(job, next, [['title']], clock, job.updatedAt) }
  }
  it('a change made in 2030 gives way to the one made after the clock was put right', () => {
    const early = change(START, 'in 2030', '2030-01-01T00:00:00.000Z')
    const later = change(early, 'put right', '2026-11-12T10:00:00.000Z')
    for (const merged of [mergeJob(early, later), mergeJob(later, early)]) expect(merged.job.title).toBe('put right')
    expect(Date.parse(later.stamps.title!)).toBeGreaterThan(Date.parse(early.stamps.title!))
  })
  it('benches whose clocks are years apart, handing a job to and fro: the last hand always wins', () => {
    const clocks = ['2019-03-01T00:00:00.000Z', '2026-11-12T00:00:00.000Z', '2031-06-01T00:00:00.000Z']
    fc.assert(
      fc.property(fc.array(fc.nat(2), { minLength: 1, maxLength: 12 }), turns => {
        const benches = [START, START, START]
        turns.forEach((bench, n) => {
          // The file goes to the bench that works next, which brings it in and changes it.
          const newest = benches.reduce((found, one) => mergeJob(found, one).job, benches[bench]!)
          benches[bench] = change(newest, `turn ${n}`, clocks[bench]!)
        })
        const all = benches.reduce((found, one) => mergeJob(found, one).job)
        expect(all.title).toBe(`turn ${turns.length - 1}`)
      }),
      { seed: 31, numRuns: 200 },
    )
  })
  it('ticks with a clock that is right as that clock does', () => {
    expect(tick({ a: at(1) }, at(5))).toBe(at(5))
    expect(tick({ a: at(9) }, at(5))).toBe(new Date(Date.parse(at(9)) + 1).toISOString())
    expect(tick({}, at(5))).toBe(at(5))
  })
})
