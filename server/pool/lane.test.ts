import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, describe, expect, it, vi } from 'vitest'
import { Lane, type Limits } from './lane'

const home = mkdtempSync(join(tmpdir(), 'ws-lane-'))
const script = join(home, 'worker.mjs')
writeFileSync(
  script,
  `import { parentPort } from 'node:worker_threads'
let done = 0
parentPort.on('message', ({ id, task: { name, input } }) => {
  if (name === 'for-ever') for (;;);
  if (name === 'break') throw new Error('broken')
  if (name === 'hoard') for (const held = [];;) held.push(Array.from({ length: 1e5 }, () => ({})))
  done += 1
  parentPort.postMessage({ id, found: name === 'count' ? done : input, spent: name === 'spend' })
})`,
)
afterAll(() => rmSync(home, { recursive: true, force: true }))
afterEach(() => {
  vi.useRealTimers()
})

interface Task {
  name: string
  input: unknown
}
const laneOf = (limits: Partial<Limits> = {}) => {
  const lane = new Lane<Task, unknown>(
    { mostWaiting: 10, mostSeconds: 120, memoryMb: 64, endsWhatIsLeft: true, ...limits },
    script,
  )
  return { ask: (name: string, input: unknown, left?: AbortSignal) => lane.ask({ name, input }, left) }
}

describe('a lane of questions', () => {
  it('answers in turn', async () => {
    const lane = laneOf()
    const found = await Promise.all([1, 2, 3].map(n => lane.ask('echo', n)))
    expect(found).toEqual([1, 2, 3].map(n => ({ kind: 'found', found: n })))
  })
  it('ends one that takes too long, and answers the next', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const lane = laneOf({ mostSeconds: 30 })
    const [long, next] = [lane.ask('for-ever', null), lane.ask('echo', 'next')]
    vi.advanceTimersByTime(30_000)
    expect(await long).toEqual({ kind: 'too-long', seconds: 30 })
    expect(await next).toMatchObject({ kind: 'found' })
  })
  it('drops at once what whoever asked has left: what waits, and what is being worked out', async () => {
    const lane = laneOf()
    const [runs, waits] = [new AbortController(), new AbortController()]
    const running = lane.ask('for-ever', null, runs.signal)
    const waiting = lane.ask('for-ever', null, waits.signal)
    const next = lane.ask('echo', 'next')
    waits.abort()
    expect(await waiting).toEqual({ kind: 'left' })
    runs.abort()
    expect(await running).toEqual({ kind: 'left' })
    expect(await next).toMatchObject({ kind: 'found' })
    expect(await lane.ask('echo', 1, runs.signal)).toEqual({ kind: 'left' })
  })
  it('turns away what is more than it lets wait, and lives through a thread that breaks', async () => {
    const lane = laneOf({ mostWaiting: 2 })
    const found = await Promise.all([
      lane.ask('break', 0),
      lane.ask('echo', 1),
      lane.ask('echo', 2),
      lane.ask('echo', 3),
    ])
    expect(found.map(outcome => outcome.kind)).toEqual(['broke', 'found', 'found', 'full'])
  })
  it('is free for the next after one that cannot be handed over', async () => {
    const lane = laneOf()
    let deep: unknown = []
    for (let n = 0; n < 20_000; n++) deep = [deep]
    const [first, next] = await Promise.all([lane.ask('echo', deep), lane.ask('echo', 'next')])
    expect(first.kind).toBe('broke')
    expect(next).toMatchObject({ kind: 'found' })
  })
  it('finishes what is short for whoever comes next, though the one who asked has left', async () => {
    const lane = laneOf({ endsWhatIsLeft: false })
    const gone = new AbortController()
    const first = lane.ask('count', null, gone.signal)
    gone.abort()
    expect(await first).toEqual({ kind: 'found', found: 1 })
    expect(await lane.ask('count', null)).toEqual({ kind: 'found', found: 2 })
  })
  it('says that it took too much memory, and answers the next', async () => {
    const lane = laneOf({ memoryMb: 24 })
    const [hoards, next] = [lane.ask('hoard', null), lane.ask('echo', 'next')]
    expect(await hoards).toEqual({ kind: 'too-large' })
    expect(await next).toEqual({ kind: 'found', found: 'next' })
  })
  it('ends a thread that says it is spent with its answer', async () => {
    const lane = laneOf()
    await lane.ask('count', null)
    expect(await lane.ask('spend', 'all')).toEqual({ kind: 'found', found: 'all' })
    expect(await lane.ask('count', null)).toEqual({ kind: 'found', found: 1 })
  })
  it('says when there is no thread to work on', () =>
    expect(new Lane({ mostWaiting: 1, mostSeconds: 1, memoryMb: 1 }, undefined).threaded).toBe(false))
})
