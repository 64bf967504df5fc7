import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { assemble, distanceTo } from './assembly'
import { carve, cut } from './mask'
import { shapeSchema, type Shape } from './shape.schema'

const volumeMm3 = (shape: Shape, cellMm: number) => {
  const { count, stepMm } = cut(shape, cellMm)
  return count * stepMm[0] * stepMm[1] * stepMm[2]
}
const circle = (diameterMm: number) => (Math.PI / 4) * diameterMm ** 2

describe('solids cut into cells', () => {
  it.each<[Shape, number]>([
    [{ kind: 'box', xMm: 30, yMm: 20, zMm: 10 }, 6000],
    [{ kind: 'plate', lengthMm: 31, widthMm: 17, thickMm: 5 }, 31 * 17 * 5],
    [{ kind: 'bar', diameterMm: 24, lengthMm: 40 }, circle(24) * 40],
    [{ kind: 'tube', outsideMm: 40, wallMm: 5, lengthMm: 30 }, (circle(40) - circle(30)) * 30],
    [{ kind: 'disc', diameterMm: 50, thickMm: 8 }, circle(50) * 8],
    [{ kind: 'ring', outsideMm: 60, insideMm: 40, thickMm: 6 }, (circle(60) - circle(40)) * 6],
    [{ kind: 'hollow-box', xMm: 40, yMm: 30, zMm: 20, wallMm: 4 }, 40 * 30 * 20 - 32 * 22 * 12],
    [
      { kind: 'flanged-box', xMm: 60, yMm: 50, zMm: 30, wallMm: 4, flangeMm: 8, flangeThickMm: 6 },
      44 * 34 * 30 - 36 * 26 * 26 + (60 * 50 - 44 * 34) * 6,
    ],
    [
      { kind: 'boss-on-plate', xMm: 60, yMm: 50, plateMm: 6, bossMm: 24, bossHighMm: 18, holeMm: 10 },
      60 * 50 * 6 + circle(24) * 18 - circle(10) * 24,
    ],
    [
      { kind: 'ribbed-cover', xMm: 80, yMm: 40, wallMm: 4, ribs: 3, ribMm: 4, ribHighMm: 10 },
      80 * 40 * 4 + 3 * 4 * 10 * 40,
    ],
    [
      { kind: 'finned-cylinder', boreMm: 40, wallMm: 6, fins: 4, finMm: 3, gapMm: 5, finOutMm: 12 },
      (circle(52) - circle(40)) * 37 + 4 * 3 * (circle(76) - circle(52)),
    ],
  ])('%o holds its own volume within 2 %%', (shape, expected) =>
    expect(volumeMm3(shape, 1) / expected).toBeCloseTo(1, 1.7),
  )

  it('a union counts what two share once', () => {
    const union = shapeSchema.parse({
      kind: 'union',
      parts: [
        { shape: { kind: 'box', xMm: 20, yMm: 20, zMm: 10 }, atMm: [0, 0, 0] },
        { shape: { kind: 'box', xMm: 20, yMm: 20, zMm: 10 }, atMm: [10, 0, 0] },
      ],
    })
    expect(volumeMm3(union, 1)).toBeCloseTo(30 * 20 * 10, 6)
  })

  it('a mesh of triangles is the box it bounds, whichever way its corners run', () => {
    const [x, y, z] = [24, 18, 10]
    const corner = (n: number) => [n & 1 ? x : 0, n & 2 ? y : 0, n & 4 ? z : 0]
    const quads = [
      [0, 1, 3, 2],
      [4, 5, 7, 6],
      [0, 1, 5, 4],
      [2, 3, 7, 6],
      [0, 2, 6, 4],
      [1, 3, 7, 5],
    ]
    const trianglesMm = quads.flatMap(([a, b, c, d]) => [a!, b!, c!, a!, c!, d!]).flatMap(corner)
    expect(volumeMm3({ kind: 'mesh', trianglesMm }, 2)).toBeCloseTo(x * y * z, 6)
  })

  it('voxels are taken as they come', () => {
    const shape = shapeSchema.parse({ kind: 'voxels', nx: 4, ny: 2, nz: 2, runs: [1, 3, 5, 7] })
    expect(cut(shape, 2)).toMatchObject({ count: 10, stepMm: [2, 2, 2] })
    expect(
      shapeSchema.safeParse({ kind: 'voxels', nx: 4, ny: 2, nz: 2, runs: [1, 3] }).error?.issues[0]?.message,
    ).toContain('4 cells, not 16')
  })

  it('refuses walls thinner than a cell, and more cells than fit, with the least that does', () => {
    expect(() => cut({ kind: 'hollow-box', xMm: 100, yMm: 100, zMm: 100, wallMm: 1 }, 20)).toThrow(
      /thinner than the cells/,
    )
    const big: Shape = { kind: 'box', xMm: 900, yMm: 700, zMm: 300 }
    const refusal = (() => {
      try {
        cut(big, 1)
        return ''
      } catch (error) {
        return error instanceof NoAnswer ? error.message : ''
      }
    })()
    const least = Number(/about ([\d.]+) mm/.exec(refusal)?.[1])
    expect(least).toBeGreaterThan(1)
    expect(
      cut(big, least === 0 ? 1 : Math.max(least, Math.cbrt((900 * 700 * 300) / 2e6) * 1.02)).count,
    ).toBeLessThanOrEqual(2_000_000)
  })

  it('says what is wrong with a shape that cannot be', () => {
    for (const [shape, path] of [
      [{ kind: 'tube', outsideMm: 20, wallMm: 10, lengthMm: 5 }, 'wallMm'],
      [{ kind: 'ring', outsideMm: 20, insideMm: 20, thickMm: 5 }, 'insideMm'],
      [{ kind: 'box', xMm: -1, yMm: 5, zMm: 5 }, 'xMm'],
      [{ kind: 'boss-on-plate', xMm: 40, yMm: 40, plateMm: 5, bossMm: 60, bossHighMm: 5 }, 'bossMm'],
    ] as const)
      expect(shapeSchema.safeParse(shape).error?.issues[0]?.path).toContain(path)
  })

  it("a bar's volume closes in on the true one as cells shrink", () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 60, noNaN: true }), diameterMm => {
        const error = (cells: number) =>
          Math.abs(
            volumeMm3({ kind: 'bar', diameterMm, lengthMm: diameterMm }, diameterMm / cells) /
              circle(diameterMm) /
              diameterMm -
              1,
          )
        return error(40) < 0.012
      }),
      { numRuns: 10, seed: 3 },
    )
  })
})

