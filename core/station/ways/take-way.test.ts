import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import type { Job, Kit } from '../../job/job.schema'
import { applyPatch } from '../../job/patch'
import { questions } from '../../questions'
import { atOnce } from '../job-given'
import { shownMatters, sureKey } from '../matters/shown'
import { planKnow } from '../know/know'
import { wholeOf } from '../mends/whole-of'
import { shownWays } from './shown'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok || !file.kit) throw new Error('the demo shop does not read')
const kit: Kit = file.kit
const jobOf = (id: string): Job => {
  const job = file.jobs.find(one => one.id === id)
  if (!job) throw new Error(`no job ${id}`)
  return job
}
const planned = (job: Job) => wholeOf(job, kit, planKnow(job).data).planned!
/** Of the made-up shop, a job of three mends and two of one. */
const SOME = ['gearbox-cover', 'bar-hanger', 'dome-shutter']
const LIGHT = 'dome-shutter'

describe('the ways of a stored job', () => {
  it.each(SOME)('%s: each, taken, plans to what it said', id => {
    const job = jobOf(id)
    const ways = atOnce(shownWays(job, kit))!.ways
    for (const way of ways) {
      const { totals, chancePct } = planned(way.patches.reduce(applyPatch, job))
      expect([totals.price, totals.elapsedMin, chancePct]).toEqual([
        expect.closeTo(way.price, 6),
        expect.closeTo(way.elapsedMin, 6),
        expect.closeTo(way.chancePct, 6),
      ])
    }
    expect(ways.filter(({ isOwn }) => isOwn).length).toBeLessThanOrEqual(1)
    for (const way of ways) expect(way.isOwn || way.differs.length > 0).toBe(true)
  })
  it('asked of a file, each input is that job taken so', () => {
    const job = jobOf(LIGHT)
    const asked = questions.ask('job.ways', { stored: job, kit, most: 3 })
    if (!asked.ok) throw new Error(JSON.stringify(asked.error))
    const { ways } = asked.answer as { ways: { price: number; input: unknown }[] }
    expect(ways.length).toBeGreaterThan(0)
    for (const { price, input } of ways) {
      const plan = questions.ask('job.plan', input)
      expect(plan.ok && (plan.answer as { totals: { price: number } }).totals.price).toBeCloseTo(price, 6)
    }
  })
})

describe('what matters in a stored job', () => {
  const job = jobOf(LIGHT)
  const spread = (of: Job) => {
    const { price } = atOnce(shownMatters(of, kit))!
    return price.high - price.low
  }
  it('is less sure of its price where a wall is guessed, and named as it is at its station', () => {
    const guessed = { ...job, call: { ...job.call, sure: { [sureKey(null, 'wallMm')]: 'guessed' as const } } }
    expect(spread(guessed)).toBeGreaterThan(spread(job))
    const { readings } = atOnce(shownMatters(guessed, kit))!
    expect(readings.find(({ path }) => path.endsWith('wallMm'))).toMatchObject({ sure: 'guessed', key: 'part--wallMm' })
  })
  it('is the same twice, and nothing where no mend is planned', () => {
    expect(atOnce(shownMatters(job, kit))).toEqual(atOnce(shownMatters(job, kit)))
    expect(atOnce(shownMatters({ ...job, mends: [] }, kit))).toBeNull()
    expect(atOnce(shownWays({ ...job, mends: [] }, kit))).toBeNull()
  })
})
