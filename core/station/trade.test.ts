import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../job/files'
import type { Job } from '../job/job.schema'
import type { StoredMend } from '../job/mend.schema'
import { wordsFor } from '../mend/registry'
import { newJob } from '../job/new-job'
import { mendMade } from './mend-made.fixture'
import { planJob } from './plan-job'

/** Whole jobs against what the trade takes for them. All of these: common practice, no source. */
const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const kit = file.kit!
const blank = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
const mm = (value: number) => ({ typed: `${value} mm`, value })

const part = (change: {
  takeIn?: Partial<Job['takeIn']>
  mend: StoredMend
  alloy?: string
  process?: Job['call']['process']
  wireMm?: number
}): Job => ({
  ...blank,
  takeIn: { ...blank.takeIn, does: 'static', soak: 'handled', cause: 'dropped', causeCure: 'told', ...change.takeIn },
  mends: [change.mend],
  know: { ...blank.know, alloy: change.alloy ?? '356' },
  call: { ...blank.call, process: change.process ?? 'ac-tig' },
  weld: { ...blank.weld, wireMm: mm(change.wireMm ?? 0.9) },
})
const minutes = (job: Job, shop = kit) => planJob(job, shop)['hand-over'].data.plannedTotalMin

describe('whole jobs', () => {
  // The whole plan is held to the trade's figures within a half to twice (core/job-plan/trade.test.ts): 35 here.
  it('a lug broken off a small bracket, beads from both sides, dressed by hand: 45 to 60 minutes, under ten of them arc', () => {
    const bracket = part({
      takeIn: { soak: 'dry', wallMm: mm(8), lengthMm: mm(120), widthMm: mm(80), heightMm: mm(40) },
      mend: mendMade('break', { lengthMm: 45 }),
    })
    expect(minutes(bracket)).toBeGreaterThan(45 / 2)
    expect(minutes(bracket)).toBeLessThan(60 * 2)
    expect(planJob(bracket, kit).mends.rows[0]!.planned!.arcMin).toBeLessThan(10)
  })
  it('a cracked rim, ground, welded, dressed by hand and proved by dye, run-out and balance: 90 to 120 minutes, some of them the dressing of its seat', () => {
    const rim = part({
      takeIn: {
        does: 'cyclic',
        moves: 'spins',
        mustNotMove: ['locating-diameter'],
        wallMm: mm(8),
        lengthMm: mm(400),
        widthMm: mm(400),
        heightMm: mm(150),
      },
      mend: mendMade('crack', { lengthMm: 60, sides: '2', startsIn: 'edge', on: ['locating-diameter'] }),
    })
    // Within a half to twice of what the trade takes.
    expect(minutes(rim)).toBeGreaterThan(90 / 2)
    expect(minutes(rim)).toBeLessThan(120 * 2)
    // Planned all the same, a rim that carries someone is sent on.
    expect(
      JSON.stringify(planJob({ ...rim, takeIn: { ...rim.takeIn, safetyCritical: 'wheel' } }, kit).call.call),
    ).toContain('Send it on')
  })
  it('leaves a heat-soaked flange free rather than bolted flat, unless the bench says otherwise, and says what bolting it locks in', () => {
    const flange = planJob(
      part({
        takeIn: { wallMm: mm(8), lengthMm: mm(280), widthMm: mm(190) },
        mend: mendMade('crack', { lengthMm: 100 }),
      }),
      kit,
    )
    expect(JSON.stringify(flange.weld.why)).toContain('Leave it free')
    expect(JSON.stringify(flange.weld.change)).toContain('crack along the old line after a few heat cycles')
  })
  it('asks 12 mm bare each side, a stop-hole of 3 to 4 mm and an over-build of 1.5 mm where nothing else is said', () => {
    const plan = planJob(
      part({
        takeIn: { coating: 'paint', wallMm: mm(6), lengthMm: mm(90), widthMm: mm(60) },
        mend: mendMade('crack', { lengthMm: 40, machined: true }),
      }),
      kit,
    )
    const [row] = plan.mends.rows
    expect(wordsFor('crack', row!.planned!.opening[0]!.code)).toContain('12 mm each side')
    expect(row!.groove!.stopHoles[0]!.diameterMm).toBeGreaterThanOrEqual(3)
    expect(row!.groove!.stopHoles[0]!.diameterMm).toBeLessThanOrEqual(4)
    expect(row!.facing!.proudMm).toBe(1.5)
  })
  it('reckons on the usual numbers at the machine: 15 cfh, 60 to 70 % negative on dirt, 100 to 120 Hz in the middle', () => {
    expect(blank.weld.flowLMin.value! / 0.4719474).toBeCloseTo(15, 0)
    expect(blank.weld.enPct.value!).toBeGreaterThanOrEqual(60)
    expect(blank.weld.enPct.value!).toBeLessThanOrEqual(70)
    expect(blank.weld.frequencyHz.value!).toBeGreaterThanOrEqual(100)
    expect(blank.weld.frequencyHz.value!).toBeLessThanOrEqual(120)
  })
})
