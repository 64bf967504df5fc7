import { readFileSync } from 'node:fs'
import { questions } from '../core/questions'

/**
 * Exit codes of the contract: 0 answered, 2 bad input or unknown question, 3 no physical answer; 70 a mistake in the
 * program.
 */
const EXIT = { 'invalid-input': 2, 'unknown-question': 2, 'no-answer': 3, fault: 70 } as const

const HELP = `npm run --silent ask -- --list
npm run --silent ask -- NAME '{"json":"input"}'     (or - to read the JSON from standard input)
npm run --silent ask -- NAME --example              an input to start from`

function print(value: unknown): void {
  process.stdout.write(`${JSON.stringify(value, null, 2)}\n`)
}

function main([name, text]: string[]): number {
  if (!name || name === '--help') {
    process.stdout.write(`${HELP}\n`)
    return name ? 0 : 2
  }
  if (name === '--list') {
    for (const each of questions.names) process.stdout.write(`${each.padEnd(18)} ${questions.get(each)!.purpose}\n`)
    return 0
  }
  if (text === '--example' && questions.get(name)) {
    print(questions.get(name)!.example)
    return 0
  }
  let input: unknown = {}
  try {
    if (text !== undefined) input = JSON.parse(text === '-' ? readFileSync(0, 'utf8') : text)
  } catch (error) {
    if (questions.get(name)) {
      print({
        error: {
          kind: 'invalid-input',
          issues: [{ path: '', message: `not JSON: ${error instanceof Error ? error.message : 'could not be read'}` }],
        },
      })
      return 2
    }
  }
  const asked = questions.ask(name, input)
  if (!asked.ok) {
    print({ error: asked.error })
    return EXIT[asked.error.kind]
  }
  const { answer, working, cautions } = asked
  print({ answer, working, cautions })
  return 0
}

// A reader that has seen enough closes the line: no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  process.exit(error.code === 'EPIPE' ? 0 : 1)
})
process.exitCode = main(process.argv.slice(2))
