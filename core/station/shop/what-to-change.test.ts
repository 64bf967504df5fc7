import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import { COMEBACKS, type Comeback } from '../../job/words.table'
import { lessonsOf, type TracedComeback } from './lessons'
import { whatToChange } from './what-to-change'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')

const back = (soak: string, why: Comeback = 'leaks', n = 0): TracedComeback => ({
  id: `b${n}`,
  firstId: `f${n}`,
  title: 'Part',
  why,
  first: { success: false, soak },
})
const none = { traced: [], held: [], learnt: [], odds: null }

describe('what to change', () => {
  it('says why parts came back, most often first, each with what lies behind it', () => {
    const said = whatToChange({ ...none, traced: [back('dry', 'cause'), back('dry'), back('oily')] })
    expect(said.map(change => change.key)).toEqual(['leaks', 'cause'])
    expect(said[0]!.because).toBe('2 of 3 that came back')
    for (const why of Object.keys(COMEBACKS) as Comeback[])
      expect(whatToChange({ ...none, traced: [back('dry', why)] })[0]!.words.length).toBeGreaterThan(60)
  })
  it('names a trait that came back parts share only where luck would hardly do that', () => {
    const held = Array.from({ length: 20 }, (_, n) => ({ success: true, soak: n < 2 ? 'oil-soaked' : 'dry' }))
    const keys = (traced: TracedComeback[]) => whatToChange({ ...none, traced, held }).map(change => change.key)
    expect(keys([back('oil-soaked', 'leaks', 1), back('oil-soaked', 'leaks', 2)])).toContain('soak-oil-soaked')
    expect(keys([back('dry', 'leaks', 1), back('dry', 'leaks', 2)])).not.toContain('soak-dry')
    expect(keys([back('oil-soaked')])).not.toContain('soak-oil-soaked')
  })
  it('speaks of minutes and chances only past their own doubt', () => {
    const ratio = (low: number | null) => ({
      key: 'weld',
      name: 'Weld',
      ratio: { jobs: 9, ratio: 1.3, low, high: low && 1.6 },
    })
    expect(whatToChange({ ...none, learnt: [ratio(1.1)] })[0]!.words).toMatch(/^Weld: plan 1.30 times/)
    expect(whatToChange({ ...none, learnt: [ratio(0.9), ratio(null)] })).toEqual([])
    expect(whatToChange({ ...none, odds: { points: -12, jobs: 20 } })[0]!.words).toContain('12 points too hopefully')
    expect(whatToChange({ ...none, odds: { points: 3, jobs: 20 } })).toEqual([])
  })
  it('traces each part of the made-up shop that came back to its first job', () => {
    const lessons = lessonsOf(file.jobs, file.kit!)
    expect(lessons.traced.length).toBe(4)
    for (const entry of lessons.traced) expect(file.jobs.some(job => job.id === entry.firstId)).toBe(true)
    expect(lessons.held.length + lessons.traced.length).toBe(lessons.finished)
  })
})
