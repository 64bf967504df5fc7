import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newJob } from '../job/new-job'
import { EMPTY_KIT } from '../job/empty-kit'
import { mendMade } from './mend-made.fixture'
import { news, withNews } from './news'
import { planJob } from './plan-job'

const plain = fc.letrec<{ value: unknown }>(tie => ({
  value: fc.oneof(
    { maxDepth: 4 },
    fc.constantFrom<unknown>(null, undefined, true, '', 'as it was', 0, -0, Number.NaN),
    fc.integer(),
    fc.array(tie('value'), { maxLength: 4 }),
    fc.dictionary(fc.constantFrom('a', 'b', 'c', 'whole', 'parts', 'keys'), tie('value')),
    fc.int16Array({ maxLength: 3 }),
  ),
})).value

describe('what of a plan is new', () => {
  it('brings whatever was told before to what is so now, over a worker as well', () => {
    fc.assert(
      fc.property(plain, plain, (before, after) => {
        expect(withNews(before, structuredClone(news(before, after)))).toEqual(after)
      }),
    )
  })

  it('is nothing where nothing is', () => {
    fc.assert(
      fc.property(plain, value => {
        expect(news(value, structuredClone(value))).toBeNull()
      }),
    )
    expect(withNews('as it was', null)).toBe('as it was')
  })

  it('leaves what is as it was the very same object', () => {
    const before = { list: [{ a: 1 }, { b: 2 }], beside: { c: [3] } }
    const after = structuredClone({ ...before, list: [{ a: 1 }, { b: 9 }, { d: 4 }] })
    const now = withNews(before, news(before, after)) as typeof before
    expect(now).toEqual(after)
    expect(now.beside).toBe(before.beside)
    expect(now.list[0]).toBe(before.list[0])
    expect(now.list[1]).not.toBe(before.list[1])
    expect(withNews(before, news(before, { list: [{ a: 1 }] }))).toEqual({ list: [{ a: 1 }] })
  })

  it('is a small part of a plan when one reading of one mend of several is typed', () => {
    const empty = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
    const withLong = (lengthMm: number) => ({
      ...empty,
      takeIn: { ...empty.takeIn, wallMm: { typed: '8 mm', value: 8 } },
      mends: [80, 60, 40, lengthMm].map((long, n) => mendMade('crack', { lengthMm: long }, { id: `m${n}` })),
    })
    const [before, after] = [planJob(withLong(90), EMPTY_KIT), planJob(withLong(97), EMPTY_KIT)]
    const told = news(before, after)
    const now = withNews(before, structuredClone(told)) as typeof before
    expect(now).toEqual(after)
    // What is laid before it on another part of the order keeps all that its heat does not touch.
    expect(now.mends.rows[0]!.groove).toBe(before.mends.rows[0]!.groove)
    expect(now.mends.rows[0]!.section).toBe(before.mends.rows[0]!.section)
    expect(now.mends.rows[3]).not.toBe(before.mends.rows[3])
    expect(JSON.stringify(told).length).toBeLessThan(JSON.stringify(after).length / 3)
  })
})
