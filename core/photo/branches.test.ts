import { describe, expect, it } from 'vitest'
import { branchesOf } from './branches'
import { crackScene } from './lines.fixture'
import { lens, SHOT, take } from './camera.fixture'
import type { Point } from './point'
import { nearestOn } from './point'
import { traceLine } from './trace'
import { branchTrial } from './trials.fixture'

describe('branches of a crack', () => {
  it('are found on ground metal, castings and dye, as many as there are, and none on a plain crack', () => {
    for (const n of [0, 1, 2, 3, 4, 5, 6, 7, 8]) {
      const { had, found, offPct } = branchTrial(n)
      expect([n, found]).toEqual([n, had])
      if (had > 0) expect(Math.abs(offPct!)).toBeLessThan(8)
    }
  })

  it('one that forks again hangs on its branch, and what goes past the last click is told apart', () => {
    const trunk: Point[] = [
      [5, 20],
      [65, 20],
    ]
    const fork: Point[][] = [
      [
        [20, 20],
        [34, 6],
      ],
      [
        [27, 13],
        [40, 13],
      ],
    ]
    const shot = { ...SHOT, wide: 640, high: 440, middleMm: [35, 23] as Point, pxPerMm: 8 }
    const picture = take(crackScene(trunk, 0.5, 'casting', 4, 0.35, fork), shot)
    const { toPx } = lens(shot)
    // The last click falls 15 mm short of where the crack ends.
    const { path } = traceLine(picture, [toPx([5, 20]), toPx([50, 20])])
    const found = branchesOf(picture, path)
    expect(found.map(({ from }) => from).sort()).toEqual(['end', 'side', 'side'])
    const [end] = found.filter(({ from }) => from === 'end')
    expect(end!.lengthPx / 8).toBeCloseTo(15, 0)
    const sides = found.filter(({ from }) => from === 'side').map(({ lengthPx }) => lengthPx / 8)
    expect(sides.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(14 * Math.SQRT2 + 13, -1)
  })

  it('has none where there is no line at all', () => {
    const rgba = new Uint8ClampedArray(200 * 100 * 4).fill(128)
    expect(
      branchesOf({ wide: 200, high: 100, rgba }, [
        [20, 50],
        [180, 50],
      ]),
    ).toEqual([])
  })
})

describe('the nearest point of a line', () => {
  it('lies between its points, at an end, or is the point itself where there is no line', () => {
    const line: Point[] = [
      [0, 0],
      [10, 0],
      [10, 10],
    ]
    expect(nearestOn(line, [4, 3])).toEqual([4, 0])
    expect(nearestOn(line, [14, 14])).toEqual([10, 10])
    expect(nearestOn([], [1, 2])).toEqual([1, 2])
  })
})
