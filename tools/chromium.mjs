import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { fail } from './lib.mjs'

const PATH = process.env.CHROMIUM ?? '/usr/bin/chromium'

/**
 * Sees to Debian's Chromium for the browser tests: installs it through apt where that can be done, says how where it
 * can't.
 */
export function ensureChromium() {
  if (existsSync(PATH)) return
  const apt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0
  const root = process.getuid?.() === 0
  const sudo = !root && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0
  if (!apt || (!root && !sudo))
    fail(
      `Chromium is wanted at ${PATH} for the browser tests.\nInstall it with: sudo apt-get install chromium\nor name another with CHROMIUM=/path/to/chromium.`,
    )
  const run = (...args) =>
    spawnSync(root ? 'apt-get' : 'sudo', root ? args : ['-n', 'apt-get', ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status
  console.log("Installing Chromium from Debian's packages…")
  run('update', '-qq')
  if (run('install', '-y', '-qq', 'chromium') !== 0 || !existsSync(PATH))
    fail('Chromium could not be installed; the browser tests need it. See what apt-get says above.')
}
