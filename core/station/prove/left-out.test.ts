import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { applyPatch } from '../../job/patch'
import { recordOf } from '../hand-over/record'
import { planJob } from '../plan-job'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const cover = file.jobs.find(({ id }) => id === 'gearbox-cover')!
const noted = (job: Job, check: string, note: string) =>
  applyPatch(job, {
    path: ['prove', 'results', check],
    value: { result: 'left-out', note, at: '2026-11-20T10:00:00Z' },
  })

describe('a check that is left out', () => {
  const before = planJob(cover, kit)
  const priceOf = (plan: typeof before) => plan['hand-over'].data.quote!.total
  const dye = (plan: typeof before) => plan.prove.data.checks.find(({ id }) => id === 'dye')

  it('with its reason is done with, neither asked nor charged, and stands in the record', () => {
    const job = noted(cover, 'dye', 'the owner did not want it')
    const plan = planJob(job, kit)
    expect(plan.prove.wants).toHaveLength(before.prove.wants.length - 1)
    expect(plan.mends.rows.flatMap(({ planned }) => planned?.checks ?? [])).not.toContain('dye')
    expect(priceOf(plan)).toBeLessThan(priceOf(before))
    expect(dye(plan)).toMatchObject({ result: 'left-out', minutes: 0 })
    const proved = recordOf(job, plan, kit, 'metric').sections.find(({ title }) => title === 'How it was proved')!
    expect(proved.lines).toContainEqual({ label: 'Dye', text: 'left out: the owner did not want it' })
  })
  it('without one is still to do, and still charged', () => {
    const plan = planJob(noted(cover, 'dye', ' '), kit)
    expect(plan.prove.wants).toEqual(before.prove.wants)
    expect(priceOf(plan)).toBeCloseTo(priceOf(before), 9)
  })
})
