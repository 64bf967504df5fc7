import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('..', import.meta.url))
const STAMP = join(ROOT, '.output', 'built-from')
/** What a build is made from; a change in any of it makes the build stale. */
const BUILT_FROM = [
  'app',
  'core',
  'server',
  'demo',
  'public',
  'tools/words',
  'tools/pieces.ts',
  'nuxt.config.ts',
  'package-lock.json',
]

/** Runs a command with its output shown; ends the program with its code when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
  if (error) fail(`${command} could not be started: ${error.message}`)
  if (status !== 0) process.exit(status ?? 1)
}

export function fail(message) {
  console.error(`\n${message}`)
  process.exit(1)
}

/** Checks Node, then installs what the lock file names if it is not there yet. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) fail(`Node 20.19 or later is wanted; this is ${process.version}.`)
  const marker = join(ROOT, 'node_modules', '.package-lock.json')
  const lock = join(ROOT, 'package-lock.json')
  if (existsSync(marker) && statSync(marker).mtimeMs >= statSync(lock).mtimeMs) return
  console.log('Installing what the lock file names…')
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'])
}

function* filesUnder(path) {
  if (!existsSync(path)) return
  if (statSync(path).isFile()) yield path
  else for (const name of readdirSync(path).sort()) yield* filesUnder(join(path, name))
}

function fingerprint() {
  const hash = createHash('sha256')
  for (const root of BUILT_FROM) {
    for (const file of filesUnder(join(ROOT, root))) hash.update(file.slice(ROOT.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** Writes what types and paths are read from, unless it is there: a build does so too. */
export function ensureTypes() {
  if (existsSync(join(ROOT, '.nuxt', 'tsconfig.app.json'))) return
  run('npx', ['nuxt', 'prepare', '--logLevel=silent'], { env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' } })
}

/** Builds the application unless what stands in .output was built from these very files. */
export function ensureBuilt() {
  const now = fingerprint()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === now && existsSync(join(ROOT, '.output/server/index.mjs')))
    return
  console.log('Building, a minute or two…')
  run('npx', ['nuxt', 'build', '--logLevel=silent'], { env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' } })
  for (const worker of ['ask', 'solid'])
    run('npx', [
      'esbuild',
      `server/pool/${worker}.worker.ts`,
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--log-level=warning',
      // Of a library that ships both, its modules: the other kind asks for files at run time.
      '--main-fields=module,main',
      `--outfile=.output/server/${worker}-worker.mjs`,
    ])
  // Looked for beside the script that brings it along.
  copyFileSync(join(ROOT, 'node_modules/manifold-3d/manifold.wasm'), join(ROOT, '.output/server/manifold.wasm'))
  mkdirSync(join(ROOT, '.output'), { recursive: true })
  writeFileSync(STAMP, now)
}
