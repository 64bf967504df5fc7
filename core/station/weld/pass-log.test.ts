import { describe, expect, it } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import type { Job, Kit } from '../../job/job.schema'
import { mendSchema } from '../../job/mend.schema'
import { mendNamed } from '../../job/mend-named'
import { newJob } from '../../job/new-job'
import { STARTER_KITS } from '../../job/starter-kits.table'
import { logCsv } from '../../job/tables'
import type { SeenInPuddle } from '../../job/words.table'
import { planJob } from '../plan-job'
import { recordOf } from '../hand-over/record'
import { passStep } from '../../job/mend-steps'
import { logOf } from './pass-log'

const AT = '2026-11-12T09:00:00.000Z'
const mm = (value: number) => ({ typed: `${value} mm`, value })
const kit: Kit = { ...EMPTY_KIT, ...Object.values(STARTER_KITS)[0]!.kit }
let seen = 0
const saw = (what: SeenInPuddle, pass: number, mend?: string): Job['weld']['log'][number] => ({
  id: `e${seen++}`,
  at: AT,
  pass,
  saw: what,
  note: '',
  settings: '',
  ...(mend ? { mend } : {}),
})

/** A cover with a crack of its own beside a worn face. */
function cover(change: (job: Job) => void = () => undefined) {
  const job = newJob('j', 'A cover', '', AT)
  job.takeIn.does = 'static'
  job.takeIn.wallMm = mm(10)
  job.mends = [
    mendSchema.parse({ id: 'crack', kind: 'crack', readings: { lengthMm: mm(90), sides: '2', keepBreak: true } }),
    mendSchema.parse({ id: 'pad', kind: 'face', name: 'worn pad', readings: { areaMm2: mm(900), lowMm: mm(2) } }),
  ]
  change(job)
  return job
}
const rowOf = (job: Job, id: string) => planJob(job, kit).mends.rows.find(row => row.id === id)!

describe('the passes of a mend', () => {
  it('are those of its lays, numbered through, with a root and a cap on each side', () => {
    const row = rowOf(cover(), 'crack')
    const { passes } = row.log
    expect(passes).toHaveLength(row.planned!.passes)
    expect(passes.map(pass => pass.number)).toEqual(passes.map((_, n) => n + 1))
    for (const side of [1, 2] as const) {
      const own = passes.filter(pass => pass.side === side)
      expect(own[0]!.kind).toBe('root')
      if (own.length > 1) expect(own.at(-1)!.kind).toBe('cap')
    }
  })
  it('go from side to side turn about, and side by side where one is finished first', () => {
    const sides = (order: 'alternate' | 'one-then-other') =>
      rowOf(
        cover(one => void (one.mends[0]!.order = order)),
        'crack',
      ).log.passes.map(pass => pass.side)
    const [about, after] = [sides('alternate'), sides('one-then-other')]
    expect(about.toSorted()).toEqual(after)
    expect(about.slice(0, 2)).toEqual([1, 2])
    expect(after).toEqual(after.toSorted())
  })
  it('say what lays each where a mend is laid by several', () => {
    const job = cover(one => {
      one.mends[0]!.lays = [
        { id: 'a', process: 'ac-tig', filler: '4043', upTo: 'root' },
        { id: 'b', process: 'ac-tig', filler: '5356', upTo: 'cap' },
      ]
    })
    const { passes } = rowOf(job, 'crack').log
    expect(passes[0]!.by).toBe('AC TIG, 4043')
    expect(passes.at(-1)!.by).toBe('AC TIG, 5356')
  })
  it('ease the current from where it starts to where it ends, never up again', () => {
    const { planned, log } = rowOf(cover(), 'crack')
    expect(log.passes[0]!.ease!.fromA).toBeCloseTo(planned!.startA!, 9)
    expect(log.passes.at(-1)!.ease!.toA).toBeCloseTo(planned!.easedA!, 9)
    for (const { ease } of log.passes) expect(ease!.toA).toBeLessThanOrEqual(ease!.fromA)
  })
  it('end with the current that the plan eases to where an arc has boiled the place out first', () => {
    const { planned, log } = rowOf(
      cover(one => void (one.takeIn.soak = 'oil-soaked')),
      'crack',
    )
    expect(log.boilMin).toBeGreaterThan(0)
    expect(log.passes).toHaveLength(planned!.passes)
    expect(log.passes.at(-1)!.ease!.toA).toBeCloseTo(planned!.easedA!, 9)
    expect(log.passes[0]!.ease!.fromA).toBeCloseTo(planned!.startA!, 9)
  })
  it('are done by their step, each mend for itself', () => {
    const job = cover(one => void one.mends[0]!.done.push(passStep(1)))
    expect(rowOf(job, 'crack').log.passes[0]!.done).toBe(true)
    expect(rowOf(job, 'pad').log.passes[0]!.done).toBe(false)
  })
  it('are never more than a log can number: past that it says no', () => {
    const job = cover(one => void (one.mends[0]!.readings.capMm = { typed: '20 mm', value: 20 }))
    job.mends[0]!.readings.includedDeg = { typed: '160°', value: 160 }
    job.mends[0]!.readings.rodMm = { typed: '0.5 mm', value: 0.5 }
    job.takeIn.wallMm = { typed: '12 mm', value: 12 }
    expect(rowOf(job, 'crack')).toMatchObject({
      planned: { decision: 'decline', because: ['too-many-passes'] },
      log: { passes: [] },
    })
  })
  it('are none where nothing can be planned', () => {
    const job = cover(one => void (one.mends[0]!.readings = {}))
    expect(rowOf(job, 'crack').log).toMatchObject({ passes: [], nextMove: null })
  })
})

