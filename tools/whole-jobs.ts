import { WHOLE_JOBS } from '../core/job-plan/whole-jobs/jobs.fixture'
import { activeOf, minutesIn, PHASES, planOf, type Spread } from '../core/job-plan/whole-jobs/whole-job.fixture'

/**
 * The table of whole jobs in `docs/method.md`: what the trade takes for each, and what is planned here.
 *
 *     npm run whole-jobs
 */
const min = (minutes: number) => (minutes < 10 ? Number(minutes.toFixed(1)) : Math.round(minutes))
const to = ([low, high]: Spread) => (low === high ? `${low}` : `${low}–${high}`)

console.log('| job | the trade | here |\n|---|---|---|')
for (const job of WHOLE_JOBS) {
  const plan = planOf(job.input)
  const figures: [what: string, trade: Spread | undefined, here: number | string][] = [
    ['active', job.active, min(activeOf(plan))],
    ['in all', job.elapsed, min(plan.totals.elapsedMin)],
    ...PHASES.map((phase): [string, Spread | undefined, number] => [
      phase,
      job.phases?.[phase],
      min(minutesIn(plan, phase)),
    ]),
    ...plan.mends.map(({ id, passes }): [string, Spread | undefined, number] => [
      plan.mends.length > 1 ? `passes of ${id}` : 'passes',
      job.passes?.[id],
      passes,
    ]),
    ['A', job.amps, Math.round(plan.mends[0]?.startA ?? 0)],
  ]
  const told = figures.flatMap(([what, trade, here]) => (trade ? [{ what, trade: to(trade), here }] : []))
  const side = (of: 'trade' | 'here') => told.map(one => `${one.what} ${one[of]}`).join(', ')
  console.log(`| ${job.name}${job.judged ? ' (judgement)' : ''} | ${side('trade')} | ${side('here')} |`)
}
