import { beforeAll, describe, expect, it } from 'vitest'
import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d'
import { NoAnswer } from '../ask/question'
import { assemble } from './assembly'
import { measured } from './measure'
import { meshOf } from './to-mesh'
import { shapeSchema, type Shape } from './shape.schema'

const PI = Math.PI
const disc = (diameter: number) => (PI / 4) * diameter ** 2

/** Volume and skin in closed form: plane and solid geometry. */
const CLOSED: [Shape, number, number][] = [
  [{ kind: 'box', xMm: 30, yMm: 20, zMm: 10 }, 6000, 2 * (600 + 300 + 200)],
  [{ kind: 'bar', diameterMm: 24, lengthMm: 40 }, disc(24) * 40, 2 * disc(24) + PI * 24 * 40],
  [
    { kind: 'tube', outsideMm: 50, wallMm: 4, lengthMm: 200 },
    (disc(50) - disc(42)) * 200,
    PI * 92 * 200 + 2 * (disc(50) - disc(42)),
  ],
  [{ kind: 'disc', diameterMm: 50, thickMm: 8 }, disc(50) * 8, 2 * disc(50) + PI * 50 * 8],
  [
    { kind: 'ring', outsideMm: 140, insideMm: 100, thickMm: 15 },
    (disc(140) - disc(100)) * 15,
    2 * (disc(140) - disc(100)) + PI * 240 * 15,
  ],
  // The hollow is shut: the air reaches only the outside.
  [{ kind: 'hollow-box', xMm: 40, yMm: 30, zMm: 20, wallMm: 4 }, 24000 - 32 * 22 * 12, 2 * (1200 + 800 + 600)],
  [
    { kind: 'flanged-box', xMm: 60, yMm: 50, zMm: 30, wallMm: 4, flangeMm: 8, flangeThickMm: 6 },
    44 * 34 * 30 - 36 * 26 * 26 + (60 * 50 - 44 * 34) * 6,
    44 * 34 + 2 * 78 * 24 + 2 * 62 * 26 + 36 * 26 + 2 * 110 * 6 + (3000 - 44 * 34) + (3000 - 36 * 26),
  ],
  [
    { kind: 'boss-on-plate', xMm: 60, yMm: 50, plateMm: 6, bossMm: 24, bossHighMm: 18, holeMm: 10 },
    18000 + disc(24) * 18 - disc(10) * 24,
    2 * (3000 - disc(10)) + 220 * 6 + PI * 24 * 18 + PI * 10 * 24,
  ],
  [
    { kind: 'ribbed-cover', xMm: 80, yMm: 40, wallMm: 4, ribs: 3, ribMm: 4, ribHighMm: 10 },
    12800 + 4800,
    2 * 3200 + 240 * 4 + 3 * (2 * 400 + 2 * 40),
  ],
  [
    { kind: 'finned-cylinder', boreMm: 40, wallMm: 6, fins: 4, finMm: 3, gapMm: 5, finOutMm: 12 },
    (disc(52) - disc(40)) * 37 + 12 * (disc(76) - disc(52)),
    PI * 40 * 37 + 2 * (disc(52) - disc(40)) + PI * 52 * 25 + 4 * (PI * 76 * 3 + 2 * (disc(76) - disc(52))),
  ],
  [
    { kind: 'lug', longMm: 60, wideMm: 30, thickMm: 10, holeMm: 12 },
    (45 * 30 + disc(30) / 2 - disc(12)) * 10,
    2 * (45 * 30 + disc(30) / 2 - disc(12)) + (90 + 30 + PI * 15 + PI * 12) * 10,
  ],
  // A quarter of a torus: Pappus.
  [
    { kind: 'elbow', outsideMm: 40, wallMm: 4, bendMm: 60 },
    (disc(40) - disc(32)) * (PI / 2) * 60,
    PI * 72 * (PI / 2) * 60 + 2 * (disc(40) - disc(32)),
  ],
  [
    { kind: 'slot', longMm: 40, wideMm: 12, deepMm: 8 },
    (28 * 12 + disc(12)) * 8,
    2 * (28 * 12 + disc(12)) + (56 + PI * 12) * 8,
  ],
  [
    { kind: 'fillet', longMm: 50, radiusMm: 8 },
    (64 - disc(16) / 4) * 50,
    2 * (64 - disc(16) / 4) + (16 + (PI / 2) * 8) * 50,
  ],
  [
    {
      kind: 'outline',
      outlineMm: [
        [0, 0],
        [80, 0],
        [60, 40],
        [0, 40],
      ],
      holesMm: [
        [
          [10, 10],
          [20, 10],
          [20, 20],
          [10, 20],
        ],
      ],
      thickMm: 12,
    },
    (2800 - 100) * 12,
    2 * 2700 + (80 + Math.hypot(20, 40) + 60 + 40 + 40) * 12,
  ],
]

