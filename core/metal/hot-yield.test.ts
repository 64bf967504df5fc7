import { describe, expect, it } from 'vitest'
import { ALLOYS } from './alloys.table'
import { yieldShareAt } from './hot-yield.table'

const named = (name: string) => ALLOYS.find(each => each.name === name)!

describe('the yield of hot aluminium', () => {
  it('is at its rows what they say', () => {
    expect(yieldShareAt(named('6061'), 204)).toBeCloseTo(103 / 276, 9)
    expect(yieldShareAt(named('6061'), 900)).toBeCloseTo(12 / 276, 9)
    expect(yieldShareAt(named('A356'), 205)).toBeCloseTo(59 / 165, 9)
  })
  it('of every alloy is whole when cold and never rises with heat', () => {
    for (const alloy of ALLOYS) {
      expect(yieldShareAt(alloy, -40)).toBe(1)
      expect(yieldShareAt(alloy, 20)).toBe(1)
      let before = 1
      for (let c = 0; c <= 600; c += 7) {
        expect(yieldShareAt(alloy, c), alloy.name).toBeLessThanOrEqual(before)
        before = yieldShareAt(alloy, c)
      }
    }
  })
  it('at 200 °C what was hardened by heat has lost more of it than a work-hardened sheet that holds (common practice)', () => {
    expect(yieldShareAt(named('6063'), 200)).toBeLessThan(yieldShareAt(named('5083'), 200))
    expect(yieldShareAt(named('7075'), 200)).toBeLessThan(yieldShareAt(named('380'), 200))
  })
})
