import type { ShownStep } from '../step-words'

/** A clock that a job asks for: what it times, and for how long. */
export interface JobClock {
  readonly name: string
  readonly minutes: number
}

/** What takes less than this, min, nobody sets a clock for; nor for more than so many things. */
const LEAST_MIN = 0.2
const MOST = 6
const LONGEST_NAME = 60

/** Clocks for what a job's plan waits for, and for warming the whole part: each once, in the order they come. */
export function jobClocks(steps: readonly ShownStep[]): JobClock[] {
  const waits = steps.filter(
    ({ kind, mend, minutes, times }) =>
      (kind === 'wait' || (kind === 'flame' && mend === null)) && minutes / times >= LEAST_MIN,
  )
  const byName = new Map(
    waits.map(({ says, mend, minutes, times }): [string, JobClock] => {
      const name = `${mend === null ? '' : `${mend}: `}${says}`.slice(0, LONGEST_NAME)
      return [name, { name, minutes: Math.max(LEAST_MIN, Math.round((10 * minutes) / times) / 10) }]
    }),
  )
  return [...byName.values()].slice(0, MOST)
}
