import { describe, expect, it } from 'vitest'
import { WHOLE_JOBS } from './jobs.fixture'
import { activeOf, minutesIn, offBy, planOf, PHASES, type Spread } from './whole-job.fixture'

const near = (what: string, value: number, spread: Spread | undefined, times: number) => {
  if (spread) expect(offBy(value, spread), `${what}: ${value} for ${spread.join(' to ')}`).toBeLessThanOrEqual(times)
}

/** Whole jobs against the trade's own figures: common practice, no source. */
describe('thirty whole jobs', () => {
  const plans = WHOLE_JOBS.map(job => ({ job, plan: planOf(job.input) }))
  it('are thirty', () => expect(WHOLE_JOBS.length).toBeGreaterThanOrEqual(30))
  it.each(plans)('$job.name', ({ job, plan }) => {
    expect(plan.decision.startsWith('repair'), plan.mends.map(mend => mend.because.join()).join()).toBe(true)
    near('active', activeOf(plan), job.active, 2)
    near('elapsed', plan.totals.elapsedMin, job.elapsed, 2)
    for (const phase of PHASES) near(phase, minutesIn(plan, phase), job.phases?.[phase], 2)
    near('current', plan.mends[0]?.startA ?? 0, job.amps, 1.1)
    for (const { id, passes } of plan.mends) {
      const [low, high] = job.passes?.[id] ?? [passes, passes]
      expect(passes, `passes of ${id}`).toBeGreaterThanOrEqual(low - 1)
      expect(passes, `passes of ${id}`).toBeLessThanOrEqual(high + 1)
    }
    const codes = plan.steps.map(({ code }) => code)
    expect(codes).toEqual(expect.arrayContaining([...(job.has ?? [])]))
    expect(codes.filter(code => job.hasNot?.includes(code))).toEqual([])
  })
  it('lie within a third of the trade in the middle', () => {
    const off = plans.flatMap(({ job, plan }) => (job.active ? [offBy(activeOf(plan), job.active)] : []))
    const middle = off.toSorted((a, b) => a - b)[Math.floor(off.length / 2)]
    expect(middle).toBeLessThanOrEqual(4 / 3)
  })
})
