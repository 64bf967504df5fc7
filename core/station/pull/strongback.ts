import type { Triple } from '../../solid/forms'
import type { Shape } from '../../solid/shape.schema'
import { FACE_AXIS, INWARD } from '../../solid/stored/faces.table'
import type { StoredMark } from '../../solid/stored/stored.schema'
import { pathLongMm, placeAlongMm } from '../../solid/stored/to-shape'
import { isMetalAt } from '../../solid/wall'
import { comesRound } from './parted-line'

/** The longer middle line of a run that comes round, and how far the run lies to each side of it, mm. */
function middleLine(line: readonly Triple[], p: number, q: number): { middle: Triple[]; asideMm: number } {
  const span = (axis: number) => {
    const all = line.map(at => at[axis]!)
    return { low: Math.min(...all), high: Math.max(...all) }
  }
  const [u, v] = [span(p), span(q)]
  const isLong = u.high - u.low >= v.high - v.low
  const [along, across] = isLong ? [u, v] : [v, u]
  const put = (mm: number): Triple =>
    line[0]!.map((value, axis) =>
      axis === (isLong ? p : q) ? mm : axis === (isLong ? q : p) ? (across.low + across.high) / 2 : value,
    ) as Triple
  return { middle: [put(along.low), put(along.high)], asideMm: (across.high - across.low) / 2 }
}

/** How far to each side a bar reaches, the longest that lies on the part, mm; how wide it presses. Judgement. */
const BAR_REACHES_MM = [80, 60, 45, 30, 20]
export const BAR_MM = 8
const BARS_AT = [0.25, 0.75]
/** A pad has metal under it where this far down there is some, mm. */
const UNDER_MM = 1

/**
 * Where two stiff bars across a run press the face it is welded on: at the run and as far to each side as there is
 * metal; null where there is no room for one.
 */
export function strongback(
  shape: Exclude<Shape, { kind: 'voxels' }>,
  mark: StoredMark,
  line: readonly Triple[] | null,
): Triple[] | null {
  if (!line) return null
  const axis = FACE_AXIS[mark.face]
  const [p, q] = [(axis + 1) % 3, (axis + 2) % 3] as [number, number]
  const { middle, asideMm } = comesRound(line) ? middleLine(line, p, q) : { middle: line, asideMm: 0 }
  const [from, to] = [middle[0]!, middle.at(-1)!]
  const [along, up] = [to[p]! - from[p]!, to[q]! - from[q]!]
  const long = Math.hypot(along, up)
  if (long === 0) return null
  const moved = (at: Triple, off: number): Triple =>
    at.map((mm, n) => (n === p ? mm - (off * up) / long : n === q ? mm + (off * along) / long : mm)) as Triple
  const isOnMetal = (at: Triple) => {
    const under = at.map((mm, n) => (n === axis ? mm + INWARD[mark.face] * UNDER_MM : mm)) as Triple
    return isMetalAt(shape, under, axis)
  }
  for (const reachMm of BAR_REACHES_MM) {
    const pads = BARS_AT.flatMap(share =>
      [-asideMm - reachMm, 0, asideMm + reachMm].map(off =>
        moved(placeAlongMm(middle, share * pathLongMm(middle)), off),
      ),
    )
    if (pads.every(isOnMetal)) return pads
  }
  return null
}
