import { askText } from '../../core/ask/ask-text'
import type { Asked } from '../../core/ask/registry'
import { questions } from '../../core/questions'
import { builtScript, Lane, type Outcome } from './lane'

export interface AskTask {
  readonly name: string
  /** The input as it came. */
  readonly text: string
  /** What is likely to take longer is handed back as it is. */
  readonly mostMs?: number
}
export type AskOutcome = Outcome<Asked>

/** The one limit of time, s, and of memory, MB, for whatever is asked. */
const LONGEST_S = Number(process.env.WILD_SPARROW_LONGEST_S || 60)
const MEMORY_MB = 1024

/** A question that is likely to take longer does not hold up the short ones. */
const SHORT_MS = 12
/** One that was thought short and is not is moved over after this, s. */
const SHORT_AT_MOST_S = 1
/** Nor does one that takes seconds hold up those that take a moment. */
const MIDDLING_MS = 700
/** Reading a body larger than this takes its time whatever is asked, letters. */
const SHORT_BODY = 16_384

const script = builtScript('ask-worker.mjs')
const lane = (mostWaiting: number, mostSeconds = LONGEST_S, endsWhatIsLeft = true) =>
  new Lane<AskTask, Asked | null>({ mostWaiting, mostSeconds, memoryMb: MEMORY_MB, endsWhatIsLeft }, script)
const short = lane(256, SHORT_AT_MOST_S, false)
const middling = lane(64)
const long = lane(8)

/** Whether the next lane is to take it over: it was handed back, or held the lane for longer than it should. */
const goesOn = (outcome: Outcome<Asked | null>) =>
  outcome.kind === 'too-long' || (outcome.kind === 'found' && outcome.found === null)

/**
 * Asks off the server's own thread, each question beside such as take as long: what it costs is known by its sizes once
 * it has been read. Under `nuxt dev`, where no worker is built, it is answered on the spot.
 */
export async function askApart(name: string, text: string, left?: AbortSignal): Promise<AskOutcome> {
  const task = { name, text }
  if (!script) return { kind: 'found', found: askText(questions, name, text)! }
  let outcome: Outcome<Asked | null> = { kind: 'found', found: null }
  if (text.length <= SHORT_BODY) outcome = await short.ask({ ...task, mostMs: SHORT_MS }, left)
  if (goesOn(outcome)) outcome = await middling.ask({ ...task, mostMs: MIDDLING_MS }, left)
  if (outcome.kind === 'found' && outcome.found === null) outcome = await long.ask(task, left)
  return outcome as AskOutcome
}
