import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { balloonsApart, shiftsDown } from './apart'

describe('numbers beside their points', () => {
  test('two features about one centre have two numbers that can be read and pressed', () => {
    const [a, b] = balloonsApart(
      [
        [200, 150],
        [204, 150],
      ],
      11,
      21,
      [560, 300],
    )
    expect(Math.hypot(a![0] - b![0], a![1] - b![1])).toBeGreaterThan(22)
  })
  test('one in a corner stays on the sheet', () => {
    const [[x, y]] = balloonsApart([[2, 2]], 11, 21, [560, 300]) as [[number, number]]
    expect(x).toBeGreaterThanOrEqual(11)
    expect(y).toBeGreaterThanOrEqual(11)
  })
  test('on a turned part a number stays on its point where nothing is in the way', () => {
    expect(balloonsApart([[80, 90]], 11, 0, [300, 300])).toEqual([[80, 90]])
  })
  test('up to eight points anywhere never lie on one another', () => {
    const point = fc.tuple(fc.integer({ min: 40, max: 500 }), fc.integer({ min: 40, max: 260 }))
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 8 }), points => {
        const placed = balloonsApart(points, 11, 21, [560, 300])
        placed.forEach(([x, y], n) =>
          placed.slice(n + 1).forEach(([u, v]) => expect(Math.hypot(x - u, y - v)).toBeGreaterThan(22)),
        )
      }),
    )
  })
})

test('labels are moved down until none lies on another, and no further', () => {
  const box = (left: number, top: number) => ({ left, top, wide: 60, high: 16 })
  expect(shiftsDown([box(0, 0), box(30, 5), box(30, 8), box(200, 0)])).toEqual([0, 13, 28, 0])
})
