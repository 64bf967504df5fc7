import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findAlloy } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { boltedFlat, decideFace } from './decide'
import { evaluateFlatness } from './evaluate'
import { heightField, sampleField, shareWithin, straightedge } from './field'
import { planLapping } from './lap'

const grid = (f: (x: number, y: number) => number, n = 7) =>
  Array.from({ length: n * n }, (_, at) => {
    const [x, y] = [(at % n) * 20, Math.floor(at / n) * 15]
    return { xMm: x, yMm: y, zMm: f(x, y) }
  })
const crowned = grid((x, y) => 0.1 - 0.00002 * ((x - 60) ** 2 + (y - 45) ** 2))

describe('a field of heights', () => {
  it('says what share of the area lies near the plane: a slope of 12 mm over a face lies within 3 on a quarter', () => {
    const slope = grid(x => 0.1 * x)
    const gaps = slope.map(({ zMm }) => zMm)
    expect(shareWithin(slope, gaps, 3)).toBeCloseTo(0.25, 9)
    expect(shareWithin(slope, gaps, 0)).toBe(0)
  })
  it('is exact on a plane and at every reading, and silent outside them', () => {
    const plane = grid((x, y) => 0.3 * x - 0.2 * y + 4)
    const field = heightField(
      plane,
      plane.map(point => point.zMm),
    )
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        (x, y) => Math.abs(field(x, y)! - (0.3 * x - 0.2 * y + 4)) < 1e-9,
      ),
      { seed: 105 },
    )
    expect(field(-1, 10)).toBeNull()
    const { values } = sampleField(field, plane, 10, 8)
    expect(values).toHaveLength(80)
    expect(values.every(value => value !== null)).toBe(true)
  })
})

describe('a straightedge', () => {
  const along = (points: typeof crowned) =>
    straightedge(
      heightField(
        points,
        points.map(point => point.zMm),
      ),
      { xMm: 0, yMm: 45 },
      { xMm: 120, yMm: 45 },
    )
  it('rests on the ends of a hollow and shows its depth in the middle', () => {
    const hollow = grid(x => (0.0001 * (x - 60) ** 2) / 4)
    const shown = along(hollow)
    expect(Math.max(...shown.map(point => point.edgeMm - point.heightMm))).toBeCloseTo(0.09, 3)
    expect(shown[0]!.edgeMm).toBeCloseTo(shown[0]!.heightMm, 9)
  })
  it('is rocked on a crown until both ends show its height', () => {
    const shown = along(grid(x => -0.00002 * (x - 60) ** 2))
    expect(shown[0]!.edgeMm - shown[0]!.heightMm).toBeCloseTo(0.072, 4)
    expect(shown.at(-1)!.edgeMm - shown.at(-1)!.heightMm).toBeCloseTo(0.072, 4)
  })
  it('never passes through the face', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -0.2, max: 0.2, noNaN: true }), { minLength: 49, maxLength: 49 }), z => {
        const points = crowned.map((point, n) => ({ ...point, zMm: z[n]! }))
        return along(points).every(point => point.edgeMm >= point.heightMm - 1e-9)
      }),
      { seed: 106, numRuns: 40 },
    )
  })
})

describe('an even crown, whose middle stands right over its top', () => {
  it('rocks there with the least slope, and lapping takes its own height', () => {
    const even = planLapping(crowned, 0, 120)
    expect(even.removeMm).toBeCloseTo(0.00002 * (3600 + 2025), 9)
    expect(even.before.contact).toEqual([24])
    const cylinder = planLapping(
      grid(x => -0.00002 * (x - 60) ** 2),
      0.01,
      120,
    )
    expect(cylinder.removeMm).toBeCloseTo(0.00002 * 3600 - 0.01, 9)
  })
  it('stands under no point, on any turned or tilted crown of even places', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.001, max: 0.001, noNaN: true }),
        fc.double({ min: -0.001, max: 0.001, noNaN: true }),
        fc.double({ min: 0, max: 0.00004, noNaN: true }),
        fc.double({ min: 0.000001, max: 0.00004, noNaN: true }),
        (a, b, p, q) => {
          const found = evaluateFlatness(grid((x, y) => a * x + b * y - p * (x - 60) ** 2 - q * (y - 45) ** 2))
          return found.gapsMm.every(gap => gap >= -1e-9) && Math.max(...found.gapsMm) < p * 3600 + q * 2025 + 0.001
        },
      ),
      { seed: 107, numRuns: 60 },
    )
  })
})

describe('mill, lap or leave', () => {
  const decide = (points: typeof crowned, seal: Parameters<typeof decideFace>[2], to = 0.02) =>
    decideFace(evaluateFlatness(points), planLapping(points, to, 120), seal).verdict
  it('goes by what the joint bears (common practice, no source)', () => {
    const scaled = (by: number) => crowned.map(point => ({ ...point, zMm: point.zMm * by }))
    expect(decide(crowned, 'silicone')).toBe('leave')
    expect(decide(scaled(1.2), 'fibre')).toBe('sealant')
    expect(decide(scaled(0.5), 'metal')).toBe('lap')
    expect(decide(scaled(5), 'fibre')).toBe('mill')
  })
  it('bolting flat locks in bending by the bow: 4 E t h ÷ L², the surface strain of a shallow arc times E', () => {
    const metal = mechanicalOf(findAlloy('356')!)
    const [h, L, t] = [0.2, 150, 8]
    const radius = ((L * L) / 4 + h * h) / (2 * h)
    expect(boltedFlat(h, L, t, metal).stressMPa).toBeCloseTo((metal.youngMPa * (t / 2)) / radius, 2)
  })
})
