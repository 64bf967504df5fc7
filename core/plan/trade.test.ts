import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../job/files'
import type { Job } from '../job/job.schema'
import { newJob } from '../job/new-job'
import { planJob } from './plan-job'

/** Whole jobs against what the trade takes for them. All of these: common practice, no source. */
const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const kit = file.kit!
const blank = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
const mm = (value: number) => ({ typed: `${value} mm`, value })

const part = (change: {
  takeIn?: Partial<Job['takeIn']>
  open?: Partial<Job['open']>
  alloy?: string
  process?: Job['call']['process']
  wireMm?: number
}): Job => ({
  ...blank,
  takeIn: { ...blank.takeIn, does: 'static', soak: 'handled', cause: 'dropped', causeCure: 'told', ...change.takeIn },
  open: { ...blank.open, ...change.open },
  know: { ...blank.know, alloy: change.alloy ?? '356' },
  call: { ...blank.call, process: change.process ?? 'ac-tig' },
  weld: { ...blank.weld, wireMm: mm(change.wireMm ?? 0.9) },
  rebuild: { ...blank.rebuild, machined: false },
})
const minutes = (job: Job, shop = kit) => planJob(job, shop)['hand-over'].data.plannedTotalMin

describe('whole jobs', () => {
  it('a small bracket cracked on both sides, dressed by hand: 45 to 60 minutes, under ten of them arc', () => {
    const bracket = part({
      takeIn: { wallMm: mm(6), lengthMm: mm(90), widthMm: mm(60) },
      open: { crackMm: mm(40), sides: 2 },
    })
    expect(minutes(bracket)).toBeGreaterThan(45)
    expect(minutes(bracket)).toBeLessThan(60)
    expect(planJob(bracket, kit).weld.data.arcMin).toBeLessThan(10)
  })
  it('a cracked rim, ground, welded, dressed by hand and proved by dye: 90 to 120 minutes, some of them the dressing of a seat that is not counted here', () => {
    const rim = part({
      takeIn: {
        does: 'cyclic',
        wallMm: mm(6),
        lengthMm: mm(400),
        widthMm: mm(400),
        heightMm: mm(150),
        coating: 'paint',
      },
      open: { crackMm: mm(70), sides: 2 },
    })
    // The torch warms the place, not all of the rim, which took ten minutes more.
    expect(minutes(rim)).toBeGreaterThan(75)
    expect(minutes(rim)).toBeLessThan(120)
    // Planned all the same, a rim that carries someone is sent on.
    expect(
      JSON.stringify(planJob({ ...rim, takeIn: { ...rim.takeIn, safetyCritical: 'wheel' } }, kit).call.call),
    ).toContain('Send it on')
  })
  it('leaves a heat-soaked flange free rather than bolted flat, unless the bench says otherwise, and says what bolting it locks in', () => {
    const flange = planJob(
      part({ takeIn: { wallMm: mm(8), lengthMm: mm(280), widthMm: mm(190) }, open: { crackMm: mm(100) } }),
      kit,
    )
    expect(JSON.stringify(flange.weld.why)).toContain('Leave it free')
    expect(JSON.stringify(flange.weld.change)).toContain('crack along the old line after a few heat cycles')
  })
  it('asks 12 mm bare each side, a stop-hole of 3 to 4 mm and an over-build of 1.5 mm where nothing else is said', () => {
    const plan = planJob(
      part({
        takeIn: { coating: 'paint', wallMm: mm(6), lengthMm: mm(90), widthMm: mm(60) },
        open: { crackMm: mm(40) },
      }),
      kit,
    )
    expect(plan.open.data.steps.find(step => step.id === 'uncoat')!.text).toContain('12 mm each side')
    expect(blank.open.stopHoleMm.value!).toBeGreaterThanOrEqual(3)
    expect(blank.open.stopHoleMm.value!).toBeLessThanOrEqual(4)
    expect(plan.rebuild.data.proudMm).toBe(1.5)
  })
  it('reckons on the usual numbers at the machine: 15 cfh, 60 to 70 % negative on dirt, 100 to 120 Hz in the middle', () => {
    expect(blank.weld.flowLMin.value! / 0.4719474).toBeCloseTo(15, 0)
    expect(blank.weld.enPct.value!).toBeGreaterThanOrEqual(60)
    expect(blank.weld.enPct.value!).toBeLessThanOrEqual(70)
    expect(blank.weld.frequencyHz.value!).toBeGreaterThanOrEqual(100)
    expect(blank.weld.frequencyHz.value!).toBeLessThanOrEqual(120)
  })
})
