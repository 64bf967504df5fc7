import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ampsNeed } from '../arc/amps'
import { readFile } from '../job/files'
import type { Job, Kit } from '../job/job.schema'
import { newJob } from '../job/new-job'
import { mendMade } from './mend-made.fixture'
import { planJob } from './plan-job'

const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const shop = file.kit!
const mm = (value: number) => ({ typed: `${value} mm`, value })
const text = (part: unknown): string =>
  typeof part === 'string' ? part : typeof part === 'object' && part && 'text' in part ? String(part.text) : ''

const cases = fc.record({
  highA: fc.integer({ min: 60, max: 320 }),
  process: fc.constantFrom('ac-tig' as const, 'mig-pulse' as const, 'mig-spool' as const),
  machine: fc.boolean(),
  /** Another of the same kind beside it, listed first. */ weakA: fc.constantFrom(0, 60, 110),
  torchW: fc.constantFrom(0, 600, 3200, 9000),
  wallMm: fc.integer({ min: 1, max: 20 }),
  lengthMm: fc.integer({ min: 60, max: 900 }),
  alloy: fc.constantFrom('356', '6061', '5052', '380', '2024', '535'),
  soak: fc.constantFrom('dry' as const, 'handled' as const, 'oily' as const, 'oil-soaked' as const),
  does: fc.constantFrom('seal' as const, 'static' as const, 'cyclic' as const),
  school: fc.constantFrom('decide' as const, 'chill' as const, 'always' as const),
})

type Case = typeof cases extends fc.Arbitrary<infer T> ? T : never

function made(one: Case) {
  const blank = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
  const job: Job = {
    ...blank,
    takeIn: {
      ...blank.takeIn,
      does: one.does,
      soak: one.soak,
      cause: 'dropped',
      causeCure: 'told',
      wallMm: mm(one.wallMm),
      lengthMm: mm(one.lengthMm),
      widthMm: mm(one.lengthMm * 0.6),
    },
    know: { ...blank.know, alloy: one.alloy },
    mends: [mendMade('crack', { lengthMm: 50 })],
    warm: { ...blank.warm, school: one.school },
  }
  const kit: Kit = {
    ...shop,
    machines: one.machine
      ? [...(one.weakA ? [one.weakA] : []), one.highA].map((a, n) => ({
          ...shop.machines[0]!,
          id: `m${n}`,
          process: one.process,
          highA: a,
          torchA: a,
          ratedA: a,
        }))
      : [],
    torches: one.torchW ? [{ ...shop.torches[0]!, powerW: one.torchW }] : [],
  }
  return { job, kit, plan: planJob(job, kit) }
}

describe('no call contradicts its own numbers', () => {
  it('what is called for melts in, reaches or bonds by the numbers beside it', () => {
    fc.assert(
      fc.property(cases, one => {
        const { plan } = made(one)
        const { call, weld, warm } = plan
        // A kit with nothing in it is one that nobody has filled in yet: every process is weighed as if it were there.
        if (!call.short.startsWith('mend') || (!one.machine && !one.torchW)) return true
        const { process } = call.data
        const braze = plan.mends.rows[0]!.flame?.braze
        if (process === 'ac-tig' || process === 'mig-pulse' || process === 'mig-spool') {
          const need = ampsNeed(one.wallMm, warm.data.reachC, process, 'groove')
          return weld.data.setUp?.set.reaches && need.lowA <= Math.max(one.highA, one.weakA) + 1e-9 && one.machine
        }
        return one.torchW > 0 && (!braze || braze.plan.reaches || braze.zone !== null)
      }),
      { seed: 14, numRuns: 150 },
    )
  })

  it('a machine that stops short is never called for in one sentence and ruled out in another', () => {
    fc.assert(
      fc.property(cases, one => {
        const { plan } = made(one)
        const said = plan.weld.call.map(text).join('')
        return !plan.call.short.startsWith('mend') || !/stops at|stop at|never brings|Do not braze/.test(said)
      }),
      { seed: 15, numRuns: 150 },
    )
  })

  // Common practice, no source.
  it('140 A and a torch: a 10 mm part that carries steady load is warmed and welded, not brazed', () => {
    const { plan } = made({
      highA: 140,
      process: 'ac-tig',
      machine: true,
      weakA: 0,
      torchW: 3200,
      wallMm: 10,
      lengthMm: 200,
      alloy: '356',
      soak: 'handled',
      does: 'static',
      school: 'decide',
    })
    expect(plan.call.data.process).toBe('ac-tig')
    expect(plan.call.short).toMatch(/^mend, AC TIG/)
    expect(plan.warm.data.warmth).toMatchObject({ need: 'preheat', reaches: true })
    expect(Math.round(plan.warm.data.warmth.toC)).toBe(132)
    expect(plan.weld.data.setUp!.set.reaches).toBe(true)
  })
  it('with no torch the answer is no, and what would make it possible', () => {
    const { plan } = made({
      highA: 140,
      process: 'ac-tig',
      machine: true,
      weakA: 0,
      torchW: 0,
      wallMm: 10,
      lengthMm: 200,
      alloy: '356',
      soak: 'handled',
      does: 'static',
      school: 'decide',
    })
    const said = plan.call.call.map(text).join('')
    expect(said).toMatch(/Not with what is in the kit/)
    expect(said).toMatch(/a bigger torch, an oven or a machine of \d+ A would do/)
  })
})
