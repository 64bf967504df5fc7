import { questions } from '../../core/questions'
import { Lane, type Outcome } from './lane'

/** Questions that may take seconds: they have a lane of their own, so that the rest never wait for them. */
const HEAVY = new Set(['heat.simulate', 'heat.fitSource', 'day.schedule', 'weld.crackMap', 'flat.evaluate', 'flat.lap'])
const LONGEST_S = Number(process.env.WILD_SPARROW_LONGEST_S || 60)
const light = new Lane(64, LONGEST_S)
const heavy = new Lane(8, LONGEST_S)

/** Asks off the server's own thread; under `nuxt dev`, where no worker is built, on it. */
export function askApart(name: string, input: unknown): Promise<Outcome> {
  if (!light.threaded) return Promise.resolve({ kind: 'asked', asked: questions.ask(name, input) })
  return (HEAVY.has(name) ? heavy : light).ask(name, input)
}
