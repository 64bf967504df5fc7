import { describe, expect, it } from 'vitest'
import { yieldShareAt } from './hot-yield.table'

describe('the yield of hot aluminium', () => {
  it('is whole when cold, at its rows what they say, and never rises with heat', () => {
    expect(yieldShareAt(-40)).toBe(1)
    expect(yieldShareAt(20)).toBe(1)
    expect(yieldShareAt(204)).toBeCloseTo(103 / 276, 9)
    expect(yieldShareAt(900)).toBeCloseTo(12 / 276, 9)
    let before = 1
    for (let c = 0; c <= 600; c += 7) {
      expect(yieldShareAt(c)).toBeLessThanOrEqual(before)
      before = yieldShareAt(c)
    }
  })
})
