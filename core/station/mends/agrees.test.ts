import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import { CHECK_OF } from '../prove/checks.table'
import { planJob } from '../plan-job'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
/** A shop that has learnt nothing, so that both count with what they start from. */
const kit = { ...file.kit!, learnt: null }
const mended = file.jobs.filter(job => job.mends.length)

describe('the stations and `job.plan`', () => {
  it.each(mended.map(job => [job.id, job] as const))('count the same minutes for %s', (_, job) => {
    const plan = planJob(job, kit)
    const { phases } = plan['hand-over'].data
    const asked = new Set(
      [
        ...plan.mends.rows.flatMap(({ planned }) => planned?.checks ?? []),
        ...plan.mends.shared.flatMap(({ code }) => (code.startsWith('check-') ? [code.slice(6)] : [])),
      ].map(code => CHECK_OF[code]),
    )
    // What the duty and the cause ask of a part is asked once more at Prove, and what the puddle had laid again.
    const beside = plan.prove.data.checks
      .filter(({ id }) => !asked.has(id))
      .reduce((sum, { minutes }) => sum + minutes, 0)
    const again = plan.mends.rows.reduce((sum, { log }) => sum + log.again.minutes, 0)
    // A part with a shape is warmed on its own cells, which `job.plan` has not got.
    const shared = plan.mends.shared.reduce((sum, { code, minutes }) => sum + (code === 'warm' ? 0 : minutes), 0)
    const own = plan.mends.rows.reduce(
      (sum, { planned }) => sum + (planned ? planned.handMin + planned.arcMin + planned.machineMin : 0),
      0,
    )
    const all = phases.reduce((sum, { id, minutes }) => sum + (id === 'warm' ? 0 : minutes), 0)
    expect(all - beside - again).toBeCloseTo(own + shared, 6)
  })
})
