import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { assemble } from './assembly'
import { startersPieces } from './stored/starters.table'
import { shapeOfPieces } from './stored/to-shape'
import { meshOf } from './to-mesh'
import { isMetalAt, seenFrom, wallAt } from './wall'

const cover = shapeOfPieces(startersPieces('cover'))

describe('a part from a file of triangles', async () => {
  const kernel = await Module()
  kernel.setup()
  const { vertProperties, triVerts, numProp } = meshOf(assemble(cover), kernel, 96).getMesh()
  const trianglesMm = [...triVerts].flatMap(at => [0, 1, 2].map(axis => vertProperties[at * numProp + axis]!))
  const mesh = { kind: 'mesh' as const, trianglesMm }

  it('has the same wall, and the same skin seen, as the pieces it was made of', () => {
    for (const [at, face, wall] of [
      [[100, 70, 6], 'top', 6],
      [[100, 70, 0], 'bottom', 6],
      [[7, 70, 50], 'top', 10],
      [[15, 70, 20], 'left', 6],
      [[75, 70, 6], 'top', 18],
    ] as const) {
      expect(wallAt(mesh, at, face)).toBeCloseTo(wall, 3)
      expect(seenFrom(mesh, at, face)!.map(mm => Math.round(mm))).toEqual(
        seenFrom(cover, at, face)!.map(mm => Math.round(mm)),
      )
    }
    expect(wallAt(mesh, [100, 70, 30], 'top')).toBeNull()
    expect(seenFrom(mesh, [-5, 70, 0], 'top')).toBeNull()
  })
  it('is metal where the pieces are', () => {
    for (let n = 0; n < 300; n++) {
      const at = [(n * 37.7) % 160, (n * 53.3) % 150, ((n * 17.1) % 70) - 12] as [number, number, number]
      expect(isMetalAt(mesh, at, 2), at.join()).toBe(isMetalAt(cover, at, 2))
    }
  })
  it('leaves out the last crossing where it is open', () => {
    const open = { ...mesh, trianglesMm: trianglesMm.slice(0, 9 * 3) }
    expect(wallAt(open, [100, 70, 6], 'top')).toBeNull()
  })
})
