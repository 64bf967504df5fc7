import { readFileSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import { encode } from 'fast-png'
import { startServer } from '../bench/server'
import { questions } from '../core/questions'

/**
 * The built server under load (`npm run load`): how long short questions take beside 64 long ones and 200 whose askers
 * left, and whether its memory stays flat over 1,000 shapes and 1,000 pictures.
 */
const server = await startServer()
const ask = (name: string, input: unknown, signal?: AbortSignal) =>
  fetch(`${server.address}api/ask/${name}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(input),
    signal,
  })
const example = (name: string) => questions.get(name)!.example
const memoryMb = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024
const at = (sorted: readonly number[], share: number) => sorted[Math.floor(share * (sorted.length - 1))]!

try {
  const SHORT = ['thread.dims', 'machine.dial', 'heat.preheat', 'filler.choose', 'groove.plan', 'leak.decay']
  await Promise.all(SHORT.map(name => ask(name, example(name)).then(answer => answer.text())))
  const long = Array.from({ length: 64 }, () =>
    ask('puddle.run', { ...(example('puddle.run') as object), durationS: 15 }).then(answer => answer.status),
  )
  for (let n = 0; n < 200; n++) {
    const left = new AbortController()
    void ask(n % 2 ? 'puddle.run' : 'job.plan', example(n % 2 ? 'puddle.run' : 'job.plan'), left.signal).catch(
      () => null,
    )
    setTimeout(() => left.abort(), n % 20)
  }
  const times: number[] = []
  for (let n = 0; n < 1000; n++) {
    const name = SHORT[n % SHORT.length]!
    const from = performance.now()
    const answer = await ask(name, example(name))
    await answer.text()
    if (answer.status !== 200) console.log(`${name}: ${answer.status}`)
    times.push(performance.now() - from)
  }
  times.sort((a, b) => a - b)
  console.log(
    `1,000 short questions beside 64 long ones and 200 that left, ms: middle ${at(times, 0.5).toFixed(1)}, ` +
      `99 in 100 under ${at(times, 0.99).toFixed(1)}, longest ${times.at(-1)!.toFixed(1)}`,
  )
  const statuses = await Promise.all(long)
  console.log(
    `long ones: ${[200, 503, 504].map(code => `${statuses.filter(s => s === code).length} × ${code}`).join(', ')}`,
  )

  const shape = (n: number) => ({
    kind: 'boss-on-plate',
    xMm: 100,
    yMm: 80 + (n % 20),
    plateMm: 8,
    bossMm: 30,
    bossHighMm: 20,
    holeMm: 10,
  })
  const picture = Buffer.from(
    encode({
      width: 200,
      height: 150,
      data: Uint8Array.from({ length: 90_000 }, (_, n) => 200 + (n % 3)),
      channels: 3,
      depth: 8,
    }),
  ).toString('base64')
  const rounds = async (count: number, from: number) => {
    for (let n = from; n < from + count; n++) {
      const skin = await fetch(`${server.address}api/solid/triangles`, {
        method: 'POST',
        body: JSON.stringify(shape(n)),
      })
      await skin.arrayBuffer()
      if (skin.status !== 200) throw new Error(`shape ${n}: ${skin.status}`)
      await (await ask('photo.card', { png: picture })).text()
    }
  }
  await rounds(100, 0)
  const before = memoryMb()
  await rounds(1000, 100)
  const after = memoryMb()
  console.log(`memory over 1,000 shapes and 1,000 pictures, MB: ${before.toFixed(0)} before, ${after.toFixed(0)} after`)
} finally {
  server.stop()
}
