import { execFile } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { questions } from '../core/questions'
import { tell } from './tell'

const ROOT = fileURLToPath(new URL('..', import.meta.url))

/** The command itself, as it is typed. */
const command = (args: string[], input: string) =>
  new Promise<{ status: number; text: string }>(resolve => {
    const child = execFile(process.execPath, ['--import', 'tsx', 'cli/ask.ts', ...args], { cwd: ROOT }, (_, text) =>
      resolve({ status: child.exitCode ?? -1, text }),
    )
    child.stdin!.end(input)
  })
const told = (...args: string[]) =>
  tell(
    args,
    () => '',
    path => readFileSync(`${ROOT}/${path}`, 'utf8'),
  )
const answered = (...args: string[]) => {
  const { status, text } = told(...args)
  return { status, ...(JSON.parse(text) as Record<string, unknown>) }
}

describe('the command line', () => {
  it('reads JSON from standard input and answers, exit 0', async () => {
    const { status, text } = await command(['machine.dial', '-'], '{"lowA":0,"highA":200,"dialPct":50}')
    expect(status).toBe(0)
    expect(JSON.parse(text)).toMatchObject({ answer: { a: 100 } })
    expect(text.endsWith('}\n')).toBe(true)
  })
  it('gives its exit code where there is no answer', async () => {
    const { status, text } = await command(['machine.dial', '{"lowA":200,"highA":100,"dialPct":50}'], '')
    expect(status).toBe(3)
    expect(JSON.parse(text)).toMatchObject({ error: { kind: 'no-answer' } })
  })
  it('lists every question with its purpose', () => {
    const { status, text } = told('--list')
    expect(status).toBe(0)
    for (const name of questions.names) expect(text).toContain(`${name.padEnd(18)} ${questions.get(name)!.purpose}`)
  })
  it('answers a stored job out of a file, of a whole shop the one that is named', () => {
    const found = answered('job.plan', '--job', 'demo/larkmoor-bench.json', 'signal-bracket')
    expect(found).toMatchObject({ status: 0, answer: { decision: 'repair' } })
    expect(told('job.plan', '--job', 'demo/larkmoor-bench.json')).toMatchObject({
      status: 2,
      text: expect.stringContaining('say which of its jobs: gearbox-cover'),
    })
    expect(told('job.plan', '--job', 'nowhere.json').status).toBe(2)
  })
  it('says how it is asked: exit 0 when that was wanted, 2 when nothing was', () => {
    expect(told('--help')).toMatchObject({ status: 0, text: expect.stringContaining('--list') })
    expect(told().status).toBe(2)
  })
  it('gives an example that it answers itself', () => {
    const { status, text } = told('machine.dial', '--example')
    expect(status).toBe(0)
    expect(answered('machine.dial', text)).toMatchObject({ status: 0, answer: { a: expect.any(Number) } })
  })
  it('answers what the core answers', () =>
    expect(answered('machine.balance', '{"value":-40,"reads":"ep-minus-en"}')).toMatchObject({
      status: 0,
      answer: { enPct: 70, epPct: 30 },
      working: expect.any(Array),
      cautions: [],
    }))
  it.each([
    [['machine.dial', '{"lowA":"x"}'], 2, 'invalid-input'],
    [['machine.dial', '{'], 2, 'invalid-input'],
    [['no.such', '{}'], 2, 'unknown-question'],
    [['machine.dial', '{"lowA":200,"highA":100,"dialPct":50}'], 3, 'no-answer'],
  ] as const)('%j exits %i: %s; never a stack', (args, status, kind) => {
    expect(answered(...args)).toMatchObject({ status, error: { kind } })
    expect(told(...args).text).not.toMatch(/at .*\.ts/)
  })
})