describe('cells filled in by blocks', () => {
  it('are those that asking at every middle gives, for joined and cut pieces anywhere', () => {
    const at = fc.tuple(...[0, 1, 2].map(() => fc.double({ min: -30, max: 60, noNaN: true })))
    const pieces = fc.constantFrom(
      { kind: 'lug', longMm: 60, wideMm: 30, thickMm: 8, holeMm: 12 },
      { kind: 'ring', outsideMm: 50, insideMm: 30, thickMm: 12 },
      { kind: 'hollow-box', xMm: 50, yMm: 40, zMm: 30, wallMm: 4 },
      { kind: 'boss-on-plate', xMm: 60, yMm: 50, plateMm: 6, bossMm: 24, bossHighMm: 18, holeMm: 10 },
      { kind: 'fillet', longMm: 40, radiusMm: 8 },
    )
    const lies = fc.constantFrom('up', 'along', 'across')
    const part = fc.record({ shape: pieces, atMm: at, lies, cut: fc.boolean() })
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), parts => {
        const shape = shapeSchema.parse({
          kind: 'union',
          parts: parts.map((each, n) => (n ? each : { ...each, cut: false })),
        })
        const assembly = assemble(shape as Extract<Shape, { kind: 'union' }>)
        const distance = distanceTo(assembly)
        const step = [2.3, 2.9, 2.1] as const
        const [nx, ny, nz] = assembly.sizeMm.map((mm, axis) => Math.max(1, Math.round(mm / step[axis]!))) as [
          number,
          number,
          number,
        ]
        const solid = new Uint8Array(nx * ny * nz)
        carve(distance, solid, [nx, ny, nz], step, assembly.originMm)
        const [x0, y0, z0] = assembly.originMm
        solid.forEach((value, n) => {
          const [i, j, k] = [n % nx, Math.floor(n / nx) % ny, Math.floor(n / (nx * ny))]
          const d = distance(x0 + (i + 0.5) * step[0], y0 + (j + 0.5) * step[1], z0 + (k + 0.5) * step[2])
          if (value !== (d < 0 ? 1 : 0)) throw new Error(`cell ${i}, ${j}, ${k} at ${d} mm is ${value}`)
        })
      }),
      { numRuns: 40, seed: 12 },
    )
  })
})
