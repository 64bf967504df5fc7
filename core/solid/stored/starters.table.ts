import { mm, type Stored } from '../../quantity/stored'
import type { Lies } from '../forms'
import { isCount, SOLIDS, type SolidKind } from './solids.table'
import { pieceSchema, type StoredPiece } from './stored.schema'

type Place = readonly [number, number, number]
interface StartPiece {
  readonly kind: SolidKind
  readonly size: Readonly<Record<string, number>>
  readonly at?: Place
  readonly lies?: Lies
  readonly cut?: boolean
}
interface Row {
  readonly name: string
  readonly pieces: readonly StartPiece[]
}

const hole = (diameterMm: number, thickMm: number, at: Place, lies?: Lies): StartPiece => ({
  kind: 'disc',
  size: { diameterMm, thickMm },
  at,
  cut: true,
  ...(lies && { lies }),
})

/** Common parts to begin from, with readings that a caliper then puts right. Sizes invented. */
export const STARTERS = {
  plate: { name: 'plate', pieces: [{ kind: 'plate', size: { lengthMm: 150, widthMm: 100, thickMm: 8 } }] },
  cover: {
    name: 'cover with a flange',
    pieces: [
      { kind: 'flanged-box', size: { xMm: 200, yMm: 140, zMm: 50, wallMm: 6, flangeMm: 15, flangeThickMm: 10 } },
      { kind: 'disc', size: { diameterMm: 30, thickMm: 18 }, at: [60, 55, -12] },
      hole(9, 14, [3, 3, 38]),
      hole(9, 14, [188, 3, 38]),
      hole(9, 14, [3, 128, 38]),
      hole(9, 14, [188, 128, 38]),
    ],
  },
  housing: {
    name: 'housing, closed',
    pieces: [
      { kind: 'hollow-box', size: { xMm: 180, yMm: 120, zMm: 80, wallMm: 6 } },
      { kind: 'disc', size: { diameterMm: 50, thickMm: 12 }, at: [65, 35, 80] },
      hole(35, 30, [72.5, 42.5, 66]),
    ],
  },
  bracket: {
    name: 'bracket, angled',
    pieces: [
      { kind: 'plate', size: { lengthMm: 100, widthMm: 60, thickMm: 8 } },
      { kind: 'box', size: { xMm: 8, yMm: 60, zMm: 70 } },
      { kind: 'fillet', size: { longMm: 60, radiusMm: 8 }, at: [8, 0, 8], lies: 'along' },
      hole(11, 20, [64.5, 24.5, -5]),
      hole(9, 20, [-5, 25.5, 45], 'along'),
    ],
  },
  lever: {
    name: 'lever',
    pieces: [
      { kind: 'lug', size: { longMm: 140, wideMm: 26, thickMm: 10, holeMm: 10 } },
      { kind: 'disc', size: { diameterMm: 36, thickMm: 24 }, at: [-18, -5, -7] },
      hole(16, 30, [-8, 5, -10]),
    ],
  },
  flange: {
    name: 'flange, round',
    pieces: [
      { kind: 'ring', size: { outsideMm: 140, insideMm: 60, thickMm: 12 } },
      { kind: 'ring', size: { outsideMm: 76, insideMm: 60, thickMm: 40 }, at: [32, 32, 0] },
      hole(11, 20, [9.5, 64.5, -4]),
      hole(11, 20, [119.5, 64.5, -4]),
      hole(11, 20, [64.5, 9.5, -4]),
      hole(11, 20, [64.5, 119.5, -4]),
    ],
  },
  'tube-joint': {
    name: 'joint of two tubes',
    pieces: [
      { kind: 'bar', size: { diameterMm: 40, lengthMm: 200 } },
      { kind: 'disc', size: { diameterMm: 34, thickMm: 110 }, at: [83, 3, 20] },
      { kind: 'bar', size: { diameterMm: 34, lengthMm: 204 }, at: [-2, 3, 3], cut: true },
      hole(28, 114, [86, 6, 20]),
    ],
  },
  blade: {
    name: 'blade on a hub',
    pieces: [
      { kind: 'disc', size: { diameterMm: 60, thickMm: 50 } },
      { kind: 'lug', size: { longMm: 180, wideMm: 70, thickMm: 8, holeMm: 0 }, at: [45, -5, 21] },
      hole(25, 60, [17.5, 17.5, -5]),
    ],
  },
} as const satisfies Record<string, Row>
export type StarterId = keyof typeof STARTERS

const reading = (key: string, value: number): Stored => (isCount(key) ? { typed: String(value), value } : mm(value))

/** A new piece of a kind with the sizes it starts from. */
export function startPiece(
  id: string,
  { kind, size, at = [0, 0, 0], lies = 'up', cut = false }: Omit<StartPiece, 'size'> & { size?: StartPiece['size'] },
): StoredPiece {
  const sizes = SOLIDS[kind].sizes as Readonly<Record<string, readonly [string, number]>>
  return pieceSchema.parse({
    id,
    kind,
    lies,
    cut,
    at: { x: mm(at[0]), y: mm(at[1]), z: mm(at[2]) },
    size: Object.fromEntries(
      Object.entries(sizes).map(([key, [, start]]) => [key, reading(key, size?.[key] ?? start)]),
    ),
  })
}

/** The pieces of a starter, each with an id of its own. */
export const startersPieces = (starter: StarterId): StoredPiece[] =>
  (STARTERS[starter].pieces as readonly StartPiece[]).map((piece, n) => startPiece(`${starter}-${n + 1}`, piece))