const union = (...parts: object[]) => shapeSchema.parse({ kind: 'union', parts }) as Extract<Shape, { kind: 'union' }>
/** A cover like a gearbox's: a flanged box with a boss, a lug on its side, holes through the flange and a slot. */
const COVER = union(
  { shape: { kind: 'flanged-box', xMm: 200, yMm: 140, zMm: 50, wallMm: 6, flangeMm: 15, flangeThickMm: 10 } },
  { shape: { kind: 'disc', diameterMm: 36, thickMm: 30 }, atMm: [60, 50, -20] },
  { shape: { kind: 'lug', longMm: 50, wideMm: 30, thickMm: 10, holeMm: 12 }, atMm: [180, 55, 20] },
  { shape: { kind: 'fillet', longMm: 120, radiusMm: 6 }, atMm: [21, 21, 6] },
  { shape: { kind: 'disc', diameterMm: 9, thickMm: 30 }, atMm: [3, 3, 30], cut: true },
  { shape: { kind: 'disc', diameterMm: 9, thickMm: 30 }, atMm: [188, 128, 30], cut: true },
  { shape: { kind: 'disc', diameterMm: 14, thickMm: 60 }, atMm: [71, 61, -25], cut: true },
  { shape: { kind: 'slot', longMm: 40, wideMm: 10, deepMm: 20 }, atMm: [10, 60, 22], lies: 'along', cut: true },
)
/** A tube joint: two tubes across one another, bored through. */
const JOINT = union(
  { shape: { kind: 'bar', diameterMm: 40, lengthMm: 160 } },
  { shape: { kind: 'disc', diameterMm: 34, thickMm: 90 }, atMm: [63, 3, 20] },
  { shape: { kind: 'bar', diameterMm: 32, lengthMm: 170 }, atMm: [-5, 4, 4], cut: true },
  { shape: { kind: 'disc', diameterMm: 26, thickMm: 95 }, atMm: [67, 7, 20], cut: true },
  { shape: { kind: 'elbow', outsideMm: 30, wallMm: 3, bendMm: 40 }, atMm: [160, 5, 5] },
)

let kernel: ManifoldToplevel
beforeAll(async () => {
  kernel = await Module()
  kernel.setup()
})
const solidOf = (shape: Exclude<Shape, { kind: 'mesh' | 'voxels' }>): Manifold => meshOf(assemble(shape), kernel, 256)

describe('volume and skin of a solid', () => {
  it.each(CLOSED)('%o is within half a per cent of its closed form', (shape, volume, skin) => {
    const found = measured(shape as never)
    expect(Math.abs(found.volumeMm3 / volume - 1)).toBeLessThan(0.005)
    expect(Math.abs(found.skinMm2 / skin - 1)).toBeLessThan(0.005)
  })

  it.each([
    ['cover', COVER],
    ['tube joint', JOINT],
  ])('a joined %s is within half a per cent of a mesh library', (_, shape) => {
    const [found, mesh] = [measured(shape), solidOf(shape)]
    expect(Math.abs(found.volumeMm3 / mesh.volume() - 1)).toBeLessThan(0.005)
    expect(Math.abs(found.skinMm2 / mesh.surfaceArea() - 1)).toBeLessThan(0.005)
  })

  it('its triangles measure what the mesh library says they do', () => {
    const mesh = solidOf(COVER)
    const { vertProperties, triVerts, numProp } = mesh.getMesh()
    const triangles = Array.from(triVerts).flatMap(n => Array.from(vertProperties.slice(n * numProp, n * numProp + 3)))
    const found = measured({ kind: 'mesh', trianglesMm: triangles })
    expect(found.volumeMm3 / mesh.volume()).toBeCloseTo(1, 5)
    expect(found.skinMm2 / mesh.surfaceArea()).toBeCloseTo(1, 5)
  })

  it('turning a piece changes neither, and moves its middle with it', () => {
    const lug = { kind: 'lug', longMm: 60, wideMm: 30, thickMm: 10, holeMm: 0 }
    const [up, along] = [measured(union({ shape: lug })), measured(union({ shape: lug, lies: 'along' }))]
    expect(along.volumeMm3 / up.volumeMm3).toBeCloseTo(1, 4)
    expect(along.sizeMm).toEqual([10, 60, 30])
    expect(along.middleMm[1]).toBeCloseTo(up.middleMm[0], 2)
  })

  it('what is cut out entirely is no part', () =>
    expect(() =>
      measured(
        union(
          { shape: { kind: 'box', xMm: 10, yMm: 10, zMm: 10 } },
          { shape: { kind: 'box', xMm: 20, yMm: 20, zMm: 20 }, atMm: [-5, -5, -5], cut: true },
        ),
      ),
    ).toThrow(NoAnswer))

  it('a hole bored into a hollow lets the air in', () => {
    const box = { shape: { kind: 'hollow-box', xMm: 40, yMm: 30, zMm: 20, wallMm: 4 } }
    const hole = { shape: { kind: 'disc', diameterMm: 6, thickMm: 10 }, atMm: [17, 12, 15], cut: true }
    const opened = measured(union(box, hole))
    const inside = 2 * (32 * 22 + 32 * 12 + 22 * 12)
    expect(opened.skinMm2).toBeCloseTo(measured(union(box)).skinMm2 + inside - 2 * disc(6) + PI * 6 * 4, -2)
  })
})