describe('what was seen in a mend', () => {
  it('stands at its pass, asks for its own move, and leaves the others alone', () => {
    const job = cover(one => void one.weld.log.push(saw('black-specks', 1, 'crack'), saw('wets-clean', 1, 'pad')))
    const crack = rowOf(job, 'crack')
    expect(crack.log.passes[0]!.log.map(entry => entry.saw)).toEqual(['black-specks'])
    expect(crack.log.nextMove!.move).not.toBe(rowOf(job, 'pad').log.nextMove!.move)
    expect(logOf(job, 'gone')).toEqual([])
  })
  it('charges what is ground out and laid again, and no other mend for it', () => {
    const many = Array.from({ length: 4 }, () => saw('black-specks', 1, 'crack'))
    const [before, after] = [cover(), cover(one => void one.weld.log.push(...many))].map(job => planJob(job, kit))
    const row = after!.mends.rows[0]!
    expect(row.log.again.passes).toBeGreaterThan(0)
    const of = (plan: typeof after) => plan!.mends.rows[0]!.planned!
    expect(of(after).arcMin - of(before).arcMin).toBeCloseTo(row.log.again.minutes, 9)
    expect(of(after).rods - of(before).rods).toBeCloseTo(row.log.again.rods, 9)
    expect(after!['hand-over'].data.quote!.total).toBeGreaterThan(before!['hand-over'].data.quote!.total)
    expect(after!.mends.rows[1]!.log.again.passes).toBe(0)
  })
  it('is named by its mend in the record and in the table, and by none once the mend is gone', () => {
    const job = cover(one => void one.weld.log.push(saw('bubbles', 2, 'pad'), saw('scum', 1)))
    expect(recordOf(job, planJob(job, kit), kit, 'metric').log.map(entry => entry.mend)).toEqual(['worn pad', ''])
    expect(logCsv([job]).split(/\r?\n/)[1]).toContain('worn pad')
    expect(mendNamed({ mends: [] }, 'pad')).toBe('')
    expect(mendNamed(job, 'crack')).toBe('crack')
  })
})
