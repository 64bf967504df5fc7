import fc from 'fast-check'
import { drawnJob } from '../core/job-plan/drawn.fixture'
import { broken, GROUPS } from '../core/job-plan/invariants.fixture'

/**
 * Draws jobs and tells what they break of what must hold for any job, each kind of fault with its count and its first
 * job. Exits 1 where any is broken.
 *
 *     npm run invariants [how many = 20000] [seed = 1]
 */
const [count = '20000', seed = '1'] = process.argv.slice(2)
const faults = new Map<string, { times: number; first: string }>()
let drawn = 0
for (const job of fc.sample(drawnJob, { numRuns: Number(count), seed: Number(seed) })) {
  drawn += 1
  for (const group of Object.keys(GROUPS) as (keyof typeof GROUPS)[])
    for (const wrong of broken(group, job)) {
      const kind = `${group}: ${wrong.replace(/\bm\d\b/g, 'm').replace(/-?\d+(\.\d+)?(e-?\d+)?/g, '#')}`
      const known = faults.get(kind)
      if (known) known.times += 1
      else faults.set(kind, { times: 1, first: `${wrong}\n    ${JSON.stringify(job)}` })
    }
  if (drawn % 500 === 0) console.error(`${drawn} drawn, ${faults.size} kinds of fault`)
}
for (const [kind, { times, first }] of [...faults].toSorted((a, b) => b[1].times - a[1].times))
  console.log(`${times} × ${kind}\n    ${first}`)
console.log(`${drawn} jobs, ${faults.size} kinds of fault`)
process.exitCode = faults.size ? 1 : 0
