import { Readable } from 'node:stream'
import type { H3Event } from 'h3'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readLimited } from './read-body'

const event = (pieces: Buffer[], headers: Record<string, string> = {}) =>
  ({ node: { req: Object.assign(Readable.from(pieces), { headers }) } }) as unknown as H3Event

describe('a body with a limit', () => {
  it('comes whole, however it was cut up, letters of several bytes too', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.string({ unit: 'grapheme', maxLength: 60 }),
        fc.integer({ min: 1, max: 7 }),
        async (text, cut) => {
          const bytes = Buffer.from(text)
          const pieces = Array.from({ length: Math.ceil(bytes.length / cut) }, (_, n) =>
            bytes.subarray(n * cut, (n + 1) * cut),
          )
          return (await readLimited(event(pieces), 10_000)) === bytes.toString('utf8')
        },
      ),
      { seed: 141, numRuns: 60 },
    )
  })
  it('is not gathered past its limit, whether the length was said, said wrong, or left out', async () => {
    expect(await readLimited(event([], { 'content-length': '2000' }), 1000)).toBeNull()
    let given = 0
    function* endless() {
      for (;;) {
        given += 1
        yield Buffer.alloc(400)
      }
    }
    const lying = {
      node: { req: Object.assign(Readable.from(endless()), { headers: { 'content-length': '10' } }) },
    } as unknown as H3Event
    expect(await readLimited(lying, 1000)).toBeNull()
    expect(given).toBeLessThan(40)
  })
})
