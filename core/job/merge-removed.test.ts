import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changedParts } from './changed-parts'
import { EMPTY_KIT } from './empty-kit'
import { stamped } from './field'
import type { Job } from './job.schema'
import { mergeJob } from './merge'
import { changedKit, mergeKit, type TimedKit } from './merge-kit'
import { newJob } from './new-job'
import { newMend } from './new-mend'
import { applyPatch, valueAt, type PathKey } from './patch'
import { textOf } from './same'

const T0 = Date.parse('2026-11-12T09:00:00Z')
const at = (s: number) => new Date(T0 + s * 1000).toISOString()
const START: Job = { ...newJob('m', 'Bracket', 'someone', at(0)), mends: [newMend('m', 'crack'), newMend('n', 'hole')] }
const reading = (value: number) => ({ typed: `${value} mm`, value })
const EMPTY = { typed: '', value: null }
const edit = (job: Job, path: PathKey[], value: unknown, s: number): Job => {
  const next = applyPatch(job, { path, value })
  return { ...next, updatedAt: at(s), stamps: stamped(job, next, [path], at(s), job.updatedAt) }
}
const entry = (n: number, note = '') => ({
  id: `e${n}`,
  at: at(n),
  pass: 1,
  saw: 'pinhole' as const,
  note,
  settings: '',
})
const bothWays = (a: Job, b: Job) => [mergeJob(a, b).job, mergeJob(b, a).job]

describe('what was touched, by name', () => {
  it('is the entries of a list, the keys of what has parts, and the turns of a list in turn', () => {
    const log = (wasTimed: boolean) =>
      changedParts([entry(1), entry(2)], [entry(2, 'x'), entry(3)], 'weld.log', () => wasTimed)
    expect(log(true)).toEqual(['weld.log.#e1', 'weld.log.#e2', 'weld.log.#e3'])
    // What is new and named by nobody else needs no time of its own.
    expect(log(false)).toEqual(['weld.log.#e1', 'weld.log.#e2'])
    const mend = newMend('m', 'crack')
    expect(
      changedParts(
        [mend],
        [{ ...mend, readings: { ...mend.readings, capMm: reading(2) }, done: ['a'] }],
        'mends',
        () => false,
      ),
    ).toEqual(expect.arrayContaining(['mends.#m.readings.capMm', 'mends.#m.done.#a']))
    expect(changedParts([reading(1), reading(2)], [reading(1)], 'prove.runOut', () => false)).toEqual([
      'prove.runOut.length',
    ])
    expect(changedParts('a', 'b', 'title', () => false)).toEqual(['title'])
    expect(changedParts('a', 'a', 'title', () => false)).toEqual([])
  })
})

describe('what one bench took out of a list', () => {
  const two = edit(START, ['weld', 'log'], [entry(1), entry(2)], 1)
  it('stays out where the other left it alone', () => {
    const less = edit(two, ['weld', 'log'], [entry(2)], 5)
    const more = edit(two, ['weld', 'log'], [entry(1), entry(2), entry(3)], 9)
    for (const job of bothWays(less, more)) expect(job.weld.log.map(each => each.id)).toEqual(['e2', 'e3'])
  })
  it('is back where the other changed it after that, and not where it did before', () => {
    const less = edit(two, ['weld', 'log'], [entry(2)], 5)
    const after = edit(two, ['weld', 'log'], [entry(1, 'looked again'), entry(2)], 9)
    const before = edit(two, ['weld', 'log'], [entry(1, 'looked'), entry(2)], 3)
    for (const job of bothWays(less, after)) expect(job.weld.log.map(each => each.note)).toEqual(['looked again', ''])
    for (const job of bothWays(less, before)) expect(job.weld.log.map(each => each.id)).toEqual(['e2'])
  })
  it('is back for both where it was taken back, and stays out where it was taken out once more', () => {
    const less = edit(two, ['weld', 'log'], [entry(2)], 5)
    const back = edit(less, ['weld', 'log'], [entry(1), entry(2)], 7)
    for (const job of bothWays(back, less)) expect(job.weld.log).toHaveLength(2)
    const again = edit(back, ['weld', 'log'], [entry(2)], 9)
    for (const job of bothWays(again, back)) expect(job.weld.log).toHaveLength(1)
  })
  it('a mend goes with it, unless one of its readings was taken later', () => {
    const less = edit(START, ['mends'], [START.mends[1]], 5)
    const measured = (s: number) => edit(START, ['mends', '#m', 'readings', 'capMm'], reading(2), s)
    for (const job of bothWays(less, measured(3))) expect(job.mends.map(({ id }) => id)).toEqual(['n'])
    for (const job of bothWays(less, measured(9))) expect(job.mends.map(({ id }) => id).toSorted()).toEqual(['m', 'n'])
  })
  it('a step unticked stays unticked, a reading of a list emptied stays empty, a station opened again stays open', () => {
    const ticked = edit(START, ['mends', '#m', 'done'], ['pass-1', 'pass-2'], 1)
    const read = edit(ticked, ['prove', 'runOut'], [reading(1), reading(2)], 2)
    const settled = edit(read, ['settled', 'know'], { at: at(3), basis: {} }, 3)
    const undone = [
      [['mends', '#m', 'done'], ['pass-2']] as const,
      [
        ['prove', 'runOut'],
        [EMPTY, reading(2)],
      ] as const,
      [['settled', 'know'], undefined] as const,
    ].reduce((job, [path, value], n) => edit(job, [...path], value, 5 + n), settled)
    for (const job of bothWays(undone, settled)) {
      expect(job.mends[0]!.done).toEqual(['pass-2'])
      expect(job.prove.runOut[0]).toEqual(EMPTY)
      expect(job.settled.know).toBeUndefined()
    }
  })
  it('keeps the order in which things were put in', () => {
    const more = edit(START, ['mends'], [...START.mends, newMend('a', 'hole')], 5)
    for (const job of bothWays(START, more)) expect(job.mends.map(({ id }) => id)).toEqual(['m', 'n', 'a'])
  })
})

