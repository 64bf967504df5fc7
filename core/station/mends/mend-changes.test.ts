import { describe, expect, it } from 'vitest'
import { newJob } from '../../job/new-job'
import { mendSchema } from '../../job/mend.schema'
import { planJob } from '../plan-job'
import { EMPTY_KIT } from '../../job/empty-kit'
import { mendChanges } from './mend-changes'
import { mendsBasis } from '../../job/basis'

const mm = (value: number) => ({ typed: `${value} mm`, value })
const mend = (id: string, kind: string, readings: object, name = '') => mendSchema.parse({ id, kind, name, readings })
const job = (...mends: ReturnType<typeof mend>[]) => ({ ...newJob('j', 'Part', '', '2026-11-12T10:00:00Z'), mends })
const between = (before: ReturnType<typeof job>, after: ReturnType<typeof job>) =>
  mendChanges(
    { what: 'mends', before: mendsBasis(before.mends, 'rebuild'), after: mendsBasis(after.mends, 'rebuild') },
    after.mends,
  )

describe('what changed in the mends under a settled station', () => {
  it('is told reading by reading, by the names in the form', () => {
    const crack = (long: number, endsIn: string) =>
      mend('m1', 'crack', { lengthMm: mm(long), endsIn, keepBreak: endsIn === 'edge' }, 'flange crack')
    const boss = mend('m2', 'bore', { boreMm: mm(42) }, 'seal bore')
    expect(between(job(crack(40, 'tip'), boss), job(crack(55, 'edge'), boss))).toEqual([
      { what: 'flange crack: Crack you can see', before: '40 mm', after: '55 mm' },
      { what: 'flange crack: It ends', before: 'at a tip in sound metal', after: 'at an edge' },
      { what: 'flange crack: Keep the middle of the break as the locator', before: 'no', after: 'yes' },
    ])
  })

  it('names a mend that came or went, and what was opened or laid otherwise', () => {
    const one = mend('m1', 'crack', { lengthMm: mm(40) }, 'one')
    const two = mend('m2', 'crack', { lengthMm: mm(30) }, 'two')
    expect(between(job(one), job(one, two))).toEqual([{ what: 'two', before: 'not there', after: 'there' }])
    expect(between(job(one, two), job(two))).toEqual([{ what: 'one', before: 'there', after: 'not there' }])
    expect(between(job(one), job({ ...one, opened: true }))).toEqual([
      { what: 'one: opened already', before: '', after: 'yes' },
    ])
  })

  it('makes up nothing where the text was too long to be kept', () => {
    const many = (wide: number) =>
      job(
        ...Array.from({ length: 9 }, (_, n) =>
          mend(`m${n}`, 'crack', { lengthMm: mm(n === 8 ? wide : 40) }, `crack number ${n}`),
        ),
      )
    const kept = (long: number) => planJob(many(long), EMPTY_KIT).open.basis.mends!
    expect(kept(40)).not.toBe(kept(50))
    expect(mendChanges({ what: 'mends', before: kept(40), after: kept(50) }, many(50).mends)).toEqual([
      { what: 'mends', before: 'other readings', after: 'those of now' },
    ])
  })
})
