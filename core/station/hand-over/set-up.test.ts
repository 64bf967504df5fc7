import { describe, expect, it } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import type { Job, Kit } from '../../job/job.schema'
import { mendSchema } from '../../job/mend.schema'
import { newJob } from '../../job/new-job'
import { STARTER_KITS } from '../../job/starter-kits.table'
import {
  DEGREASE_MIN,
  EARLIER_REPAIR_MIN,
  MILL_SET_UP_MIN,
  PROTECT_MIN_EACH,
  TAKE_IN_MIN,
  WELD_SET_UP_MIN,
} from '../../mend/minutes.table'
import { planJob } from '../plan-job'
import { setUpMin } from './set-up'

const AT = '2026-11-12T09:00:00.000Z'
const mm = (value: number) => ({ typed: `${value} mm`, value })
const kit: Kit = { ...EMPTY_KIT, ...Object.values(STARTER_KITS)[0]!.kit }
const pad = (id: string) =>
  mendSchema.parse({ id, kind: 'face', readings: { wideMm: mm(30), longMm: mm(40), lowMm: mm(2) } })

/** A part with so many worn pads on it. */
function part(pads: number, change: (job: Job) => void = () => undefined) {
  const job = newJob('j', 'A foot', '', AT)
  job.takeIn.does = 'static'
  job.takeIn.wallMm = mm(8)
  job.mends = Array.from({ length: pads }, (_, n) => pad(`m${n}`))
  change(job)
  return job
}
const planned = (job: Job) => planJob(job, kit)
const phase = (job: Job, id: string) => planned(job)['hand-over'].data.phases.find(each => each.id === id)?.minutes ?? 0
const setUp = (job: Job) => phase(job, 'set-up')
const first = (job: Job) => phase(job, 'open')

describe('setting up for the mends of a part', () => {
  it('is charged once, however many there are', () => {
    expect(setUp(part(1))).toBeCloseTo(WELD_SET_UP_MIN + MILL_SET_UP_MIN, 9)
    expect(setUp(part(4))).toBeCloseTo(setUp(part(1)), 9)
  })
  it('comes after taking in, degreasing and an earlier repair, once too', () => {
    expect(first(part(1))).toBeCloseTo(TAKE_IN_MIN + DEGREASE_MIN.handled, 9)
    expect(first(part(4))).toBeCloseTo(first(part(1)), 9)
    const glued = part(1, job => void (job.takeIn.earlierRepair = 'epoxy'))
    expect(first(glued) - first(part(1))).toBeCloseTo(EARLIER_REPAIR_MIN.epoxy, 9)
  })
  it('counts what is guarded', () => {
    const guarded = part(1, job => void (job.takeIn.protect = ['bush', 'openings']))
    expect(first(guarded) - first(part(1))).toBeCloseTo(2 * PROTECT_MIN_EACH, 9)
  })
  it('is nothing where no mend can be planned', () => {
    expect(setUp(part(1, job => void (job.mends[0]!.readings = {})))).toBe(0)
  })
  it('makes each of several parts alike cheaper by what they share', () => {
    const [one, many] = [part(2), part(2, job => void (job.handOver.alike = 5))].map(planned)
    const onceMin = setUpMin(many!.mends)
    expect(onceMin).toBeCloseTo(WELD_SET_UP_MIN + MILL_SET_UP_MIN, 9)
    const each = one!['hand-over'].data.quote!.total - (onceMin / 60) * kit.ratePerHour * (4 / 5)
    const said = JSON.stringify(many!['hand-over'].why)
    expect(said).toContain(each.toFixed(2))
  })
})
