import { layer } from '../core/day/decode'
import { dayOf } from '../core/day/model'
import { schedule, scheduled } from '../core/day/search'
import { shopDay } from '../core/day/shop-day.fixture'
import { timed } from './timing'

/** How fast a made shop's week is searched, and how much sooner a list is laid of which half stands already. */
export function days(line: (name: string, value: string) => void): void {
  console.log('\nThe day')
  for (const jobs of [12, 16]) {
    const given = shopDay(11, jobs)
    // A wait that runs over lays a list more than once, from its beginning: it would be counted on one side only.
    const free = given.jobs.map(job => ({ ...job, tasks: job.tasks.map(task => ({ ...task, maxWaitMin: undefined })) }))
    const day = dayOf({ ...given, jobs: free })
    const lay = layer(day)
    const list = Int32Array.from(day.order)
    const laid = lay(list)!
    const byStart = list.toSorted((a, b) => laid.starts[a]! - laid.starts[b]!)
    const from = Math.floor(byStart.length / 2)
    const times = 400
    const anew = timed(15, () => {
      for (let n = 0; n < times; n++) lay(byStart)
    })
    const rest = timed(15, () => {
      for (let n = 0; n < times; n++) lay(byStart, { starts: laid.starts, tasks: from })
    })
    const begun = performance.now()
    const { tries } = scheduled(schedule(day, 0.15))
    line(
      `${byStart.length} tasks: one list laid from its middle on`,
      `${((1000 * rest) / times).toFixed(1)} µs, anew ${(anew / rest).toFixed(1)} times as long; the page's search of ${tries} lists ${((performance.now() - begun) / 1000).toFixed(1)} s`,
    )
  }
}
