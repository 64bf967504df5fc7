import type { ShownStep } from '../step-words'

/** A clock that a job asks for: what it times, and for how long. */
export interface JobClock {
  readonly name: string
  readonly minutes: number
}

/** What takes less than this, min, nobody sets a clock for; nor for more than so many things. */
const LEAST_MIN = 0.2
const MOST = 6
const LONGEST_NAME = 80

/** Reasons that go on with what is done: `Wait` until the metal may take the next pass. */
const GOES_ON = /^(?:until|for|before|down) /

/**
 * Clocks for what a job's plan waits for, and for warming the whole part: each once, in the order they come.
 * @param say puts a piece into the reader's words: a clock keeps the name that it is given
 */
export function jobClocks(steps: readonly ShownStep[], say: (piece: string) => string = piece => piece): JobClock[] {
  const waits = steps.filter(
    ({ kind, mend, minutes, times }) =>
      (kind === 'wait' || (kind === 'flame' && mend === null)) && minutes / times >= LEAST_MIN,
  )
  const byName = new Map(
    waits.map(({ says, because, mend, isNamed, minutes, times }): [string, JobClock] => {
      const what = because !== null && GOES_ON.test(because) ? `${say(says)} ${say(because)}` : say(says)
      const name = `${mend === null ? '' : `${isNamed ? mend : say(mend)}: `}${what}`.slice(0, LONGEST_NAME)
      return [name, { name, minutes: Math.max(LEAST_MIN, Math.round((10 * minutes) / times) / 10) }]
    }),
  )
  return [...byName.values()].slice(0, MOST)
}
