import { beforeAll, describe, expect, it } from 'vitest'
import Module, { type ManifoldToplevel } from 'manifold-3d'
import { assemble } from './assembly'
import type { Ring } from './section'
import { shapeSchema, type Shape } from './shape.schema'
import { skinOf } from './skin'
import { meshOf } from './to-mesh'
import { sectionView, viewOf, VIEWS, type ViewId } from './views'

const PART = shapeSchema.parse({
  kind: 'union',
  parts: [
    { shape: { kind: 'flanged-box', xMm: 200, yMm: 140, zMm: 50, wallMm: 6, flangeMm: 15, flangeThickMm: 10 } },
    { shape: { kind: 'disc', diameterMm: 36, thickMm: 30 }, atMm: [60, 50, -20] },
    { shape: { kind: 'bar', diameterMm: 30, lengthMm: 60 }, atMm: [190, 40, 10] },
    { shape: { kind: 'elbow', outsideMm: 24, wallMm: 3, bendMm: 40 }, atMm: [-30, 20, 10] },
    { shape: { kind: 'lug', longMm: 50, wideMm: 30, thickMm: 10, holeMm: 12 }, atMm: [80, 130, 5], lies: 'across' },
    { shape: { kind: 'disc', diameterMm: 9, thickMm: 30 }, atMm: [3, 3, 30], cut: true },
  ],
}) as Exclude<Shape, { kind: 'mesh' | 'voxels' }>

/** Area by the even–odd rule for rings that do not cross: holes run against what they are in. */
const areaOf = (rings: readonly Ring[]) => {
  const one = (ring: Ring) =>
    ring.reduce((sum, [x, y], n) => {
      const [p, q] = ring[(n + 1) % ring.length]!
      return sum + (x * q - p * y) / 2
    }, 0)
  const inside = ([x, y]: readonly [number, number], ring: Ring) =>
    ring.reduce((found, [x1, y1], n) => {
      const [x0, y0] = ring[(n || ring.length) - 1]!
      return y0 > y !== y1 > y && x < x0 + ((y - y0) * (x1 - x0)) / (y1 - y0) ? !found : found
    }, false)
  return rings.reduce((sum, ring, n) => {
    const depth = rings.filter((other, m) => m !== n && inside(ring[0]!, other)).length
    return sum + (depth % 2 ? -1 : 1) * Math.abs(one(ring))
  }, 0)
}

let kernel: ManifoldToplevel
beforeAll(async () => {
  kernel = await Module()
  kernel.setup()
})

describe('drawings of a solid', () => {
  it.each([
    ['plan', 25.3],
    ['plan', 45.2],
    ['plan', -7.1],
    ['front', 55.4],
    ['front', 38.2],
    ['side', 78.3],
    ['side', -4.7],
  ] as [ViewId, number][])('its section %s at %d mm has the area a mesh library finds', (view, at) => {
    const solid = meshOf(assemble(PART), kernel, 72)
    // The library slices level: the axis looked along is laid upright first.
    const { axis } = VIEWS[view]
    const upright = axis === 2 ? solid : axis === 1 ? solid.rotate([90, 0, 0]) : solid.rotate([0, -90, 0])
    const level = axis === 1 ? -at : at
    const found = [level, -level].map(height => upright.slice(height).area())
    const area = areaOf(sectionView(PART, view, at))
    expect(Math.min(...found.map(value => Math.abs(area / value - 1)))).toBeLessThan(0.004)
  })

  it('a file of triangles is cut like the solid it came from', () => {
    const { vertProperties, triVerts, numProp } = meshOf(assemble(PART), kernel, 72).getMesh()
    const trianglesMm = Array.from(triVerts).flatMap(n =>
      Array.from(vertProperties.slice(n * numProp, n * numProp + 3)),
    )
    for (const [view, at] of [
      ['plan', 25.3],
      ['front', 55.4],
      ['side', 78.3],
    ] as const)
      expect(
        areaOf(sectionView({ kind: 'mesh', trianglesMm }, view, at)) / areaOf(sectionView(PART, view, at)),
      ).toBeCloseTo(1, 2)
  })

  it('looks from the far side to the near, and shows the floor of an open box inside its rim', () => {
    const { layers, low, high } = viewOf(PART, 'plan')
    expect(low).toEqual([-30, 0])
    expect(high[0]).toBe(250)
    const levels = layers.map(layer => layer.atMm)
    expect(levels).toEqual([...levels].sort((a, b) => a - b))
    expect(areaOf(layers.at(-1)!.rings)).toBeLessThan(200 * 140)
    expect(areaOf(layers.find(layer => layer.atMm > 0 && layer.atMm < 5)!.rings)).toBeGreaterThan(170 * 110 - 1)
  })

  it('what is cut out later is gone from the view', () => {
    const box = { kind: 'box', xMm: 40, yMm: 30, zMm: 10 }
    const bored = shapeSchema.parse({
      kind: 'union',
      parts: [{ shape: box }, { shape: { kind: 'disc', diameterMm: 10, thickMm: 20 }, atMm: [15, 10, -5], cut: true }],
    }) as Extract<Shape, { kind: 'union' }>
    const [layer] = viewOf(bored, 'plan').layers
    expect(areaOf(layer!.rings)).toBeCloseTo(1200 - Math.PI * 25, 0)
  })
})

describe('the skin that is drawn', () => {
  const quadArea = ([a, b, c, d]: [number, number, number][]) => {
    const cross = (p: number[], q: number[]) =>
      Math.hypot(p[1]! * q[2]! - p[2]! * q[1]!, p[2]! * q[0]! - p[0]! * q[2]!, p[0]! * q[1]! - p[1]! * q[0]!)
    const off = (from: number[], to: number[]) => to.map((value, axis) => value - from[axis]!)
    return (cross(off(a!, b!), off(a!, c!)) + cross(off(a!, c!), off(a!, d!))) / 2
  }
  const skinArea = (shape: Exclude<Shape, { kind: 'mesh' | 'voxels' }>) => {
    const { flats, quads } = skinOf(assemble(shape))
    const flat = flats.reduce((sum, { outer, holes }) => sum + areaOf([outer, ...holes]), 0)
    return flat + quads.reduce((sum, quad) => sum + quadArea(quad), 0)
  }
  it('covers the whole of a part, as a mesh library has it, within a per cent', () =>
    expect(skinArea(PART) / meshOf(assemble(PART), kernel, 72).surfaceArea()).toBeCloseTo(1, 2))
  it('of a bored block is its six faces less the rims, and the bore', () => {
    const bored = shapeSchema.parse({
      kind: 'union',
      parts: [
        { shape: { kind: 'box', xMm: 40, yMm: 30, zMm: 10 } },
        { shape: { kind: 'disc', diameterMm: 10, thickMm: 20 }, atMm: [15, 10, -5], cut: true },
      ],
    }) as Extract<Shape, { kind: 'union' }>
    const closed = 2 * (1200 + 400 + 300) - 2 * Math.PI * 25 + Math.PI * 10 * 10
    expect(skinArea(bored) / closed).toBeCloseTo(1, 2)
  })
})
