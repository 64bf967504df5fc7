import { execFile } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { questions } from '../core/questions'

const ROOT = fileURLToPath(new URL('..', import.meta.url))

async function ask(args: string[], input?: string) {
  const { status, stdout } = await new Promise<{ status: number; stdout: string }>(resolve => {
    const child = execFile(process.execPath, ['--import', 'tsx', 'cli/ask.ts', ...args], { cwd: ROOT }, (_, stdout) =>
      resolve({ status: child.exitCode ?? -1, stdout }),
    )
    child.stdin!.end(input)
  })
  return {
    status,
    stdout,
    json: (() => {
      try {
        return JSON.parse(stdout) as Record<string, unknown>
      } catch {
        return null
      }
    })(),
  }
}

describe('the command line', () => {
  it('lists every question with its purpose', async () => {
    const { status, stdout } = await ask(['--list'])
    expect(status).toBe(0)
    for (const name of questions.names) expect(stdout).toContain(name)
  })
  it('answers, exit 0, what the core answers', async () => {
    const { status, json } = await ask(['machine.balance', '{"value":-40,"reads":"ep-minus-en"}'])
    expect(status).toBe(0)
    expect(json).toMatchObject({ answer: { enPct: 70, epPct: 30 }, working: expect.any(Array), cautions: [] })
  })
  it('reads JSON from standard input', async () =>
    expect((await ask(['machine.dial', '-'], '{"lowA":0,"highA":200,"dialPct":50}')).json).toMatchObject({
      answer: { a: 100 },
    }))
  it('exits 2 on bad input, bad JSON and an unknown question, 3 on no answer; never a stack', async () => {
    for (const [args, status, kind] of [
      [['machine.dial', '{"lowA":"x"}'], 2, 'invalid-input'],
      [['machine.dial', '{'], 2, 'invalid-input'],
      [['no.such', '{}'], 2, 'unknown-question'],
      [['machine.dial', '{"lowA":200,"highA":100,"dialPct":50}'], 3, 'no-answer'],
    ] as const) {
      const answered = await ask([...args])
      expect(answered.status).toBe(status)
      expect(answered.json).toMatchObject({ error: { kind } })
      expect(answered.stdout).not.toMatch(/at .*\.ts/)
    }
  })
})
