import type { Picture } from '../../job/picture.schema'
import { fitHomography, mapped } from '../../photo/plane'
import type { Point } from '../../photo/point'
import { knownOf } from '../take-in/pictures'

/** The part of a face's own plane that its picture is laid on, mm. */
export interface FaceBox {
  leftMm: number
  bottomMm: number
  wideMm: number
  highMm: number
}
export interface BlueOnFace {
  outlineMm: Point[]
  patches: { edgeMm: Point[]; sharePct: number }[]
}
/** Sides of a patch that was read before its edge was kept: a round of its share of the face. */
const ROUND_SIDES = 16

/** The narrowest box round points: how far it is turned, and its sides. One side lies along an edge of the hull. */
function tightBox(points: readonly Point[]) {
  let best = { turn: 0, left: 0, right: 0, low: 0, high: 0, area: Infinity }
  for (const [n, [x, y]] of points.entries()) {
    const [u, v] = points[(n + 1) % points.length]!
    const turn = Math.atan2(v - y, u - x)
    const [c, s] = [Math.cos(turn), Math.sin(turn)]
    const across = points.map(([p, q]) => c * p + s * q)
    const up = points.map(([p, q]) => c * q - s * p)
    const [left, right, low, high] = [Math.min(...across), Math.max(...across), Math.min(...up), Math.max(...up)]
    const area = (right - left) * (high - low)
    if (area < best.area * (1 - 1e-9)) best = { turn, left, right, low, high, area }
  }
  return best
}

/** The picture's points on the plane that its scale spans, seen from the same side, y upwards; as taken without one. */
function flattened(picture: Pick<Picture, 'scale'>): (px: Point) => Point {
  const scale = knownOf(picture)
  const plane =
    'known' in scale && scale.known.length > 3
      ? fitHomography(scale.known.map(({ px, mm }) => ({ from: px, to: mm })))
      : null
  return px => {
    const [x, y] = (plane && mapped(plane, px)) ?? px
    return [x, -y]
  }
}

const edgeOf = ({ traces }: Pick<Picture, 'traces'>) =>
  traces.find(trace => trace.kind === 'outline' && trace.px.length > 2)?.px

/** A face of the outline's own shape, its longer side one: to draw a blued face that no reading was taken of. */
export function ownFace(picture: Pick<Picture, 'traces' | 'scale'>): FaceBox | null {
  const edge = edgeOf(picture)
  if (!edge) return null
  const { left, right, low, high, turn } = tightBox(edge.map(flattened(picture)))
  const [across, up] = [right - left, high - low]
  const [wide, tall] = Math.round(turn / (Math.PI / 2)) % 2 === 0 ? [across, up] : [up, across]
  const most = Math.max(wide, tall)
  return most > 0 ? { leftMm: 0, bottomMm: 0, wideMm: wide / most, highMm: tall / most } : null
}

/**
 * Where the blue of a picture lies on a face: the traced outline's narrowest box is laid on the face's, the way that
 * turns the picture least, then by the quarter turns told; a slant is taken out where the scale's four corners say it.
 * The face is a plane and the outline goes round all of it. Null where no outline or no blue was read.
 */
export function blueOnFace(picture: Pick<Picture, 'traces' | 'blue' | 'scale'>, face: FaceBox): BlueOnFace | null {
  const edge = edgeOf(picture)
  if (!edge || !picture.blue) return null
  const flat = flattened(picture)
  const outline = edge.map(flat)
  const box = tightBox(outline)
  if (!(box.area > 0 && box.area < Infinity)) return null
  const [c, s] = [Math.cos(box.turn), Math.sin(box.turn)]
  /** From 0 to 1 along both sides of the box. */
  const inBox = (px: Point): Point => {
    const [x, y] = flat(px)
    return [(c * x + s * y - box.left) / (box.right - box.left), (c * y - s * x - box.low) / (box.high - box.low)]
  }
  const lies = box.right - box.left >= box.high - box.low === face.wideMm >= face.highMm ? 0 : 1
  // Quarter turns of the box that the picture itself is already turned by, so that what is up stays up where it can.
  const own = Math.round(box.turn / (Math.PI / 2))
  const least = (own - lies) % 2 === 0 ? own : own + 1
  const turns = (((least + picture.blue.turned) % 4) + 4) % 4
  const onFace = (px: Point): Point => {
    let [u, v] = inBox(px)
    for (let n = 0; n < turns; n++) [u, v] = [1 - v, u]
    return [face.leftMm + u * face.wideMm, face.bottomMm + v * face.highMm]
  }
  const faceMm2 = face.wideMm * face.highMm
  return {
    outlineMm: edge.map(onFace),
    patches: picture.blue.patches.map(({ atPx, edgePx, sharePct }) => {
      if (edgePx.length > 2) return { edgeMm: edgePx.map(onFace), sharePct }
      const [x, y] = onFace(atPx)
      const r = Math.sqrt(((sharePct / 100) * faceMm2) / Math.PI)
      const edgeMm = Array.from({ length: ROUND_SIDES }, (_, n): Point => {
        const angle = (2 * Math.PI * n) / ROUND_SIDES
        return [x + r * Math.cos(angle), y + r * Math.sin(angle)]
      })
      return { edgeMm, sharePct }
    }),
  }
}
