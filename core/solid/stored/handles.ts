import { mm } from '../../quantity/stored'
import { turned, type Triple } from '../forms'
import { simpleShapeSchema } from '../shape.schema'
import { solidOf } from '../simple'
import type { SolidKind } from './solids.table'
import type { StoredPiece } from './stored.schema'

/** Which size is the piece's extent along x, y and z before it is turned; null where none alone is. */
const ALONG: Record<SolidKind, readonly [string | null, string | null, string | null]> = {
  box: ['xMm', 'yMm', 'zMm'],
  plate: ['lengthMm', 'widthMm', 'thickMm'],
  bar: ['lengthMm', 'diameterMm', 'diameterMm'],
  tube: ['outsideMm', 'outsideMm', 'lengthMm'],
  disc: ['diameterMm', 'diameterMm', 'thickMm'],
  ring: ['outsideMm', 'outsideMm', 'thickMm'],
  'hollow-box': ['xMm', 'yMm', 'zMm'],
  'flanged-box': ['xMm', 'yMm', 'zMm'],
  'boss-on-plate': ['xMm', 'yMm', null],
  'ribbed-cover': ['xMm', 'yMm', null],
  'finned-cylinder': [null, null, null],
  lug: ['longMm', 'wideMm', 'thickMm'],
  elbow: [null, null, 'outsideMm'],
  slot: ['longMm', 'wideMm', 'deepMm'],
  fillet: ['longMm', 'radiusMm', 'radiusMm'],
  outline: [null, null, 'thickMm'],
}
/** A corner nearer than this to another piece's is laid on it, mm; else a whole half millimetre. */
const SNAP_MM = 2.5
const HALF_MM = 0.5

/** The two far corners of a piece in its place; null while it cannot be. */
export function corners({ kind, size, at, lies, outline }: StoredPiece): { low: Triple; high: Triple } | null {
  const given = {
    kind,
    ...Object.fromEntries(Object.entries(size).map(([key, { value }]) => [key, value])),
    ...(kind === 'outline' && outline && { outlineMm: outline.edge, holesMm: outline.holes }),
  }
  const parsed = simpleShapeSchema.safeParse(given)
  const low = [at.x.value, at.y.value, at.z.value]
  if (!parsed.success || low.some(value => value === null)) return null
  const over = turned(solidOf(parsed.data).sizeMm, lies)
  return { low: low as Triple, high: over.map((value, axis) => value + low[axis]!) as Triple }
}

const nearest = (value: number, to: readonly number[]): number | null => {
  const near = to.toSorted((a, b) => Math.abs(a - value) - Math.abs(b - value))[0]
  return near !== undefined && Math.abs(near - value) <= SNAP_MM ? near : null
}
const halved = (value: number) => Math.round(value / HALF_MM) * HALF_MM
/** Heights along each axis that other pieces begin, end and have their middle at. */
function lines(pieces: readonly StoredPiece[], but: string): [number[], number[], number[]] {
  const others = pieces.filter(piece => piece.id !== but).flatMap(piece => corners(piece) ?? [])
  return [0, 1, 2].map(axis =>
    others.flatMap(({ low, high }) => [low[axis]!, (low[axis]! + high[axis]!) / 2, high[axis]!]),
  ) as [number[], number[], number[]]
}

/** A piece moved by hand: its low or its high side laid on another's edge or middle where one is near. */
export function moved(piece: StoredPiece, by: Readonly<Triple>, pieces: readonly StoredPiece[]): StoredPiece {
  const found = corners(piece)
  if (!found) return piece
  const to = lines(pieces, piece.id)
  const at = found.low.map((low, axis) => {
    if (!by[axis]) return low
    const size = found.high[axis]! - low
    const wanted = low + by[axis]!
    const laid = [0, size / 2, size].flatMap(off => {
      const near = nearest(wanted + off, to[axis]!)
      return near === null ? [] : [near - off]
    })
    return laid.toSorted((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))[0] ?? halved(wanted)
  })
  return { ...piece, at: { x: mm(at[0]!), y: mm(at[1]!), z: mm(at[2]!) } }
}

/** A piece made larger or smaller by its far corner. */
export function sized(piece: StoredPiece, by: Readonly<Triple>, pieces: readonly StoredPiece[]): StoredPiece {
  const found = corners(piece)
  if (!found) return piece
  const to = lines(pieces, piece.id)
  const turns = { up: 0, along: 1, across: 2 }[piece.lies]
  const size = { ...piece.size }
  by.forEach((step, axis) => {
    const key = ALONG[piece.kind][(axis - turns + 3) % 3]
    if (!step || !key) return
    const end = found.high[axis]! + step
    size[key] = mm(Math.max(HALF_MM, (nearest(end, to[axis]!) ?? halved(end)) - found.low[axis]!))
  })
  return { ...piece, size }
}