describe('words that both benches had', () => {
  const first = edit(START, ['takeIn', 'damage'], 'bra', 1)
  const on = edit(first, ['takeIn', 'damage'], 'bracket', 2)
  it('are kept beside where nobody knows that they were seen, and are not where that is known', () => {
    expect(mergeJob(on, first).job.overruled).toEqual([{ field: 'takeIn.damage', words: 'bra' }])
    expect(mergeJob(on, first, first).job.overruled).toEqual([])
  })
})

describe('three benches', () => {
  const PATHS: readonly [PathKey[], (n: number, job: Job) => unknown][] = [
    [['title'], n => `Bracket ${n}`],
    [['takeIn', 'wallMm'], n => reading(n)],
    [['weld', 'log'], (n, job) => [...job.weld.log.filter(({ id }) => id !== `e${n}`), entry(n, `of ${n}`)]],
    [['weld', 'log'], (n, job) => job.weld.log.filter(({ id }) => id !== `e${n}`)],
    [['mends', '#m', 'done'], n => [`pass-${n}`]],
    [['mends', '#m', 'readings', 'capMm'], n => reading(n)],
    [['mends'], (n, job) => job.mends.filter((_, place) => place !== n % 3)],
    [['mends'], (n, job) => [...job.mends.filter(({ id }) => id !== `x${n}`), newMend(`x${n}`, 'hole')]],
    [['prove', 'runOut'], n => Array.from({ length: n % 4 }, (_, k) => (k % 2 ? EMPTY : reading(n)))],
    [['handOver', 'actualMin', 'weld'], n => (n % 3 ? n : undefined)],
  ]
  const deed = fc.record({
    bench: fc.nat(2),
    what: fc.nat(PATHS.length - 1),
    n: fc.nat(6),
    second: fc.nat(40),
    /** Who hears of it at once. */
    heardBy: fc.option(fc.nat(2), { freq: 2 }),
  })
  it('that pass their jobs round come to the same, to the letter, whoever changed what and whoever heard when', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 30 }), deeds => {
        const benches = [START, START, START]
        for (const { bench, what, n, second, heardBy } of deeds) {
          const [path, value] = PATHS[what]!
          const job = benches[bench]!
          const made = value(n, job)
          if (valueAt(job, path) !== made) benches[bench] = edit(job, path, made, second)
          if (heardBy !== null) benches[heardBy] = mergeJob(benches[heardBy]!, benches[bench]!).job
        }
        for (let round = 0; round < 3; round++)
          for (const [from, to] of [
            [0, 1],
            [1, 2],
            [2, 0],
            [0, 1],
          ] as const)
            benches[to] = mergeJob(benches[to]!, benches[from]!).job
        const texts = benches.map(textOf)
        expect(texts[1]).toBe(texts[0])
        expect(texts[2]).toBe(texts[0])
      }),
      { seed: 42, numRuns: 400 },
    )
  })
})

describe('two kits', () => {
  const rod = (id: string, count: number) => ({ id, filler: 'ER4043', diameterMm: 2.4, lengthMm: 914, price: 1, count })
  const start: TimedKit = { kit: { ...EMPTY_KIT, shop: 'A shop', rods: [rod('a', 10), rod('b', 10)] }, stamps: {} }
  it('are one field by field, entry by entry, with what was taken out left out', () => {
    const here = changedKit(start, { ...start.kit, ratePerHour: 50, rods: [rod('a', 9), rod('b', 10)] }, at(1))
    const there = changedKit(start, { ...start.kit, pricePerKWh: 0.4, rods: [rod('a', 10), rod('c', 5)] }, at(2))
    for (const { kit } of [mergeKit(here, there), mergeKit(there, here)])
      expect(kit).toMatchObject({ shop: 'A shop', ratePerHour: 50, pricePerKWh: 0.4, rods: [rod('a', 9), rod('c', 5)] })
  })
  it('a new bench that never touched its kit takes what the other has', () => {
    const none: TimedKit = { kit: EMPTY_KIT, stamps: {} }
    for (const { kit } of [mergeKit(none, start), mergeKit(start, none)]) expect(kit).toEqual(start.kit)
  })
  it('a change that changes nothing leaves the times alone', () =>
    expect(changedKit(start, structuredClone(start.kit), at(3)).stamps).toEqual({}))
})
