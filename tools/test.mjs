import { spawn, spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureChromium } from './chromium.mjs'
import { ROOT, ensureBuilt, ensureInstalled, ensureTypes } from './lib.mjs'

/**
 * Lints, type-checks, runs the unit, contract and browser tests against the built application, and closes with how many
 * passed and failed.
 */
ensureInstalled()
ensureChromium()
rmSync(join(ROOT, 'test-results'), { recursive: true, force: true })
mkdirSync(join(ROOT, 'test-results'), { recursive: true })

const tally = { passed: 0, failed: 0 }
const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1', NO_COLOR: '1' }
/** Runs a tool beside others: what it says is kept together and told when it is done. Gives whether it went well. */
const step = (title, command, args) =>
  new Promise(done => {
    const tool = spawn(command, args, { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] })
    let said = ''
    for (const from of [tool.stdout, tool.stderr]) from.setEncoding('utf8').on('data', text => (said += text))
    const end = ok => {
      console.log(`\n— ${title}\n${said.trimEnd()}`)
      done(ok)
    }
    tool.on('error', error => {
      said += String(error)
      end(false)
    })
    tool.on('close', code => end(code === 0))
  })
/** A whole check counts as one test. */
const check = async (title, command, args) => {
  tally[(await step(title, command, args)) ? 'passed' : 'failed'] += 1
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

/** What types are read from must stand before anything reads it, and is written anew by a build. */
ensureTypes()
const looks = check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']).then(() =>
  check('Formatting', 'npx', ['oxfmt', '--check', '.']),
)
ensureBuilt()
const types = check('Types', 'npx', ['vue-tsc', '-b', '--noEmit'])
await looks
const units = await step('Unit and contract tests', 'npx', [
  'vitest',
  'run',
  '--reporter=dot',
  '--reporter=json',
  '--outputFile.json=test-results/unit.json',
])
await types
count(units, 'test-results/unit.json', report => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? 1 : 0),
}))
console.log('\n— Browser tests')
const browser = spawnSync('npx', ['playwright', 'test'], { cwd: ROOT, env, stdio: ['ignore', 'inherit', 'inherit'] })
count(browser.status === 0, 'test-results/e2e.json', report => ({
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
