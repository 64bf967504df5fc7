import type { Known } from '../../photo/measure'
import type { Point } from '../../photo/point'
import type { Picture, Trace } from '../../job/picture.schema'

/** The known points of a picture's scale, for `photo.measure`; or what is still wanted, in words. */
export function knownOf({ scale }: Pick<Picture, 'scale'>): { known: Known[] } | { wants: string } {
  const { kind, px, apartMm, wideMm, highMm } = scale
  if (kind === 'two') {
    if (px.length < 2) return { wants: px.length ? 'the second point of the scale' : 'two points a known way apart' }
    if (!apartMm.value || apartMm.value <= 0) return { wants: 'how far apart the two points are' }
    return {
      known: [
        { px: px[0]!, mm: [0, 0] },
        { px: px[1]!, mm: [apartMm.value, 0] },
      ],
    }
  }
  if (px.length < 4)
    return {
      wants: `${['the four corners', 'three more corners', 'two more corners', 'the last corner'][px.length]} of something flat, in turn round it`,
    }
  if (!wideMm.value || wideMm.value <= 0 || !highMm.value || highMm.value <= 0)
    return { wants: 'how wide and high it is: first corner to second, second to third' }
  const corners = [
    [0, 0],
    [wideMm.value, 0],
    [wideMm.value, highMm.value],
    [0, highMm.value],
  ] as const
  return { known: corners.map((mm, n) => ({ px: px[n]!, mm })) }
}

/** How long a pixel is along a line whose ends lie so far apart on the part, mm. */
export const mmPerPxAlong = (from: Point, to: Point, lengthMm: number): number =>
  lengthMm / Math.hypot(to[0] - from[0], to[1] - from[1])

/**
 * A crack with its branches, as it is opened: its own length and theirs, how many, and how far out the sum may be; the
 * scale is the same for all, so their errors add. Null for a branch, and where its own length is not known.
 */
export function crackWithBranches(
  of: Trace,
  measured: readonly { trace: Trace; measure: { lengthMm: number; uncertaintyMm: number } | null }[],
): { lengthMm: number; uncertaintyMm: number; branches: number } | null {
  const isBranch = measured.some(({ trace }) => trace.id === of.of)
  if (of.kind !== 'crack' || isBranch) return null
  const known = measured.flatMap(({ trace, measure }) =>
    measure && (trace.id === of.id || (trace.kind === 'crack' && trace.of === of.id)) ? [{ trace, measure }] : [],
  )
  if (!known.some(({ trace }) => trace.id === of.id)) return null
  return {
    lengthMm: known.reduce((sum, { measure }) => sum + measure.lengthMm, 0),
    uncertaintyMm: known.reduce((sum, { measure }) => sum + measure.uncertaintyMm, 0),
    branches: known.length - 1,
  }
}
