import { questions } from '../core/questions'

/**
 * Exit codes of the contract: 0 answered, 2 bad input or unknown question, 3 no physical answer; 70 a mistake in the
 * program.
 */
const EXIT = { 'invalid-input': 2, 'unknown-question': 2, 'no-answer': 3, fault: 70 } as const

const HELP = `npm run --silent ask -- --list
npm run --silent ask -- NAME '{"json":"input"}'     (or - to read the JSON from standard input)
npm run --silent ask -- NAME --example              an input to start from
npm run --silent ask -- job.plan --job FILE [ID]    a job as it stands in a file, of a shop's file the one of that id`

export interface Told {
  status: number
  text: string
}
const json = (status: number, value: unknown): Told => ({ status, text: JSON.stringify(value, null, 2) })

/** What is asked of a file: its job, and the kit where it is a whole shop's. @throws if it has no such job */
function storedIn(held: unknown, id: string | undefined): object {
  const shop = held as { jobs?: { id?: unknown }[]; kit?: unknown } | null
  if (!Array.isArray(shop?.jobs)) return { stored: held }
  const named = id === undefined ? shop.jobs : shop.jobs.filter(job => job.id === id)
  const [only, another] = named
  if (!only || another) throw new Error(`say which of its jobs: ${shop.jobs.map(job => String(job.id)).join(', ')}`)
  return { stored: only, kit: shop.kit }
}

/** What the command line tells for its arguments, and its exit code; `typed` reads standard input, `file` a file. */
export function tell(
  [name, text, ...rest]: readonly string[],
  typed: () => string,
  file: (path: string) => string,
): Told {
  if (!name || name === '--help') return { status: name ? 0 : 2, text: HELP }
  if (name === '--list')
    return {
      status: 0,
      text: questions.names.map(each => `${each.padEnd(18)} ${questions.get(each)!.purpose}`).join('\n'),
    }
  if (text === '--example' && questions.get(name)) return json(0, questions.get(name)!.example)
  let input: unknown = {}
  try {
    if (text === '--job') input = storedIn(JSON.parse(file(rest[0] ?? '')), rest[1])
    else if (text !== undefined) input = JSON.parse(text === '-' ? typed() : text)
  } catch (error) {
    const message = `${text === '--job' ? 'the file' : 'not JSON'}: ${error instanceof Error ? error.message : 'could not be read'}`
    if (questions.get(name)) return json(2, { error: { kind: 'invalid-input', issues: [{ path: '', message }] } })
  }
  const asked = questions.ask(name, input)
  if (!asked.ok) return json(EXIT[asked.error.kind], { error: asked.error })
  const { answer, working, cautions } = asked
  return json(0, { answer, working, cautions })
}
