import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const ENTRY = fileURLToPath(new URL('../.output/server/index.mjs', import.meta.url))
const PORT = 4399

/** The built application on a port of its own. @throws Error when it has not been built */
export async function startServer(): Promise<{ address: string; pid: number; stop: () => void }> {
  if (!existsSync(ENTRY)) throw new Error('Build it first: npm run build')
  const child = spawn(process.execPath, [ENTRY], {
    stdio: 'ignore',
    env: { ...process.env, PORT: String(PORT), HOST: '127.0.0.1', NITRO_PORT: String(PORT), NITRO_HOST: '127.0.0.1' },
  })
  const address = `http://127.0.0.1:${PORT}/`
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(address).then(
        response => response.ok,
        () => false,
      )
    )
      return { address, pid: child.pid!, stop: () => child.kill() }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  child.kill()
  throw new Error('the server did not answer')
}
