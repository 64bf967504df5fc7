import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import { questions } from '../../questions'
import { nearLines } from '../near-lines'
import { planJob } from '../plan-job'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const mended = file.jobs.filter(job => job.mends.length)

describe('the stations and `job.plan`', () => {
  it.each(mended.map(job => [job.id, job] as const))(
    'say one price, one chance, one count of minutes for %s',
    (_, job) => {
      const plan = planJob(job, kit)
      const { totals, rows } = plan.mends
      const { quote, phases, plannedTotalMin } = plan['hand-over'].data
      expect(quote!.total).toBeCloseTo(totals!.price, 6)
      expect(plannedTotalMin).toBeCloseTo(totals!.arcMin + totals!.handMin + totals!.machineMin, 6)
      expect(phases.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(plannedTotalMin, 9)
      const mends = rows.flatMap(({ planned }) => planned ?? [])
      if (plan.call.data.judged)
        expect(plan.call.data.judged.chancePct).toBe(Math.min(...mends.map(({ chancePct }) => chancePct)))
      const checkMin = plan.prove.data.checks.reduce((sum, { minutes }) => sum + minutes, 0)
      expect(checkMin).toBeCloseTo(
        totals!.shared.reduce((sum, { code, minutes }) => sum + (code.startsWith('check-') ? minutes : 0), 0),
        9,
      )
    },
  )
  it.each(mended.map(job => [job.id, job] as const))(
    'go by the very steps and decisions that the question answers for %s, each with words of its own',
    (_, job) => {
      const { steps, decisions } = planJob(job, kit).mends
      const asked = questions.ask('job.plan', { kit, stored: job })
      if (!asked.ok) throw new Error(JSON.stringify(asked.error))
      const answer = asked.answer as {
        steps: { code: string; minutes: number; price: number }[]
        decisions: { about: string; took: string; of?: string }[]
        totals: { price: number }
      }
      const minutes = (list: readonly { minutes: number }[]) => list.reduce((sum, step) => sum + step.minutes, 0)
      expect(minutes(steps)).toBeCloseTo(minutes(answer.steps), 6)
      expect(answer.steps.reduce((sum, { price }) => sum + price, 0)).toBeCloseTo(answer.totals.price, 6)
      const codes = new Set(answer.steps.map(({ code }) => code))
      expect(steps.filter(({ says }) => codes.has(says))).toEqual([])
      expect(decisions.map(({ id }) => id)).toEqual(
        answer.decisions.map(({ about, of }) => `${about} ${of ?? ''}`.trim()),
      )
      expect(decisions.filter(({ took, because }) => took === '' || because.some(why => why === ''))).toEqual([])
    },
  )
  it('names the readings near a line that the question names', () => {
    let named = 0
    for (const job of mended.slice(0, 8)) {
      const asked = questions.ask('job.plan', { kit, stored: job })
      if (!asked.ok) throw new Error(JSON.stringify(asked.error))
      const { decisions } = asked.answer as { decisions: { about: string; of?: string; near: unknown[] }[] }
      const near = decisions.filter(decision => decision.near.length)
      expect(nearLines(job, kit).map(({ id }) => id)).toEqual(
        near.map(({ about, of }) => `${about} ${of ?? ''}`.trim()),
      )
      named += near.length
    }
    expect(named).toBeGreaterThan(0)
  })
})
