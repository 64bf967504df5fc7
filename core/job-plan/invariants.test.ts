import fc from 'fast-check'
import { describe, it } from 'vitest'
import { drawnJob } from './drawn.fixture'
import { broken, GROUPS } from './invariants.fixture'

/** Jobs drawn in the test run; `npm run invariants` draws 20,000. */
const RUNS: Readonly<Record<keyof typeof GROUPS, number>> = {
  one: 300,
  'more is not less': 60,
  'no cliffs': 60,
  'no contradiction': 300,
  once: 300,
}

describe('what holds for any job', () => {
  it.each(Object.keys(GROUPS) as (keyof typeof GROUPS)[])('%s', { timeout: 120_000 }, group =>
    fc.assert(
      fc.property(drawnJob, job => {
        const wrong = broken(group, job)
        if (wrong.length) throw new Error(wrong.join('; '))
      }),
      { numRuns: RUNS[group], seed: 36 },
    ),
  )
})
