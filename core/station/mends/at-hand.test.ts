import { describe, expect, it } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import type { Job, Kit } from '../../job/job.schema'
import { newJob } from '../../job/new-job'
import { mendMade } from '../mend-made.fixture'
import { planJob } from '../plan-job'

const machine = (id: string, process: 'ac-tig' | 'mig-spool', a: number) => ({
  id,
  name: id,
  process,
  lowA: 5,
  highA: a,
  ratedA: a,
  ratedPct: 100,
  torchA: a,
  supplyV: null,
  breakerA: null,
  ranges: '',
  currentDial: 'amps' as const,
  dialReads: 'en-share' as const,
  halves: 'together' as const,
  paid: null,
  lowHz: 50,
  highHz: 200,
})
const kit: Kit = {
  ...EMPTY_KIT,
  machines: [machine('big', 'ac-tig', 250), machine('small', 'ac-tig', 120), machine('gun', 'mig-spool', 220)],
  torches: [{ id: 't', name: 'hand torch', gas: 'propylene', powerW: 3000, efficiencyPct: 30 }],
}
const mm = (value: number) => ({ typed: `${value} mm`, value })
function part(change: (job: Job) => void = () => undefined) {
  const job = newJob('j', 'A bracket', '', '2026-11-12T09:00:00.000Z')
  Object.assign(job.takeIn, { does: 'static', soak: 'handled', wallMm: mm(6), lengthMm: mm(150), widthMm: mm(90) })
  job.know.alloy = '356'
  job.mends = [
    mendMade('crack', { lengthMm: 50 }, { id: 'crack' }),
    mendMade(
      'break',
      { lengthMm: 40 },
      { id: 'ear', lays: [{ id: 'l', process: 'ac-tig', filler: '4043', upTo: 'cap' }] },
    ),
  ]
  change(job)
  return job
}
const rowsOf = (job: Job) => planJob(job, kit).mends.rows.map(({ planned }) => [planned?.process, planned?.filler])

describe('what is picked for the part', () => {
  it('goes for every mend that says nothing itself, and for none that does', () => {
    const gun = part(job => Object.assign(job.call, { process: 'mig-spool', filler: '5356' }))
    expect(rowsOf(gun)).toEqual([
      ['mig-spool', '5356'],
      ['ac-tig', '4043'],
    ])
    // A rod that is called by its own name is the alloy that it is.
    expect(rowsOf(part(job => void (job.call.filler = '4047 rod')))[0]).toEqual(['ac-tig', '4047'])
  })
  it('is the filler of the school, where none is picked', () => {
    const magnesium = part(job => void (job.call.school = 'magnesium-first'))
    expect(rowsOf(magnesium)[0]![1]).toBe('5356')
    const plan = planJob(magnesium, kit)
    expect(plan.call.data.filler).toBe('5356')
    expect(planJob({ ...magnesium, mends: [] }, kit).call.data.filler).toBe('5356')
  })
  it('is the machine, where one of its process is picked: what that can do is what counts', () => {
    const amps = (id: string) =>
      planJob(
        part(job => void (job.weld.machine = id)),
        kit,
      ).mends.rows[0]!.setUps[0]!.set.limitA
    expect([amps('big'), amps('small'), amps('gun')]).toEqual([250, 120, 250])
  })
  it('is planned with what a bench begins with while the kit is empty, and Weld wants a machine', () => {
    const plan = planJob(
      part(job => void job.mends.pop()),
      { ...kit, machines: [], torches: [] },
    )
    expect(plan.open.wants).toEqual([])
    expect(plan.mends.rows[0]!.planned!.decision).toBe('repair')
    expect(plan.weld).toMatchObject({ wants: ['a machine in the kit'], call: ['Still wanted: a machine in the kit.'] })
  })
  it('is said by the call as the mends have it', () => {
    const plan = planJob(part(), kit)
    expect([plan.call.data.process, plan.call.data.fillerAlloy]).toEqual([
      plan.mends.rows[0]!.planned!.process,
      plan.mends.rows[0]!.planned!.filler,
    ])
  })
})
