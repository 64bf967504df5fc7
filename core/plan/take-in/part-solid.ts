import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import type { Step } from '../../ask/question'
import type { PlaceKind } from '../../heat/bench/places.table'
import type { HeatSetup } from '../../heat/bench/setup.schema'
import type { Job } from '../../job/job.schema'
import { mm } from '../../quantity/stored'
import { measured, type Measured } from '../../solid/measure'
import type { MarkKind } from '../../solid/stored/marks.table'
import { pieceSchema, type StoredMark, type StoredPiece, type StoredSolid } from '../../solid/stored/stored.schema'
import { shapeOfSolid } from '../../solid/stored/to-shape'

/** Where the solid that is drawn comes from: put together, a file, or a plain block of the sizes over all. */
export type SolidFrom = 'pieces' | 'file' | 'sizes'
export interface PartSolid {
  from: SolidFrom
  solid: Pick<StoredSolid, 'pieces' | 'mesh'>
}

/** A box is hollow where it is this many walls high and wide; else it is taken for a plate. */
const HOLLOW_WALLS_HIGH = 2.5
const HOLLOW_WALLS_WIDE = 3
const id = 'block'

/**
 * A plain block of the part's sizes over all: a housing of its wall, or a plate; none while length or width is missing.
 */
export function blockOf({ takeIn }: Pick<Job, 'takeIn'>): StoredPiece[] {
  const [length, width] = [takeIn.lengthMm.value, takeIn.widthMm.value]
  const wall = takeIn.wallMm.value ?? ASSUMED_WALL_MM
  const height = takeIn.heightMm.value || wall
  if (!length || !width || length <= 0 || width <= 0 || wall <= 0 || height <= 0) return []
  const hollow = height > HOLLOW_WALLS_HIGH * wall && Math.min(length, width) > HOLLOW_WALLS_WIDE * wall
  const piece = hollow
    ? { id, kind: 'hollow-box', size: { xMm: mm(length), yMm: mm(width), zMm: mm(height), wallMm: mm(wall) } }
    : {
        id,
        kind: 'plate',
        size: { lengthMm: mm(length), widthMm: mm(width), thickMm: mm(Math.min(height, HOLLOW_WALLS_HIGH * wall)) },
      }
  return [pieceSchema.parse(piece)]
}

/** The solid a job's part is drawn and reckoned as; null while nothing says what it looks like. */
export function partSolid(job: Pick<Job, 'takeIn' | 'shape'>): PartSolid | null {
  const { pieces, mesh } = job.shape
  if (mesh) return { from: 'file', solid: { pieces: [], mesh } }
  if (pieces.length) return { from: 'pieces', solid: { pieces, mesh: null } }
  const block = blockOf(job)
  return block.length ? { from: 'sizes', solid: { pieces: block, mesh: null } } : null
}

/**
 * Volume, skin and sizes of the shape that was made for a part; null where there is none of its own, or where a file
 * was never measured.
 * @throws NoAnswer where its pieces cannot be
 */
export function measuredPart({ shape }: Pick<Job, 'shape'>): Measured | null {
  const { mesh, pieces } = shape
  if (mesh)
    return mesh.volumeMm3 && mesh.skinMm2 && mesh.sizeMm
      ? {
          volumeMm3: mesh.volumeMm3,
          skinMm2: mesh.skinMm2,
          sizeMm: mesh.sizeMm,
          originMm: [0, 0, 0],
          middleMm: [mesh.sizeMm[0] / 2, mesh.sizeMm[1] / 2, mesh.sizeMm[2] / 2],
        }
      : null
  if (!pieces.length) return null
  return measured(shapeOfSolid(shape)!)
}

/** How volume and skin came out of the shape, for the working. */
export const shapeSteps = ({ volumeMm3, skinMm2 }: Measured): Step[] => [
  {
    label: 'Taken as',
    formula: 'the shape made for it: rays through its pieces along three axes',
    value: volumeMm3 / 1000,
    unit: 'cm³',
    source: 'the divergence theorem; within 0.5 % of closed forms',
  },
  {
    label: 'Surface that cools',
    formula: 'Σ |n·axis| dA over the three axes',
    value: skinMm2 / 100,
    unit: 'cm²',
    source: 'the divergence theorem',
  },
]

/** Marks that the heat bench watches, and the kind of place each is there. */
const WATCHED: Partial<Record<MarkKind, PlaceKind>> = {
  mend: 'weld-zone',
  seal: 'seal',
  'fluoro-seal': 'fluoro-seal',
  bush: 'bush',
  'bearing-seat': 'bearing-seat',
  'fixed-bore': 'bearing-seat',
  'finished-face': 'finished-face',
  'fixed-face': 'finished-face',
  clamp: 'held',
}
const MOST_PLACES = 12
/** How far past a bore's edge its metal is watched, mm. */
const PAST_EDGE_MM = 1
/** Where the metal of a mark is: of a bore, which is marked at its middle, beside its edge. */
function inMetal({ at, acrossMm, face }: StoredMark): StoredMark['at'] {
  const across = acrossMm.value
  if (!across) return at
  const aside = mm(
    (face === 'left' || face === 'right' ? (at.y.value ?? 0) : (at.x.value ?? 0)) + across / 2 + PAST_EDGE_MM,
  )
  return face === 'left' || face === 'right' ? { ...at, y: aside } : { ...at, x: aside }
}

/** The marks on a part that heat is watched at. */
export const watchedPlaces = ({ shape }: Pick<Job, 'shape'>): HeatSetup['places'] =>
  shape.marks.flatMap(mark => {
    const kind = WATCHED[mark.kind]
    return kind ? [{ id: mark.id, kind, name: mark.name, at: inMetal(mark), limitC: { typed: '', value: null } }] : []
  })

/** A set-up as it is run: with the part's own shape where it has none of its own, and the marks on it as its places. */
export function readySetup(job: Pick<Job, 'takeIn' | 'shape'>, setup: HeatSetup): HeatSetup {
  const places = [...watchedPlaces(job), ...setup.places].slice(0, MOST_PLACES)
  if (setup.parts.length || setup.mesh) return { ...setup, places }
  const own = partSolid(job)
  return { ...setup, places, parts: [...(own?.solid.pieces ?? [])], mesh: own?.solid.mesh?.file ?? null }
}
