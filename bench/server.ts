import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const ENTRY = fileURLToPath(new URL('../.output/server/index.mjs', import.meta.url))
const PORT = 4399
const ADDRESS = `http://127.0.0.1:${PORT}/`

const answers = () =>
  fetch(ADDRESS).then(
    response => response.ok,
    () => false,
  )

/**
 * The built application on a port of its own.
 * @throws Error when it has not been built, or something else answers there
 */
export async function startServer(): Promise<{ address: string; pid: number; stop: () => void }> {
  if (!existsSync(ENTRY)) throw new Error('Build it first: npm run build')
  // What was left running there is not what is measured.
  if (await answers()) throw new Error(`something answers on port ${PORT} already: end it first`)
  const child = spawn(process.execPath, [ENTRY], {
    stdio: 'ignore',
    env: { ...process.env, PORT: String(PORT), HOST: '127.0.0.1', NITRO_PORT: String(PORT), NITRO_HOST: '127.0.0.1' },
  })
  for (let tries = 0; tries < 100; tries++) {
    if (await answers()) return { address: ADDRESS, pid: child.pid!, stop: () => child.kill() }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  child.kill()
  throw new Error('the server did not answer')
}
