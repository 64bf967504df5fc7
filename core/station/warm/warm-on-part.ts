import { NoAnswer } from '../../ask/question'
import { PLACE_KINDS } from '../../heat/bench/places.table'
import { said } from '../../job/fields/said'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import type { Triple } from '../../solid/forms'
import { shapeOfCells } from '../../solid/stored/mesh-cells'
import { pathLongMm, pathOf, shapeOfSolid } from '../../solid/stored/to-shape'
import type { Warmth } from '../../warm/decide'
import { torchOf } from './warm-decision'
import { onCells, type CellsAsk, type OnCells } from '../../warm/on-cells'
import { BRAZED_RUN_MM, MOST_RUN_MM, type Torch } from '../../warm/torch-reach'
import { partSolid, watchedPlaces, type PartSolid } from '../take-in/part-solid'
import { measured } from '../../solid/measure'

/** One mend's place under the flame, on the part's own cells; with the whole part in colours it is a mapped one. */
export interface WarmZone extends Omit<OnCells, 'map'> {
  /** The mend it is warmed for, by its id. */
  mend: string
  name: string
  /** Where the flame is swept, its first length where there are several, mm. */
  path: readonly Triple[]
  /** A long run is warmed a length at a time: how many. */
  lengths: number
}

export type MappedZone = WarmZone & Pick<OnCells, 'map'>

/** Two stainless strips keep the bench from drinking the heat: what the station tells to do. */
export const WARMED_ON = 'strips'

function guardsOf(job: Pick<Job, 'shape'>): CellsAsk['guards'] {
  return watchedPlaces(job).flatMap(({ kind, name, at: { x, y, z } }) => {
    const { limitC, name: usual } = PLACE_KINDS[kind]
    // Where it is held wants another place to hold it, not a cooler flame: the heat bench says so.
    return kind === 'held' || limitC === null || x.value === null || y.value === null || z.value === null
      ? []
      : [{ kind, name: name || usual, limitC, atMm: [x.value, y.value, z.value] as Triple }]
  })
}

/**
 * The torch swept along each mend that is placed on the part and laid hot, on the part's own cells; nothing where the
 * part has no shape or its file was never cut into cells, no mend is placed, or its run cannot be seen from any side.
 * @param laid ids of the mends that are laid hot
 * @param flameStays whether the flame stays on while metal is laid, as in brazing
 */
export function warmOnPart(
  job: Pick<Job, 'takeIn' | 'shape'>,
  alloy: Alloy,
  torch: Torch,
  warmth: Pick<Warmth, 'toC'>,
  startC: number,
  laid: readonly string[],
  flameStays = false,
): MappedZone[] {
  const part = partSolid(job)
  const marks = job.shape.marks.filter(mark => mark.kind === 'mend' && laid.includes(mark.mend))
  if (!part || !marks.length) return []
  try {
    const cells = cellsToWarm(part)
    if (!cells) return []
    const { shape, volumeMm3 } = cells
    const mostMm = flameStays ? BRAZED_RUN_MM : MOST_RUN_MM
    return marks.flatMap(mark => {
      const path = pathOf(mark)
      const swept = path && within(path, mostMm)
      const found =
        swept &&
        onCells({
          shape,
          volumeMm3,
          alloy: alloy.name,
          path: swept,
          face: mark.face,
          torch,
          startC,
          toC: warmth.toC,
          stand: WARMED_ON,
          flameStays,
          guards: guardsOf(job),
        })
      return found
        ? [
            {
              ...found,
              mend: mark.mend,
              name: mark.name || 'the mend',
              path: swept,
              lengths: Math.max(1, Math.ceil(pathLongMm(path!) / mostMm)),
            },
          ]
        : []
    })
  } catch (error) {
    // A piece half typed is told where it is typed; the part is taken as one lump meanwhile.
    if (error instanceof NoAnswer) return []
    throw error
  }
}

/** What is cut into cells: a part of pieces, or the cells that were kept of a file; null where there are none. */
function cellsToWarm({ solid }: PartSolid): Pick<CellsAsk, 'shape' | 'volumeMm3'> | null {
  const { mesh } = solid
  if (mesh) return mesh.cells && mesh.volumeMm3 ? { shape: shapeOfCells(mesh.cells), volumeMm3: mesh.volumeMm3 } : null
  const shape = shapeOfSolid(solid)
  return shape && { shape, volumeMm3: measured(shape).volumeMm3 }
}

/** The first stretch of a run: a longer one is warmed a length at a time. */
function within(path: readonly Triple[], mostMm: number): Triple[] {
  const out: Triple[] = [path[0]!]
  let left = mostMm
  for (const [n, to] of path.slice(1).entries()) {
    const from = path[n]!
    const long = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2])
    if (long > left) {
      out.push(from.map((value, axis) => value + (left / long) * (to[axis]! - value)) as unknown as Triple)
      break
    }
    out.push(to)
    left -= long
  }
  return out
}

/** What was decided, with how long it takes and how far it reaches as the cells have it. */
export function warmedAsOnPart(warmth: Warmth, zones: readonly WarmZone[]): Warmth {
  if (!zones.length || warmth.need === 'none') return warmth
  return {
    ...warmth,
    reaches: zones.every(({ onS }) => onS !== null),
    minutes: zones.reduce((sum, { onS, lengths }) => sum + lengths * (onS ?? 0), 0) / 60,
    where: zones.every(({ where }) => where === 'whole') ? 'whole' : 'zone',
  }
}

/** What was decided for a job's part, as its own cells have it where it has a shape. */
export function warmedOnCells(job: Job, kit: Kit, alloy: Alloy, warm: Warmth, hot: readonly string[]): Warmth {
  const torch = torchOf(kit, job)
  if (!torch || warm.need === 'none') return warm
  return warmedAsOnPart(warm, warmOnPart(job, alloy, torch, warm, said(job, 'warm').startC, hot))
}

/** What was decided, for one mend: by its own place on the part where that was worked out, else by the whole. */
export function warmthOfMend({ warmth, zones }: { warmth: Warmth; zones: readonly WarmZone[] }, mend: string): Warmth {
  const own = zones.filter(zone => zone.mend === mend)
  return own.length ? warmedAsOnPart(warmth, own) : warmth
}
