import { describe, expect, it } from 'vitest'
import { fisherAtLeast } from './fisher'

describe("Fisher's exact test", () => {
  it('the tea tasting of The Design of Experiments: four of four right is 1 in 70, three or more 17 in 70', () => {
    expect(fisherAtLeast(4, 4, 0, 4)).toBeCloseTo(1 / 70, 12)
    expect(fisherAtLeast(3, 4, 1, 4)).toBeCloseTo(17 / 70, 12)
  })
  it('nothing is certain to happen at least not at all', () => {
    expect(fisherAtLeast(0, 5, 3, 9)).toBeCloseTo(1, 12)
    expect(fisherAtLeast(0, 0, 3, 9)).toBeCloseTo(1, 12)
  })
})
