import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { facingCutsMm } from './facing-cuts'

describe('facing cuts', () => {
  it('takes 1.5 mm in cuts of at most 25 thou and a last of 10 thou (common practice, no source)', () => {
    const cuts = facingCutsMm(1.5)
    expect(cuts).toHaveLength(4)
    expect(cuts.at(-1)).toBe(0.25)
    expect(Math.max(...cuts)).toBeLessThanOrEqual(25 * 0.0254)
  })
  it('takes off just what stands proud', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        stock =>
          Math.abs(facingCutsMm(stock).reduce((sum, cut) => sum + cut, 0) - stock) < 1e-9 &&
          facingCutsMm(stock).every(cut => cut > 0 && cut <= 0.6 + 1e-9),
      ),
      { seed: 16 },
    )
    expect(facingCutsMm(-1)).toEqual([])
  })
})
