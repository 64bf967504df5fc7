import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, describe, expect, it, vi } from 'vitest'
import { Lane } from './lane'

const home = mkdtempSync(join(tmpdir(), 'ws-lane-'))
const script = join(home, 'worker.mjs')
writeFileSync(
  script,
  `import { parentPort } from 'node:worker_threads'
parentPort.on('message', ({ id, name, input }) => {
  if (name === 'for-ever') for (;;);
  if (name === 'break') throw new Error('broken')
  parentPort.postMessage({ id, asked: { ok: true, answer: input, working: [], cautions: [] } })
})`,
)
afterAll(() => rmSync(home, { recursive: true, force: true }))
afterEach(() => {
  vi.useRealTimers()
})

describe('a lane of questions', () => {
  it('answers in turn', async () => {
    const lane = new Lane(10, 120, script)
    const found = await Promise.all([1, 2, 3].map(n => lane.ask('echo', n)))
    expect(found.map(outcome => outcome.kind === 'asked' && outcome.asked.ok && outcome.asked.answer)).toEqual([
      1, 2, 3,
    ])
  })
  it('ends one that takes too long, and answers the next', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const lane = new Lane(10, 30, script)
    const [long, next] = [lane.ask('for-ever', null), lane.ask('echo', 'next')]
    vi.advanceTimersByTime(30_000)
    expect(await long).toEqual({ kind: 'too-long', seconds: 30 })
    expect(await next).toMatchObject({ kind: 'asked' })
  })
  it('drops at once what whoever asked has left: what waits, and what is being worked out', async () => {
    const lane = new Lane(10, 120, script)
    const [runs, waits] = [new AbortController(), new AbortController()]
    const running = lane.ask('for-ever', null, runs.signal)
    const waiting = lane.ask('for-ever', null, waits.signal)
    const next = lane.ask('echo', 'next')
    waits.abort()
    expect(await waiting).toEqual({ kind: 'left' })
    runs.abort()
    expect(await running).toEqual({ kind: 'left' })
    expect(await next).toMatchObject({ kind: 'asked' })
    expect(await lane.ask('echo', 1, runs.signal)).toEqual({ kind: 'left' })
  })
  it('turns away what is more than it lets wait, and lives through a thread that breaks', async () => {
    const lane = new Lane(2, 120, script)
    const found = await Promise.all([
      lane.ask('break', 0),
      lane.ask('echo', 1),
      lane.ask('echo', 2),
      lane.ask('echo', 3),
    ])
    expect(found.map(outcome => outcome.kind)).toEqual(['broke', 'asked', 'asked', 'full'])
  })
  it('is free for the next after one that cannot be handed over', async () => {
    const lane = new Lane(10, 120, script)
    let deep: unknown = []
    for (let n = 0; n < 20_000; n++) deep = [deep]
    const [first, next] = await Promise.all([lane.ask('echo', deep), lane.ask('echo', 'next')])
    expect(first.kind).toBe('broke')
    expect(next).toMatchObject({ kind: 'asked' })
  })
  it('says when there is no worker to ask', () => expect(new Lane(1, 1, undefined).threaded).toBe(false))
})
