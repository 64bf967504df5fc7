import { NoAnswer } from '../../ask/question'
import { remembered } from '../../ask/remembered'
import type { Stored } from '../../quantity/stored'
import type { Triple } from '../forms'
import { shapeSchema, type Shape } from '../shape.schema'
import { SOLIDS } from './solids.table'
import type { StoredMark, StoredPiece, StoredSolid } from './stored.schema'

/** A stored reading's value. @throws NoAnswer naming what is missing or not understood */
export function needed({ typed, value }: Stored, what: string): number {
  if (value === null) throw new NoAnswer(typed.trim() ? `${what} is not understood: ${typed}` : `${what} is missing`)
  return value
}
/** A stored place's three values. @throws NoAnswer naming the one that is missing */
export const placeOf = (at: { x: Stored; y: Stored; z: Stored }, what: string): Triple => [
  needed(at.x, `${what}, x`),
  needed(at.y, `${what}, y`),
  needed(at.z, `${what}, z`),
]

function partOf({ kind, size, at, lies, cut, outline }: StoredPiece) {
  const { name, sizes } = SOLIDS[kind]
  if (kind === 'outline' && !outline) throw new NoAnswer('the traced outline has no line yet: trace it in a picture')
  return {
    shape: {
      kind,
      ...Object.fromEntries(
        Object.entries(sizes).map(([key, [label]]) => [
          key,
          needed(size[key] ?? { typed: '', value: null }, `${name}: ${label}`),
        ]),
      ),
      ...(outline && kind === 'outline' && { outlineMm: outline.edge, holesMm: outline.holes }),
    },
    atMm: placeOf(at, `${name}: where it stands`),
    lies,
    cut,
  }
}

/**
 * The shape that stored pieces make.
 * @throws NoAnswer with the first thing that is missing or cannot be, in a bench's words
 */
export const shapeOfPieces = remembered(60, (pieces: readonly StoredPiece[]): Extract<Shape, { kind: 'union' }> => {
  const parsed = shapeSchema.safeParse({ kind: 'union', parts: pieces.map(partOf) })
  if (parsed.success) return parsed.data as Extract<Shape, { kind: 'union' }>
  const { path, message } = parsed.error.issues[0]!
  const piece = pieces[Number(path[1])]
  throw new NoAnswer(`${piece ? `${SOLIDS[piece.kind].name}: ` : ''}${message}`)
})

/**
 * The shape of a stored solid, its triangles given where it comes from a file; null where there is none yet.
 * @throws NoAnswer as above, or where the file is not on this bench
 */
export function shapeOfSolid(
  { pieces, mesh }: Pick<StoredSolid, 'pieces' | 'mesh'>,
  trianglesMm?: number[],
): Exclude<Shape, { kind: 'voxels' }> | null {
  if (mesh) {
    if (!trianglesMm) throw new NoAnswer("the file with the part's shape is not on this bench: put it in again")
    return { kind: 'mesh', trianglesMm }
  }
  return pieces.length ? shapeOfPieces(pieces) : null
}

/** A mark's line, from its first place on; null while a figure of it is not understood. */
export function pathOf({ at, path }: Pick<StoredMark, 'at' | 'path'>): Triple[] | null {
  const { x, y, z } = at
  if (x.value === null || y.value === null || z.value === null) return null
  return [[x.value, y.value, z.value], ...path.map((place): Triple => [...place])]
}

/** How long a mark's line is, mm. */
export function pathLongMm(path: readonly Triple[]): number {
  return path.slice(1).reduce((sum, to, n) => sum + Math.hypot(...to.map((value, axis) => value - path[n]![axis]!)), 0)
}

/** The place so far along a line, mm; before its start and past its end it goes straight on. */
export function placeAlongMm(path: readonly Triple[], alongMm: number): Triple {
  let gone = 0
  for (let n = 1; n < path.length; n++) {
    const [from, to] = [path[n - 1]!, path[n]!]
    const long = Math.hypot(...to.map((value, axis) => value - from[axis]!))
    if (long > 0 && (alongMm <= gone + long || n === path.length - 1))
      return from.map((value, axis) => value + ((alongMm - gone) / long) * (to[axis]! - value)) as Triple
    gone += long
  }
  return [...path[0]!]
}
