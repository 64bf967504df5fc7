import { describe, expect, it } from 'vitest'
import { rings, sleptBetween } from './slept'

const MIN = 60_000

describe('a machine that sleeps', () => {
  it('is known by looks at the clock that stayed away; a page out of sight is none', () => {
    expect(sleptBetween(0, 500)).toBeNull()
    expect(sleptBetween(0, MIN)).toBeNull()
    expect(sleptBetween(0, 40 * MIN)).toEqual({ fromMs: 0, toMs: 40 * MIN })
  })
  it('rings on waking for what ran out meanwhile, however long ago, and not for what was stale before', () => {
    const slept = { fromMs: 100 * MIN, toMs: 200 * MIN }
    expect(rings(110 * MIN, 200 * MIN, slept)).toBe(true)
    expect(rings(110 * MIN, 209 * MIN, slept)).toBe(true)
    expect(rings(110 * MIN, 211 * MIN, slept)).toBe(false)
    expect(rings(80 * MIN, 200 * MIN, slept)).toBe(false)
    expect(rings(110 * MIN, 200 * MIN, null)).toBe(false)
  })
  it('leaves what has not run out alone, and rings at once for what has', () => {
    expect(rings(10, 9, null)).toBe(false)
    expect(rings(10, 10, null)).toBe(true)
  })
})
