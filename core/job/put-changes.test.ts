import { describe, expect, it } from 'vitest'
import type { Job } from './job.schema'
import { newJob } from './new-job'
import { putChanges, type Change } from './put-changes'

const AT = '2026-11-12T09:00:00.000Z'
const at = (second: number) => new Date(Date.parse(AT) + 1000 * second).toISOString()
const reading = (mm: number) => ({ typed: `${mm} mm`, value: mm })
const wall = (mm: number, second: number, before = 0): Change => ({
  path: ['takeIn', 'wallMm'],
  value: reading(mm),
  before: before ? reading(before) : { typed: '', value: null },
  stamp: at(second),
})
const extra = (id: string) => ({ id, name: id, price: 1 })
const extras = (before: string[], value: string[], second: number): Change => ({
  path: ['handOver', 'other'],
  before: before.map(extra),
  value: value.map(extra),
  stamp: at(second),
})
const put = (job: Job, ...changes: Change[]) => putChanges(job, changes, changes.at(-1)!.stamp!)
const names = (job: Job) => job.handOver.other.map(each => each.id)
const fresh = () => newJob('a', 'A part', '', AT)

describe('changes put on a stored job', () => {
  it('leave what is newer, in whatever order they come, and say what was overruled', () => {
    const newer = put(fresh(), wall(99, 20)).job
    const late = put(newer, wall(77, 10))
    expect(late.job).toBe(newer)
    expect(late.overruled).toMatchObject([{ path: ['takeIn', 'wallMm'], value: { value: 77 } }])
    expect(put(put(fresh(), wall(77, 10)).job, wall(99, 20)).job.takeIn.wallMm.value).toBe(99)
  })
  it('keep both entries of a list that was changed twice, whichever comes first', () => {
    const [mine, theirs] = [extras([], ['mine'], 10), extras([], ['theirs'], 20)]
    for (const order of [
      [mine, theirs],
      [theirs, mine],
    ]) {
      const both = order.reduce((job, change) => put(job, change).job, fresh())
      expect(names(both).toSorted()).toEqual(['mine', 'theirs'])
    }
  })
  it('that somebody else made too, with more beside, are overruled by nobody', () => {
    const stored = put(fresh(), extras([], ['a', 'b'], 20)).job
    for (const second of [10, 30]) expect(put(stored, extras([], ['a'], second)).overruled).toEqual([])
  })
  it('bring nothing back that was taken out later', () => {
    const first = put(fresh(), extras([], ['a', 'b'], 5)).job
    const out = put(first, extras(['a', 'b'], ['b'], 20)).job
    expect(names(put(out, extras(['a', 'b'], ['a', 'b', 'c'], 10)).job).toSorted()).toEqual(['b', 'c'])
  })
  it('go by the smallest part that has a time: another entry changed since overrules nothing', () => {
    const first = put(fresh(), extras([], ['a', 'b'], 5)).job
    const renamed = (id: string, name: string, second: number): Change => ({
      path: ['handOver', 'other', `#${id}`, 'name'],
      before: id,
      value: name,
      stamp: at(second),
    })
    const both = put(put(first, renamed('a', 'A', 20)).job, renamed('b', 'B', 10))
    expect(both.overruled).toEqual([])
    expect(both.job.handOver.other.map(each => each.name)).toEqual(['A', 'B'])
    expect(put(both.job, renamed('a', 'late', 15)).overruled).toHaveLength(1)
  })
  it('out of a journal are put once: not what is stored already, nor what was stored and taken out since', () => {
    const inJournal = (change: Change): Change => ({ ...change, maybeStored: true })
    const mine = extras([], ['mine'], 10)
    const stored = put(fresh(), mine).job
    expect(put(stored, inJournal(mine)).job).toBe(stored)
    const out = put(stored, extras(['mine'], [], 20)).job
    expect(names(put(out, inJournal(mine)).job)).toEqual([])
    const other = put(fresh(), extras([], ['theirs'], 20)).job
    expect(names(put(other, inJournal(mine)).job).toSorted()).toEqual(['mine', 'theirs'])
    const newer = put(fresh(), wall(99, 20)).job
    expect(put(newer, inJournal(wall(77, 10)))).toEqual({ job: newer, overruled: [] })
  })
  it('that make no difference touch nothing, not even the times', () => {
    const job = put(fresh(), wall(8, 10)).job
    expect(put(job, wall(8, 30, 8)).job).toBe(job)
  })
  it('never bring the time of the whole job back', () => {
    const newer = put(fresh(), wall(99, 20)).job
    expect(put(newer, extras([], ['a'], 10)).job.updatedAt).toBe(at(20))
  })
})
