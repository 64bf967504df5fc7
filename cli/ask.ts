import { readFileSync } from 'node:fs'
import { tell } from './tell'

// A reader that has seen enough closes the line: no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  process.exit(error.code === 'EPIPE' ? 0 : 1)
})
const { status, text } = tell(
  process.argv.slice(2),
  () => readFileSync(0, 'utf8'),
  path => readFileSync(path, 'utf8'),
)
process.stdout.write(`${text}\n`)
process.exitCode = status
