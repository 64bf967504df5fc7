import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Point } from '../photo/point'
import { layOn, missing, outlinesDxf } from './template'

const BLADE: Point[] = [
  [0, 0],
  [60, 0],
  [80, 20],
  [70, 45],
  [10, 30],
]
const turned = (points: readonly Point[], deg: number, dx: number, dy: number, mirror: boolean): Point[] =>
  points.map(([x, y]) => {
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
    const mx = mirror ? -x : x
    return [c * mx - s * y + dx, s * mx + c * y + dy]
  })

describe('a template from the sound twin', () => {
  it('lays one figure on the other, turned, moved and mirrored', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -179, max: 179, noNaN: true }),
        fc.double({ min: -200, max: 200, noNaN: true }),
        fc.boolean(),
        (deg, shift, mirror) => {
          const { place, misfitMm } = layOn(BLADE, turned(BLADE, deg, shift, 7, mirror), mirror)
          expect(misfitMm).toBeLessThan(1e-9)
          const [x, y] = place([33, 21])
          const [[ex, ey]] = turned([[33, 21]], deg, shift, 7, mirror) as [Point]
          expect(Math.hypot(x - ex, y - ey)).toBeLessThan(1e-9)
        },
      ),
      { seed: 4 },
    )
  })
  it('keeps size: matched points further apart are missed, not stretched to', () => {
    expect(
      layOn(
        [
          [0, 0],
          [10, 0],
        ],
        [
          [0, 0],
          [12, 0],
        ],
        false,
      ).misfitMm,
    ).toBeCloseTo(1, 9)
  })
  it('wants two places on both', () => {
    expect(() => layOn([[0, 0]], [[1, 1]], false)).toThrow(/two places/)
    expect(() =>
      layOn(
        [
          [0, 0],
          [0, 0],
        ],
        [
          [1, 1],
          [1, 1],
        ],
        false,
      ),
    ).toThrow(/well apart/)
  })
  it('finds what is missing: a corner off a square', () => {
    const found = missing(
      [
        [0, 0],
        [40, 0],
        [40, 40],
        [0, 40],
      ],
      [
        [0, 0],
        [40, 0],
        [40, 25],
        [25, 40],
        [0, 40],
      ],
    )
    expect(found.areaMm2).toBeCloseTo((15 * 15) / 2, 9)
    expect(found.rings).toHaveLength(1)
  })
  it('counts a hole in what is missing as there', () => {
    expect(
      missing(
        [
          [0, 0],
          [40, 0],
          [40, 40],
          [0, 40],
        ],
        [
          [10, 10],
          [20, 10],
          [20, 20],
          [10, 20],
        ],
      ).areaMm2,
    ).toBeCloseTo(1500, 9)
  })
  it('writes a DXF that another reader takes back to the same points, in millimetres', () => {
    const parsed = new DxfParser().parseSync(outlinesDxf([{ layer: 'template', pointsMm: BLADE, closed: true }]))!
    const [line] = parsed.entities as unknown as [
      { type: string; layer: string; shape: boolean; vertices: { x: number; y: number }[] },
    ]
    expect(line).toMatchObject({ type: 'LWPOLYLINE', layer: 'template', shape: true })
    expect(line.vertices.map(({ x, y }) => [x, -y])).toEqual(BLADE.map(([x, y]) => [x, y === 0 ? -0 : y]))
    expect(parsed.header.$INSUNITS).toBe(4)
  })
})
