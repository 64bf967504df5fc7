import type { Triple } from '../../solid/forms'
import { FACE_AXIS, type Face } from '../../solid/stored/faces.table'
import { pathLongMm, pathOf, placeAlongMm } from '../../solid/stored/to-shape'
import { mm, storedPlace, type Stored } from '../../quantity/stored'
import { forEachCell, type Grid } from '../field/grid'
import type { HeatSetup } from './setup.schema'

/** A swept flame is so many spots, no nearer to one another. */
const MOST_SPOTS = 8
const SPOT_EVERY_MM = 15

/** A flame swept to and fro along its path: each place has an even share of it. */
export function spotsAlong(path: readonly Triple[]): Triple[] {
  const longMm = pathLongMm(path)
  const count = Math.max(1, Math.min(MOST_SPOTS, Math.round(longMm / SPOT_EVERY_MM) + 1))
  return Array.from({ length: count }, (_, n) =>
    placeAlongMm(path, count === 1 ? longMm / 2 : (n / (count - 1)) * longMm),
  )
}

/**
 * Where a flame is pointed for a place: at the middle of the metal that its spot covers, so that near an edge it falls
 * on the part and not past it.
 */
export function aimedAt(grid: Grid, at: Triple, face: Face, reachMm: number): Triple {
  const across = ([0, 1, 2] as const).filter(axis => axis !== FACE_AXIS[face])
  let [cells, u, v] = [0, 0, 0]
  forEachCell(grid, (_, i, j, k) => {
    const cell = [i, j, k]
    const [a, b] = across.map(axis => grid.originMm[axis] + (cell[axis]! + 0.5) * grid.stepMm[axis] - at[axis]) as [
      number,
      number,
    ]
    if (Math.hypot(a, b) > reachMm) return
    cells += 1
    u += a
    v += b
  })
  if (!cells) return at
  return at.map((mm, axis) =>
    axis === across[0] ? mm + u / cells : axis === across[1] ? mm + v / cells : mm,
  ) as unknown as Triple
}

type Heat = HeatSetup['heat']
/** Points a way of heating at another place; a line that is swept goes there as a whole. */
export function pointedAt(heat: Heat, at: Triple, face: Face): Heat {
  const axes = ['x', 'y', 'z'] as const
  const spot = storedPlace(at)
  if (heat.kind !== 'swept') return { ...heat, at: spot, face }
  const by = axes.map((axis, n) => at[n]! - (heat.at[axis].value ?? at[n]!))
  const moved = (from: Stored, n: number) => (from.value === null ? from : mm(from.value + by[n]!))
  return {
    ...heat,
    face,
    at: spot,
    to: { x: moved(heat.to.x, 0), y: moved(heat.to.y, 1), z: moved(heat.to.z, 2) },
    via: heat.via.map(place => place.map((value, n) => value + by[n]!) as [number, number, number]),
  }
}

/** Where a way of heating points, to be drawn: each spot of a sweep; none while a figure is not understood. */
export function flameSpots({ kind, at, to, via }: Heat): Triple[] {
  const known = (place: Heat['at']): Triple[] => pathOf({ at: place, path: [] }) ?? []
  if (kind === 'oven') return []
  const [from, end] = [known(at), known(to)]
  return kind === 'swept' && from.length && end.length ? spotsAlong([...from, ...via, ...end]) : from
}

/** The same heat held still: a flame that was swept, at the middle of its line. */
export function heldStill(heat: Heat): Heat {
  const spots = flameSpots(heat)
  const middle = heat.kind === 'swept' ? spots[Math.floor(spots.length / 2)] : undefined
  return { ...heat, kind: 'held', at: middle ? storedPlace(middle) : heat.at }
}
