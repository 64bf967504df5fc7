import { describe, expect, it } from 'vitest'
import { ROUND } from '../groove/cut'
import { grooved } from './grooved'
import { halfWidthMm } from '../groove/section'
import { coneMm3, domeMm3, filletMm3, ringMm3, taperedRoundMm } from './volumes'

/** Simpson's rule, the plain way round. */
function integral(f: (x: number) => number, from: number, to: number, pieces = 2000): number {
  const h = (to - from) / pieces
  return (
    (Array.from(
      { length: pieces + 1 },
      (_, n) => (n === 0 || n === pieces ? 1 : n % 2 ? 4 : 2) * f(from + n * h),
    ).reduce((sum, value) => sum + value, 0) *
      h) /
    3
  )
}

describe('closed forms of laid metal against numerical integration', () => {
  it('a cone under a dome', () => {
    const [below, above, high, cap] = [8, 15, 6, 1.5]
    expect(coneMm3(below, above, high)).toBeCloseTo(
      integral(z => (Math.PI / 4) * (below + ((above - below) * z) / high) ** 2, 0, high),
      6,
    )
    expect(domeMm3(above, cap)).toBeCloseTo(
      integral(r => 2 * Math.PI * r * cap * (1 - ((2 * r) / above) ** 2), 0, above / 2),
      6,
    )
  })
  it('a ring and a fillet', () => {
    expect(ringMm3(50, 40, 12)).toBeCloseTo(
      integral(r => 2 * Math.PI * r * 12, 20, 25),
      6,
    )
    expect(filletMm3(5, 80)).toBeCloseTo(
      integral(x => (5 - x) * 80, 0, 5),
      6,
    )
  })
  it('a groove under its cap, from one side and from both', () => {
    for (const sides of [1, 2] as const) {
      const shape = { includedDeg: 70, rootRadiusMm: 2, depthMm: (10 - 2) / sides }
      const top = halfWidthMm(shape, shape.depthMm)
      const section =
        integral(u => 2 * halfWidthMm(shape, u ** 2) * 2 * u, 0, Math.sqrt(shape.depthMm)) +
        integral(x => 1.5 * (1 - (x / top) ** 2), -top, top)
      const { laid } = grooved({
        ...ROUND,
        sides,
        includedDeg: 70,
        rootRadiusMm: 2,
        landMm: 2,
        capMm: 1.5,
        wallMm: 10,
        alongMm: 70,
      })
      expect(laid).toHaveLength(sides)
      for (const one of laid) expect(one.volumeMm3 / (section * 70)).toBeCloseTo(1, 4)
    }
    expect(
      grooved({ ...ROUND, sides: 1, includedDeg: 70, rootRadiusMm: 2, landMm: 8, capMm: 1, wallMm: 6, alongMm: 10 })
        .refused,
    ).toBe('no-groove')
  })
  it('round a plate with tapered ends is longer than its two edges and shorter than its box', () => {
    expect(taperedRoundMm(100, 30)).toBeGreaterThan(200)
    expect(taperedRoundMm(100, 30)).toBeLessThan(260)
  })
})
