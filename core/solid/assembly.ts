import { distanceOf, type Distance } from './distance'
import { placed, reach, turned, type Form, type Triple } from './forms'
import type { Shape } from './shape.schema'
import { solidOf } from './simple'

/** A piece of a solid in its place: joined on to what is there before it, or cut out of it. */
export interface PlacedPiece {
  cut: boolean
  adds: readonly Form[]
  cuts: readonly Form[]
}
/** A solid put together from pieces, in their order, with the least box round what is joined. */
export interface Assembly {
  pieces: readonly PlacedPiece[]
  originMm: Triple
  sizeMm: Triple
}
export type Assembled = Exclude<Shape, { kind: 'mesh' | 'voxels' }>

const AXES = [0, 1, 2] as const

/** The forms of a shape that is made of pieces, turned and moved to where they stand. */
export function assemble(shape: Assembled): Assembly {
  const parts =
    shape.kind === 'union' ? shape.parts : [{ shape, atMm: [0, 0, 0] as Triple, lies: 'up' as const, cut: false }]
  const pieces = parts.map(({ shape: simple, atMm, lies, cut }): PlacedPiece & { low: Triple; high: Triple } => {
    const solid = solidOf(simple)
    const size = turned(solid.sizeMm, lies)
    return {
      cut,
      adds: solid.adds.map(form => placed(form, lies, atMm)),
      cuts: solid.cuts.map(form => placed(form, lies, atMm)),
      low: atMm,
      high: AXES.map(axis => atMm[axis] + size[axis]) as Triple,
    }
  })
  const joined = pieces.filter(piece => !piece.cut)
  const originMm = AXES.map(axis => Math.min(...joined.map(piece => piece.low[axis]))) as Triple
  return {
    pieces: opened(pieces),
    originMm,
    sizeMm: AXES.map(axis => Math.max(...joined.map(piece => piece.high[axis])) - originMm[axis]) as Triple,
  }
}

const meet = (a: Form, b: Form): boolean => {
  const [p, q] = [reach(a), reach(b)]
  return AXES.every(axis => p.low[axis] < q.high[axis] && q.low[axis] < p.high[axis])
}
/** A hollow that a piece cut out reaches into is no longer shut off from the air. */
function opened(pieces: readonly PlacedPiece[]): PlacedPiece[] {
  const taken = pieces.filter(piece => piece.cut).flatMap(piece => piece.adds)
  return pieces.map(({ cut, adds, cuts }) => ({
    cut,
    adds,
    cuts: cuts.map(form => (form.shut && taken.some(other => meet(form, other)) ? { ...form, shut: false } : form)),
  }))
}

/** Signed distance to the skin of the whole. */
export function distanceTo({ pieces }: Pick<Assembly, 'pieces'>): Distance {
  const made = pieces.map(({ cut, adds, cuts }) => ({ cut, adds: adds.map(distanceOf), cuts: cuts.map(distanceOf) }))
  return (x, y, z) => {
    let whole = Infinity
    for (const { cut, adds, cuts } of made) {
      let piece = Infinity
      for (const form of adds) piece = Math.min(piece, form(x, y, z))
      for (const form of cuts) piece = Math.max(piece, -form(x, y, z))
      whole = cut ? Math.max(whole, -piece) : Math.min(whole, piece)
    }
    return whole
  }
}
