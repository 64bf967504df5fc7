import { describe, expect, it } from 'vitest'
import { sharesOf } from './warm-skin'

const map = (cells: number[], tenths: number[]) => {
  const moment = { s: 0, flame: 'on' as const, tenths: Int16Array.from(tenths) }
  return {
    map: { originMm: [0, 0, 0], stepMm: [4, 4, 4], cells: Uint16Array.from(cells), moments: [moment] },
    moment,
    lowC: 20,
    highC: 120,
  } satisfies Parameters<typeof sharesOf>[0]
}

describe('the colours of a turned part', () => {
  it('are the share of the scale at each cell', () => {
    const { size, shares } = sharesOf(map([0, 0, 0, 1, 0, 0, 0, 1, 0, 1, 1, 0], [200, 700, 1200, 5000]))
    expect(size).toEqual([2, 2, 1])
    expect([...shares]).toEqual([0, 0.5, 1, 1])
  })

  it('are carried on past stepped cells, from those beside', () => {
    const { size, shares } = sharesOf(map([0, 0, 0, 2, 0, 0, 0, 2, 0, 2, 2, 0], [200, 1200, 1200, 1200]))
    expect(size).toEqual([3, 3, 1])
    // Between a cold and a warm cell, half; all of it is filled.
    expect(shares[1]).toBeCloseTo(0.5)
    expect(shares[4]).toBeGreaterThan(0.4)
  })
})
