import { questions } from '../core/questions'

/**
 * Exit codes of the contract: 0 answered, 2 bad input or unknown question, 3 no physical answer; 70 a mistake in the
 * program.
 */
const EXIT = { 'invalid-input': 2, 'unknown-question': 2, 'no-answer': 3, fault: 70 } as const

const HELP = `npm run --silent ask -- --list
npm run --silent ask -- NAME '{"json":"input"}'     (or - to read the JSON from standard input)
npm run --silent ask -- NAME --example              an input to start from`

export interface Told {
  status: number
  text: string
}
const json = (status: number, value: unknown): Told => ({ status, text: JSON.stringify(value, null, 2) })

/** What the command line tells for its arguments, and its exit code; `typed` reads standard input. */
export function tell([name, text]: readonly string[], typed: () => string): Told {
  if (!name || name === '--help') return { status: name ? 0 : 2, text: HELP }
  if (name === '--list')
    return {
      status: 0,
      text: questions.names.map(each => `${each.padEnd(18)} ${questions.get(each)!.purpose}`).join('\n'),
    }
  if (text === '--example' && questions.get(name)) return json(0, questions.get(name)!.example)
  let input: unknown = {}
  try {
    if (text !== undefined) input = JSON.parse(text === '-' ? typed() : text)
  } catch (error) {
    const message = `not JSON: ${error instanceof Error ? error.message : 'could not be read'}`
    if (questions.get(name)) return json(2, { error: { kind: 'invalid-input', issues: [{ path: '', message }] } })
  }
  const asked = questions.ask(name, input)
  if (!asked.ok) return json(EXIT[asked.error.kind], { error: asked.error })
  const { answer, working, cautions } = asked
  return json(0, { answer, working, cautions })
}
