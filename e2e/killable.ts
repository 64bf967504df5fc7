import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser } from '@playwright/test'
import { CHROMIUM, TEST_ARGS } from './chromium'

export interface Killable {
  start: () => Promise<Browser>
  /** SIGKILL to the whole process group; resolves when it is gone. */
  kill: () => Promise<void>
  /** Ends what is left, and takes the profile away. */
  clear: () => Promise<void>
}

/** A browser on a profile of its own that can be killed outright and started again on the same profile. */
export function killableBrowser(port: number): Killable {
  const home = mkdtempSync(join(tmpdir(), 'ws-kill-'))
  let child: ChildProcess | undefined
  async function start(): Promise<Browser> {
    child = spawn(
      CHROMIUM,
      [...TEST_ARGS, '--headless', `--remote-debugging-port=${port}`, `--user-data-dir=${home}`, 'about:blank'],
      { detached: true, stdio: 'ignore' },
    )
    for (let tries = 0; ; tries++) {
      try {
        return await chromium.connectOverCDP(`http://127.0.0.1:${port}`)
      } catch (error) {
        if (tries > 100) throw error
        await new Promise(resolve => setTimeout(resolve, 150))
      }
    }
  }
  async function kill() {
    if (!child?.pid || child.exitCode !== null || child.signalCode !== null) return
    const gone = new Promise(resolve => child!.once('exit', resolve))
    process.kill(-child.pid, 'SIGKILL')
    await gone
  }
  return {
    start,
    kill,
    clear: async () => {
      await kill()
      rmSync(home, { recursive: true, force: true })
    },
  }
}
