import { describe, expect, test } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import { jobSchema, type Job, type Kit } from '../../job/job.schema'
import { newJob } from '../../job/new-job'
import { STARTER_KITS } from '../../job/starter-kits.table'
import { newMend } from '../../job/new-mend'
import { planJob } from '../plan-job'

const mm = (value: number) => ({ typed: `${value} mm`, value })
const kit: Kit = { ...EMPTY_KIT, ...structuredClone(STARTER_KITS['small-tig'].kit) } as unknown as Kit
function cracked(change: (job: Job) => void = () => undefined): Job {
  const job = structuredClone(newJob('a', 'Pump foot', '', '2026-11-12T09:00:00.000Z'))
  const mend = newMend('m1', 'crack')
  job.mends = [{ ...mend, readings: { ...mend.readings, lengthMm: mm(60) } }]
  change(job)
  return jobSchema.parse(job)
}
const idsOf = (job: Job, of: Kit = kit) => planJob(job, of)['hand-over'].data.assumed.map(({ id }) => id)
const said = (job: Job) => {
  Object.assign(job.takeIn, { does: 'static', soak: 'dry', wallMm: mm(8), lengthMm: mm(200), widthMm: mm(120) })
  job.know.form = 'casting'
}

describe('what a price goes by that nobody has said', () => {
  test('of a new job on a new bench it is all of it', () => {
    expect(idsOf(cracked())).toEqual(['metal', 'wall', 'oil', 'load', 'mass', 'rate', 'prices'])
  })
  test('each goes once it is said', () => {
    expect(idsOf(cracked(said))).toEqual(['rate', 'prices'])
    expect(idsOf(cracked(said), { ...kit, rateAssumed: false })).toEqual(['prices'])
    const paid = <Row>(rows: Row[]) => rows.map(row => ({ ...row, usualPrice: false }))
    const fuel = { id: 'fuel', name: 'propylene', cylinderL: 400, price: 20, leftL: null }
    const own = { ...kit, rateAssumed: false, rods: paid(kit.rods), gases: [...paid(kit.gases), fuel] }
    expect(idsOf(cracked(said), own)).toEqual([])
  })
  test('a name that says what it was made from is taken at its word', () => {
    expect(newJob('b', 'Cast pump foot', '', '2026-11-12T09:00:00.000Z').know.form).toBe('casting')
  })
  test('a thread insert is priced on its own line, and the lines come to the price', () => {
    const job = cracked(each => {
      said(each)
      const mend = newMend('t1', 'thread')
      each.mends = [
        { ...mend, readings: { ...mend.readings, thread: 'M10', deepMm: mm(20), bossMm: mm(30), way: 'wire-insert' } },
      ]
    })
    const { quote } = planJob(job, kit)['hand-over'].data
    const inserts = quote!.lines.find(line => line.name === 'Thread inserts')
    expect(inserts!.price).toBeCloseTo(1.4, 6)
    expect(quote!.lines.reduce((sum, line) => sum + line.price, 0)).toBeCloseTo(quote!.total, 6)
  })
})
