import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import { showText } from '../../quantity/show'
import { sentenceText } from '../hand-over/record'
import { jobClocks } from '../mends/job-clocks'
import { planJob } from '../plan-job'
import { settingsLine } from './weld-data'

const read = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!read.ok || !read.kit) throw new Error('the made-up shop does not read')
const { jobs, kit } = read
const plans = jobs.map(job => planJob(job, kit))
const text = (value: number, unit: 'a') => showText(value, unit, 'metric')

describe('what is set for a pass', () => {
  it('is its own current, from what it begins with to what it is eased to', () => {
    const passes = plans.flatMap(plan => plan.mends.rows.flatMap(row => row.log.passes.map(pass => ({ row, pass }))))
    const eased = passes.filter(({ pass, row }) => pass.ease && row.setUps[0]?.set.machine && !row.setUps[0].set.byHand)
    expect(eased.length).toBeGreaterThan(20)
    for (const { row, pass } of eased) {
      const [fromA, toA] = [Math.round(pass.ease!.fromA), Math.round(pass.ease!.toA)]
      expect(settingsLine(row, text as never, pass)).toContain(
        toA < fromA ? `${fromA} A eased to ${toA} A` : `${fromA} A`,
      )
    }
  })
  it('reads the dial as the call of the mend does, and never per cent beside it', () => {
    let dials = 0
    for (const plan of plans)
      for (const row of plan.mends.rows) {
        const call = sentenceText(row.says.weld.call, 'metric')
        const dial = /balance dial at (-?\d+)/.exec(call)
        if (!dial) continue
        dials += 1
        const line = settingsLine(row, text as never, row.log.passes[0])
        expect(line).toContain(`balance dial at ${dial[1]}`)
        expect(line).not.toContain('EN ')
      }
    expect(dials).toBeGreaterThan(5)
  })
})

describe('clocks of a job', () => {
  it('are what its plan waits for and warms, each once, no longer than the step itself', () => {
    const all = plans.map(plan => ({ plan, clocks: jobClocks(plan.mends.steps) }))
    expect(all.filter(({ clocks }) => clocks.length).length).toBeGreaterThan(5)
    for (const { plan, clocks } of all) {
      expect(new Set(clocks.map(({ name }) => name)).size).toBe(clocks.length)
      for (const { minutes } of clocks)
        expect(plan.mends.steps.some(step => Math.abs(step.minutes / step.times - minutes) < 0.15)).toBe(true)
    }
  })
})
