import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT, fail } from './lib.mjs'

/** Debian's packages of Chromium, the one without a window first: it is smaller and does the same in less time. */
const { packages } = JSON.parse(readFileSync(join(ROOT, 'tools', 'chromium.json'), 'utf8'))
const SOUGHT = process.env.CHROMIUM ? [process.env.CHROMIUM] : packages.map(found => found.path)

/**
 * Sees to Debian's Chromium for the browser tests: installs it through apt where that can be done, says how where it
 * can't.
 */
export function ensureChromium() {
  if (SOUGHT.some(path => existsSync(path))) return
  const apt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0
  const root = process.getuid?.() === 0
  const sudo = !root && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0
  if (!apt || (!root && !sudo))
    fail(
      `Chromium is wanted at ${SOUGHT.join(' or ')} for the browser tests.\nInstall it with: sudo apt-get install ${packages[0].name}\nor name another with CHROMIUM=/path/to/chromium.`,
    )
  const run = (...args) =>
    spawnSync(root ? 'apt-get' : 'sudo', root ? args : ['-n', 'apt-get', ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status
  console.log("Installing Chromium from Debian's packages…")
  run('update', '-qq')
  for (const { name } of packages)
    if (run('install', '-y', '-qq', name) === 0 && SOUGHT.some(path => existsSync(path))) return
  fail('Chromium could not be installed; the browser tests need it. See what apt-get says above.')
}
