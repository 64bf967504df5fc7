import { ShapeUtils, Vector2 } from 'three'
import { assemble } from '#core/solid/assembly'
import { place, type Flat } from '#core/solid/forms'
import { skinOf, type FlatSkin } from '#core/solid/skin'
import type { SolidShape } from './use-part-sheet'

/** A skin as a graphics card takes it: corners of triangles, and ends of lines, three figures each. */
export interface DrawnSkin {
  triangles: Float32Array
  lines: Float32Array | null
}

function facets({ axis, at, outer, holes }: FlatSkin): number[] {
  const corners = [outer, ...holes].flat()
  const points = (ring: readonly Flat[]) => ring.map(([u, v]) => new Vector2(u, v))
  return ShapeUtils.triangulateShape(points(outer), holes.map(points)).flatMap(corner =>
    corner.flatMap(n => place(axis, corners[n]!, at)),
  )
}

/** The skin of a solid for drawing; the edges of one from a file are found by the drawing itself. */
export function drawnSkin(shape: SolidShape): DrawnSkin {
  if (shape.kind === 'mesh') return { triangles: Float32Array.from(shape.trianglesMm), lines: null }
  const { flats, quads, lines } = skinOf(assemble(shape))
  const round = quads.flatMap(([a, b, c, d]) => [...a, ...b, ...c, ...a, ...c, ...d])
  return { triangles: Float32Array.from([...flats.flatMap(facets), ...round]), lines: Float32Array.from(lines.flat(2)) }
}
