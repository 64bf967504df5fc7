import type { Known } from '../photo/measure'
import type { Point } from '../photo/point'
import type { Picture } from '../job/picture.schema'

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

/** A blued face drawn small: its outline, and each patch as a round of its own area, in a box of its own size. */
export interface BlueMap {
  wide: number
  high: number
  outline: Point[]
  patches: { at: Point; r: number; sharePct: number }[]
}
const MAP_WIDE = 160

/** Where the blue lay on a face, from its picture; null where no outline or no blue was read in it. */
export function blueMap({ traces, blue }: Pick<Picture, 'traces' | 'blue'>): BlueMap | null {
  const edge = traces.find(trace => trace.kind === 'outline' && trace.px.length > 2)?.px
  if (!edge || !blue) return null
  const [xs, ys] = [edge.map(([x]) => x), edge.map(([, y]) => y)]
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  const scale = MAP_WIDE / Math.max(1, Math.max(...xs) - left)
  const at = ([x, y]: Point): Point => [(x - left) * scale, (y - top) * scale]
  const outline = edge.map(at)
  const area = Math.abs(
    outline.reduce((sum, [x, y], n) => {
      const [u, v] = outline[(n + 1) % outline.length]!
      return sum + (x * v - u * y) / 2
    }, 0),
  )
  return {
    wide: MAP_WIDE,
    high: (Math.max(...ys) - top) * scale,
    outline,
    patches: blue.patches.map(({ atPx, sharePct }) => ({
      at: at(atPx),
      r: Math.sqrt(((sharePct / 100) * area) / Math.PI),
      sharePct,
    })),
  }
}
