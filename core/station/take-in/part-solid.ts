import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import type { Step } from '../../ask/question'
import type { PlaceKind } from '../../heat/bench/places.table'
import type { HeatSetup } from '../../heat/bench/setup.schema'
import type { Job } from '../../job/job.schema'
import { mm, storedPlace } from '../../quantity/stored'
import { measured, type Measured } from '../../solid/measure'
import type { MarkKind } from '../../solid/stored/marks.table'
import { pieceSchema, type StoredMark, type StoredPiece, type StoredSolid } from '../../solid/stored/stored.schema'
import { pathLongMm, pathOf, placeAlongMm, shapeOfSolid } from '../../solid/stored/to-shape'

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
/** Where the metal of a mark is: of a line its middle; of a bore, which is marked at its middle, beside its edge. */
function inMetal(mark: StoredMark): StoredMark['at'] {
  const { at, acrossMm, face } = mark
  const line = mark.path.length ? pathOf(mark) : null
  if (line) return storedPlace(placeAlongMm(line, pathLongMm(line) / 2))
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

type Spot = HeatSetup['heat']['at']
const tripleOf = ({ x, y, z }: Spot) => [x.value, y.value, z.value] as const
/** How far a place is from a line between two others, mm; null where any of them is not known. */
function offLineMm(at: Spot, from: Spot, to: Spot): number | null {
  const [p, a, b] = [tripleOf(at), tripleOf(from), tripleOf(to)]
  if ([...p, ...a, ...b].some(value => value === null)) return null
  const along = a.map((value, axis) => b[axis]! - value!)
  const beside = a.map((value, axis) => p[axis]! - value!)
  const long2 = along.reduce((sum, value) => sum + value ** 2, 0)
  const dot = along.reduce((sum, value, axis) => sum + value * beside[axis]!, 0)
  const share = long2 > 0 ? Math.min(1, Math.max(0, dot / long2)) : 0
  return Math.hypot(...beside.map((value, axis) => value - share * along[axis]!))
}

/** A flame is meant for mends this near to it, mm: judgement, less than from one boss to the next on most parts. */
const MEANT_MM = 60
const FLAME_KINDS: ReadonlySet<HeatSetup['heat']['kind']> = new Set(['held', 'walked', 'swept', 'air', 'arc'])

/**
 * The places without the weld zones of mends that a flame is not meant for: of several mends, those it is held near, or
 * else the nearest. An oven means them all.
 */
function meantFor(places: HeatSetup['places'], { kind, at, to }: HeatSetup['heat']): HeatSetup['places'] {
  const zones = places.filter(place => place.kind === 'weld-zone')
  if (zones.length < 2 || !FLAME_KINDS.has(kind)) return places
  const off = new Map(
    zones.map(zone => [zone.id, offLineMm(zone.at, at, kind === 'arc' || kind === 'swept' ? to : at) ?? 0]),
  )
  const least = Math.min(...off.values())
  return places.filter(place => (off.get(place.id) ?? 0) <= Math.max(MEANT_MM, least))
}

/** A set-up as it is run: with the part's own shape where it has none of its own, and the marks on it as its places. */
export function readySetup(job: Pick<Job, 'takeIn' | 'shape'>, setup: HeatSetup): HeatSetup {
  const places = [...meantFor(watchedPlaces(job), setup.heat), ...setup.places].slice(0, MOST_PLACES)
  if (setup.parts.length || setup.mesh) return { ...setup, places }
  const own = partSolid(job)
  return { ...setup, places, parts: [...(own?.solid.pieces ?? [])], mesh: own?.solid.mesh?.file ?? null }
}
