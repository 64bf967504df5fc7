import { questions } from '../../core/questions'
import { Lane, type Outcome } from './lane'

/** Questions that may take seconds: they have a lane of their own, so that the rest never wait for them. */
const HEAVY = new Set([
  'heat.simulate',
  'heat.fitSource',
  'day.schedule',
  'weld.crackMap',
  'flat.evaluate',
  'flat.lap',
  'job.ways',
  'job.matters',
  'hold.simulate',
  'puddle.run',
])
const LONGEST_S = Number(process.env.WILD_SPARROW_LONGEST_S || 60)
const light = new Lane(64, LONGEST_S)
const heavy = new Lane(8, LONGEST_S)

/** A body larger than this may take long whatever is asked, letters. */
const LIGHT_BODY = 16_384

/**
 * Asks off the server's own thread, what is heavy by its name or by its size in a lane of its own; under `nuxt dev`,
 * where no worker is built, on it.
 */
export function askApart(name: string, input: unknown, bodyLength: number, left?: AbortSignal): Promise<Outcome> {
  if (!light.threaded) return Promise.resolve({ kind: 'asked', asked: questions.ask(name, input) })
  return (HEAVY.has(name) || bodyLength > LIGHT_BODY ? heavy : light).ask(name, input, left)
}
