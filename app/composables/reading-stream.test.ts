import { afterEach, describe, expect, it, vi } from 'vitest'
import { toJsonLine } from '#core/instrument/lines'
import { standInRun, streamRequestSchema } from '#core/instrument/stand-in/run'
import { ReadingStream } from './reading-stream'

const STARTED = '2026-11-12T09:00:00.000Z'
const request = { instrument: 'scale' as const, setup: { massG: 500 }, perSecond: 20, seed: 4, startedAt: STARTED }
const until = async (what: () => boolean) => {
  for (let n = 0; n < 200 && !what(); n++) await new Promise(resolve => setTimeout(resolve, 5))
}

/** A line that gives so many readings from where it is asked, and goes dead; `cut` leaves the last line half said. */
function loosePlug(each: number, whole: number, cut = false) {
  const asked: number[] = []
  const fetcher = (async (_url: string, { body }: RequestInit) => {
    const wanted = streamRequestSchema.parse(JSON.parse(String(body)))
    asked.push(wanted.from)
    const run = standInRun(wanted)
    let text = ''
    for (let n = 0; n < each && run.n() < whole; n++)
      text += run
        .next()
        .map(line => `${toJsonLine(line)}\n`)
        .join('')
    return new Response(cut ? `${text}{"at":"2026-` : text)
  }) as typeof fetch
  return { fetcher, asked }
}
let stream: ReadingStream | undefined
afterEach(() => stream?.end())

describe('a stream that is cut', () => {
  it('is shown as lost, keeps what came, and is taken up again without a gap or a reading twice', async () => {
    const { fetcher, asked } = loosePlug(37, 200, true)
    const states: string[] = []
    stream = new ReadingStream(request, () => states.push(stream?.state ?? 'connecting'), fetcher, [1])
    await until(() => stream!.channels[0]!.ring.last === 199)
    const { ring } = stream.channels[0]!
    expect([ring.came, ring.missing, stream.strange]).toEqual([200, 0, 0])
    expect(asked.slice(0, 6)).toEqual([0, 37, 74, 111, 148, 185])
    expect(states).toContain('lost')
    const plain = standInRun({ ...request, from: 0 })
    const first = Array.from({ length: 200 }, () => plain.next()[0]!.value)
    expect(ring.series(200).map(point => point.value)).toEqual(first)
  })
  it('that the server will not give is refused with its reason, and not asked again', async () => {
    const fetcher = vi.fn(async () =>
      Response.json({ error: { issues: [{ path: 'setup.massG', message: 'too small' }] } }, { status: 422 }),
    )
    stream = new ReadingStream(request, () => undefined, fetcher, [1])
    await until(() => stream!.state === 'refused')
    expect(stream.reason).toBe('setup.massG: too small')
    expect(fetcher).toHaveBeenCalledTimes(1)
  })
  it('lives through a server that is away, and through lines that are none', async () => {
    let tries = 0
    const { fetcher } = loosePlug(10, 10)
    const flaky = (async (...given: Parameters<typeof fetch>) => {
      if (++tries < 4) throw new TypeError('network')
      return tries === 4 ? new Response('nonsense\n{"n":1}\n') : fetcher(...given)
    }) as typeof fetch
    stream = new ReadingStream(request, () => undefined, flaky, [1])
    await until(() => stream!.channels[0]!.ring.last === 9)
    expect([stream.channels[0]!.ring.came, stream.strange]).toEqual([10, 2])
  })
  it('is silent once it is ended', async () => {
    const { fetcher, asked } = loosePlug(1, 1000)
    stream = new ReadingStream(request, () => undefined, fetcher, [1])
    await until(() => asked.length > 2)
    stream.end()
    const before = asked.length
    await new Promise(resolve => setTimeout(resolve, 30))
    expect(asked.length - before).toBeLessThanOrEqual(1)
    expect(stream.state).toBe('ended')
  })
})
