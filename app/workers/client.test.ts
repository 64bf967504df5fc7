import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { workerClient, type Hand } from './client'
import { WorkerGone } from './worker-gone'

type Bench = Record<string, (...given: unknown[]) => Promise<unknown>>
/** Workers that do as the test says: each `begun` in turn, with what tells of its end. */
function fakes(...benches: Bench[]) {
  const begun: { gone: (why: string) => void; heard: () => void; ended: boolean }[] = []
  const begin = (): Hand => {
    const bench = benches[begun.length] ?? {}
    const fake = { gone: (_why: string) => undefined as void, heard: () => undefined as void, ended: false }
    begun.push(fake)
    return {
      bench,
      end: () => {
        fake.ended = true
      },
      watch: on => Object.assign(fake, on),
    }
  }
  return { begin, begun }
}
const never = () => new Promise(() => undefined)
const client = (begin: () => Hand, silentMs = 1000) => {
  const { bench, end } = workerClient(begin, silentMs)
  return { bench: bench as Bench, end }
}

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

describe('a client of a worker', () => {
  it('begins it with the first question, and asks the same one from then on', async () => {
    const { begin, begun } = fakes({ double: async n => 2 * (n as number) })
    const { bench } = client(begin)
    expect(begun).toHaveLength(0)
    expect([await bench.double!(2), await bench.double!(3)]).toEqual([4, 6])
    expect(begun).toHaveLength(1)
  })
  it('puts a question that fell with its worker to a new one, once', async () => {
    const { begin, begun } = fakes({ plan: never }, { plan: async () => 'planned' })
    const { bench } = client(begin)
    const asked = bench.plan!()
    begun[0]!.gone('it ended')
    expect(await asked).toBe('planned')
    expect(begun[0]!.ended).toBe(true)
  })
  it('says why where that falls too, and begins anew with the next question', async () => {
    const { begin, begun } = fakes({ plan: never }, { plan: never }, { plan: async () => 'planned' })
    const { bench } = client(begin)
    const asked = bench.plan!()
    begun[0]!.gone('could not be fetched')
    await vi.waitFor(() => expect(begun).toHaveLength(2))
    begun[1]!.gone('could not be fetched')
    await expect(asked).rejects.toThrow(new WorkerGone('could not be fetched'))
    expect(await bench.plan!()).toBe('planned')
  })
  it('takes silence for an end, but not while the worker tells how far it is', async () => {
    const { begin, begun } = fakes({ run: tell => new Promise(done => setTimeout(done, 2500, tell)) }, { run: never })
    const { bench } = client(begin)
    const told: unknown[] = []
    const asked = bench.run!((share: unknown) => told.push(share)).then(tell => tell as (share: number) => void)
    vi.advanceTimersByTime(900)
    begun[0]!.heard()
    vi.advanceTimersByTime(900)
    begun[0]!.heard()
    vi.advanceTimersByTime(900)
    const tell = await asked
    tell(0.5)
    expect(told).toEqual([0.5])
    const silent = bench.run!(() => undefined)
    silent.catch(() => undefined)
    await vi.advanceTimersByTimeAsync(900)
    expect(begun).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(begun).toHaveLength(2)
    await vi.advanceTimersByTimeAsync(1100)
    await expect(silent).rejects.toThrow('did not answer')
  })
  it('hands on what the worker itself refuses, and puts it once only', async () => {
    const refuse = vi.fn(async () => Promise.reject(new Error('no such shape')))
    const { begin, begun } = fakes({ cut: refuse })
    const { bench } = client(begin)
    await expect(bench.cut!()).rejects.toThrow('no such shape')
    expect([refuse.mock.calls.length, begun.length]).toEqual([1, 1])
  })
  it('ended by whoever started it, ends its worker and begins none for what fell with it', () => {
    const { begin, begun } = fakes({ plan: never })
    const { bench, end } = client(begin)
    void bench.plan!()
    end()
    begun[0]!.gone('it ended')
    expect([begun.length, begun[0]!.ended]).toEqual([1, true])
  })
})
