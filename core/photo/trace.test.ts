import { describe, expect, it } from 'vitest'
import { gaussian, separable } from './gauss'
import type { Picture } from './picture'
import { ridge } from './ridge'
import { evenly, pathLength, traceLine } from './trace'
import { traceTrial } from './trials.fixture'
import { cheapestWay } from './way'

const drawn = (wide: number, high: number, tone: (x: number, y: number) => readonly number[]): Picture => {
  const rgba = new Uint8ClampedArray(wide * high * 4)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) rgba.set([...tone(x + 0.5, y + 0.5), 255], 4 * (y * wide + x))
  return { wide, high, rgba }
}
const toLine = (x: number, y: number, deg: number) => {
  const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
  return Math.abs((x - 150) * s - (y - 150) * c)
}

describe('a line followed between clicks', () => {
  it.each([0, 13, 27, 45, 71, 90])('adds nothing to a straight line at %i°', deg => {
    const picture = drawn(300, 300, (x, y) => (toLine(x, y, deg) < 1.5 ? [40, 40, 40] : [170, 170, 170]))
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
    const traced = traceLine(picture, [
      [150 - 110 * c + 2 * s, 150 - 110 * s - 2 * c],
      [150 + 110 * c - 2 * s, 150 + 110 * s + 2 * c],
    ])
    expect(traced.lengthPx / 220).toBeCloseTo(1, 2)
    for (const [x, y] of traced.path) expect(toLine(x, y, deg)).toBeLessThan(1)
    expect(traced.contrast).toBeGreaterThan(0.6)
    expect(traced.seenShare).toBeGreaterThan(0.95)
  })

  it('comes within two percent of cracks on ground metal, castings and dye, from two clicks', () => {
    for (const trial of [0, 1, 2, 3, 4, 5].map(traceTrial)) expect(Math.abs(trial.offPct!)).toBeLessThan(2)
  })

  it('keeps to a curve, red on white as well as dark, and to a glowing one when told', () => {
    const near = (x: number, y: number) => Math.abs(Math.hypot(x - 150, y - 20) - 120) < 1.6
    const way: [number, number][] = [
      [150 - 120 * Math.cos(0.3), 20 + 120 * Math.sin(0.3)],
      [150 + 120 * Math.cos(0.3), 20 + 120 * Math.sin(0.3)],
    ]
    const arc = 120 * (Math.PI - 0.6)
    const red = drawn(300, 170, (x, y) => (near(x, y) ? [190, 30, 40] : [235, 235, 228]))
    const glow = drawn(300, 170, (x, y) => (near(x, y) ? [120, 230, 90] : [20, 18, 40]))
    expect(traceLine(red, way).lengthPx / arc).toBeCloseTo(1, 2)
    expect(traceLine(glow, way, 'bright').lengthPx / arc).toBeCloseTo(1, 2)
  })

  it('crosses bare ground straight, and says how little of a line there was', () => {
    const traced = traceLine(
      drawn(200, 100, () => [128, 128, 128]),
      [
        [20, 50],
        [180, 60],
      ],
    )
    expect(traced.seenShare).toBeLessThan(0.1)
    expect(traced.contrast).toBe(0)
    expect(traced.lengthPx).toBeGreaterThan(155)
    expect(traced.lengthPx).toBeLessThan(185)
  })
})

describe('what it is made of', () => {
  it('has Gaussians that keep a sum, lay off a slope and lay off a curve (closed form)', () => {
    const ramp = { wide: 41, high: 41, data: Float32Array.from({ length: 41 * 41 }, (_, i) => (i % 41) ** 2) }
    const [g, g1, g2] = [0, 1, 2].map(order => gaussian(2, order as 0 | 1 | 2)) as [
      Float32Array,
      Float32Array,
      Float32Array,
    ]
    const middle = 20 * 41 + 20
    expect(separable(ramp, g, g).data[middle]).toBeCloseTo(400 + 4, 0)
    expect(separable(ramp, g1, g).data[middle]! / 40).toBeCloseTo(1, 1)
    expect(separable(ramp, g2, g).data[middle]).toBeCloseTo(2, 1)
  })

  it('answers on a line and not beside it', () => {
    const data = Float32Array.from({ length: 60 * 60 }, (_, i) => (Math.abs((i % 60) - 30) < 2 ? 50 : 150))
    const field = ridge({ wide: 60, high: 60, data }, 'dark')
    expect(field.data[30 * 60 + 30]).toBeGreaterThan(5 * field.data[30 * 60 + 20]!)
    expect(ridge({ wide: 60, high: 60, data }, 'bright').data[30 * 60 + 30]).toBeLessThan(1)
  })

  it('goes round a wall by the cheapest way', () => {
    const cost = new Float32Array(25).fill(1)
    for (const at of [2, 7, 12, 17]) cost[at] = 100
    const way = cheapestWay(cost, 5, 5, [0, 0], [4, 0], 1)
    expect(way[0]).toEqual([0, 0])
    expect(way.at(-1)).toEqual([4, 0])
    expect(way).toContainEqual([2, 4])
  })

  it('takes points at even steps with both ends kept', () => {
    const points = evenly(
      [
        [0, 0],
        [3, 4],
        [3, 10],
      ],
      1,
    )
    expect(points).toHaveLength(12)
    expect(points.at(-1)).toEqual([3, 10])
    expect(pathLength(points)).toBeCloseTo(11, 0)
  })
})
