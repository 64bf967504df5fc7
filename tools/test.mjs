import { execFile, spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { ensureChromium } from './chromium.mjs'
import { ROOT, ensureBuilt, ensureInstalled } from './lib.mjs'

/**
 * Lints, type-checks, runs the unit, contract and browser tests against the built application, and closes with how many
 * passed and failed.
 */
ensureInstalled()
ensureChromium()
rmSync(join(ROOT, 'test-results'), { recursive: true, force: true })
mkdirSync(join(ROOT, 'test-results'), { recursive: true })

const tally = { passed: 0, failed: 0 }
const run = promisify(execFile)
const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1', NO_COLOR: '1' }
const step = (title, command, args) => {
  console.log(`\n— ${title}`)
  return spawnSync(command, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], env }).status === 0
}
/** A whole check counts as one test; several go beside one another, each telling what it found when it is done. */
const check = async (title, command, args) => {
  const { ok, said } = await run(command, args, { cwd: ROOT, env, maxBuffer: 64 * 1024 * 1024 }).then(
    ({ stdout, stderr }) => ({ ok: true, said: stdout + stderr }),
    error => ({ ok: false, said: `${error.stdout ?? ''}${error.stderr ?? error}` }),
  )
  console.log(`\n— ${title}\n${said.trimEnd()}`)
  tally[ok ? 'passed' : 'failed'] += 1
}
/** Counts from a report; a run that left none, or failed beyond its count, counts as one failure. */
function count(ok, report, read) {
  let counts = { passed: 0, failed: 0 }
  try {
    counts = read(JSON.parse(readFileSync(join(ROOT, report), 'utf8')))
  } catch {
    counts = { passed: 0, failed: 1 }
  }
  if (!ok && counts.failed === 0) counts.failed = 1
  tally.passed += counts.passed
  tally.failed += counts.failed
}

ensureBuilt()
await Promise.all([
  check('Types', 'npx', ['nuxt', 'typecheck']),
  check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']).then(() =>
    check('Formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
  ),
])
const units = step('Unit and contract tests', 'npx', [
  'vitest',
  'run',
  '--reporter=dot',
  '--reporter=json',
  '--outputFile.json=test-results/unit.json',
])
count(units, 'test-results/unit.json', report => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? 1 : 0),
}))
const browser = step('Browser tests', 'npx', ['playwright', 'test'])
count(browser, 'test-results/e2e.json', report => ({
  passed: report.stats.expected + report.stats.flaky,
  failed: report.stats.unexpected,
}))

/**
 * What is known against the libraries that ship: reported; only what is grave fails. A registry that gives no audit is
 * said.
 */
function audit() {
  console.log('\n— Audit of what ships')
  const { stdout } = spawnSync('npm', ['audit', '--omit=dev', '--json'], {
    cwd: ROOT,
    encoding: 'utf8',
    timeout: 60_000,
  })
  let found = null
  try {
    found = JSON.parse(stdout).metadata?.vulnerabilities ?? null
  } catch {
    /* no answer at all */
  }
  if (!found) return console.log('The registry gave no audit here: nothing is known either way.')
  console.log(`Known: ${found.critical} critical, ${found.high} high, ${found.moderate} moderate, ${found.low} low.`)
  tally[found.critical + found.high > 0 ? 'failed' : 'passed'] += 1
}
audit()

console.log(`\n${tally.passed} passed, ${tally.failed} failed`)
process.exit(tally.failed > 0 ? 1 : 0)
