import { layer } from '../core/day/decode'
import { dayOf, type Day, type DayGiven } from '../core/day/model'
import { schedule, scheduled } from '../core/day/search'
import { timed } from './timing'

const SHIFT_MIN = 540

/** A made shop: jobs of five tasks, one pair of hands, what stands in the oven or the freezer beside it. */
function shopOf(jobs: number): Day {
  let state = 11
  const random = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31
  const given: DayGiven = {
    jobs: Array.from({ length: jobs }, (_, j) => ({
      id: `j${j}`,
      due: random() < 0.5 ? 200 + Math.round(random() * 30 * jobs) : undefined,
      tasks: Array.from({ length: 5 }, (_, t) => {
        const unattended = t % 2 === 1
        return {
          id: `j${j}t${t}`,
          minutes: 5 * Math.ceil(random() * (unattended ? 12 : 6)),
          needs: unattended ? [random() < 0.5 ? 'oven' : 'freezer'] : ['hands', ...(random() < 0.4 ? ['mill'] : [])],
          after: t ? [`j${j}t${t - 1}`] : [],
          unattended,
        }
      }),
    })),
    resources: ['hands', 'mill', 'oven', 'freezer'].map(id => ({ id, count: 1 })),
    shifts: Array.from({ length: 14 }, (_, n) => ({ startMin: 1440 * n, endMin: 1440 * n + SHIFT_MIN })),
  }
  return dayOf(given)
}

export function days(line: (name: string, value: string) => void): void {
  console.log('\nThe day')
  for (const jobs of [12, 16]) {
    const day = shopOf(jobs)
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
