import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { questions } from '../core/questions'

const ROOT = fileURLToPath(new URL('..', import.meta.url))

function ask(args: string[], input?: string) {
  const { status, stdout } = spawnSync('npx', ['tsx', 'cli/ask.ts', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    ...(input === undefined ? {} : { input }),
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
  it('lists every question with its purpose', () => {
    const { status, stdout } = ask(['--list'])
    expect(status).toBe(0)
    for (const name of questions.names) expect(stdout).toContain(name)
  })
  it('answers, exit 0, what the core answers', () => {
    const { status, json } = ask(['machine.balance', '{"value":-40,"reads":"ep-minus-en"}'])
    expect(status).toBe(0)
    expect(json).toMatchObject({ answer: { enPct: 70, epPct: 30 }, working: expect.any(Array), cautions: [] })
  })
  it('reads JSON from standard input', () =>
    expect(ask(['machine.dial', '-'], '{"lowA":0,"highA":200,"dialPct":50}').json).toMatchObject({
      answer: { a: 100 },
    }))
  it('exits 2 on bad input, bad JSON and an unknown question, 3 on no answer; never a stack', () => {
    for (const [args, status, kind] of [
      [['machine.dial', '{"lowA":"x"}'], 2, 'invalid-input'],
      [['machine.dial', '{'], 2, 'invalid-input'],
      [['no.such', '{}'], 2, 'unknown-question'],
      [['machine.dial', '{"lowA":200,"highA":100,"dialPct":50}'], 3, 'no-answer'],
    ] as const) {
      const answered = ask([...args])
      expect(answered.status).toBe(status)
      expect(answered.json).toMatchObject({ error: { kind } })
      expect(answered.stdout).not.toMatch(/at .*\.ts/)
    }
  })
})
