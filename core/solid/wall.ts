import { assemble } from './assembly'
import { lastAxis, nextAxis, type Axis, type Triple } from './forms'
import { meshStretches } from './mesh-rays'
import { raysThrough } from './rays'
import type { Shape } from './shape.schema'
import { FACE_AXIS, INWARD, type Face } from './stored/faces.table'

type Solid = Exclude<Shape, { kind: 'voxels' }>

/** A place this far off a skin is still taken to be on it, mm. */
const NEAR_MM = 2

/** Stretches of metal along the way a face is looked at through a place, from low to high. */
function stretches(shape: Solid, axis: Axis, at: Readonly<Triple>): [number, number][] {
  if (shape.kind === 'mesh') return meshStretches(shape.trianglesMm, axis, at)
  const crossings = raysThrough(assemble(shape).pieces, axis)(at[nextAxis(axis)])(at[lastAxis(axis)])
  return crossings.flatMap((from, n): [number, number][] => (n % 2 ? [] : [[from.at, crossings[n + 1]!.at]]))
}

/** The wall at a place, straight in from a face, mm; null where there is no metal within 2 mm of it. */
export function wallAt(shape: Solid, at: Readonly<Triple>, face: Face): number | null {
  const axis = FACE_AXIS[face]
  const here = stretches(shape, axis, at).find(([from, to]) => at[axis] >= from - NEAR_MM && at[axis] <= to + NEAR_MM)
  return here ? here[1] - here[0] : null
}

/** The skin seen from a face over a place: the place moved on to it; null where one looks past the part. */
export function seenFrom(shape: Solid, at: Readonly<Triple>, face: Face): Triple | null {
  const [axis, fromHigh] = [FACE_AXIS[face], INWARD[face] < 0]
  const found = stretches(shape, axis, at)
  const end = fromHigh ? found.at(-1)?.[1] : found[0]?.[0]
  if (end === undefined) return null
  const place: Triple = [...at]
  place[axis] = end
  return place
}

/** Whether a place lies in metal. */
export const isMetalAt = (shape: Solid, at: Readonly<Triple>, axis: Axis): boolean =>
  stretches(shape, axis, at).some(([from, to]) => at[axis] > from && at[axis] < to)
