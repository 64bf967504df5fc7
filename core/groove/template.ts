import { areaPathsD, differenceD, FillRule } from 'clipper2-ts'
import Drawing from 'dxf-writer'
import { NoAnswer } from '../ask/question'
import type { Point } from '../photo/point'

/** A figure turned and moved, and mirrored first where asked, on to another: p → R·M·p + t. */
export interface Placing {
  mirror: boolean
  turnDeg: number
  /** Root mean square of what the matched points miss one another by, mm. */
  misfitMm: number
  place: (point: Point) => [number, number]
}

const mean = (points: readonly Point[]): [number, number] =>
  [0, 1].map(axis => points.reduce((sum, point) => sum + point[axis]!, 0) / points.length) as [number, number]

/**
 * The turn and shift, without stretching, that lays points of a sound part on the same points of a broken one as near
 * as can be.
 * Source: Kabsch, Acta Cryst. A32 (1976) 922, in the plane, where it has a closed form. Exact on made figures (tested).
 * @throws NoAnswer for fewer than two pairs, or pairs that all lie on one another
 */
export function layOn(from: readonly Point[], to: readonly Point[], mirror: boolean): Placing {
  const pairs = Math.min(from.length, to.length)
  if (pairs < 2) throw new NoAnswer('two places at least must be marked on both pictures, in the same order')
  const flip = ([x, y]: Point): [number, number] => (mirror ? [-x, y] : [x, y])
  const [a, b] = [from.slice(0, pairs).map(flip), to.slice(0, pairs)]
  const [ma, mb] = [mean(a), mean(b)]
  let [dot, cross] = [0, 0]
  for (let n = 0; n < pairs; n++) {
    const [ax, ay, bx, by] = [a[n]![0] - ma[0], a[n]![1] - ma[1], b[n]![0] - mb[0], b[n]![1] - mb[1]]
    dot += ax * bx + ay * by
    cross += ax * by - ay * bx
  }
  if (Math.hypot(dot, cross) < 1e-9)
    throw new NoAnswer('the marked places lie on one another: mark two that are well apart')
  const turn = Math.atan2(cross, dot)
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const place = (point: Point): [number, number] => {
    const [x, y] = flip(point)
    return [mb[0] + c * (x - ma[0]) - s * (y - ma[1]), mb[1] + s * (x - ma[0]) + c * (y - ma[1])]
  }
  const misfitMm = Math.sqrt(
    from.slice(0, pairs).reduce((sum, point, n) => {
      const [x, y] = place(point)
      return sum + (x - to[n]![0]) ** 2 + (y - to[n]![1]) ** 2
    }, 0) / pairs,
  )
  return { mirror, turnDeg: (turn * 180) / Math.PI, misfitMm, place }
}

/** Decimals of a millimetre kept when outlines are cut from one another; edges that lie together then do so exactly. */
const DECIMALS = 3
/** Slivers smaller than this are the outlines' own edges lying beside one another, mm²: judgement. */
const SLIVER_MM2 = 0.5

/**
 * What the sound outline has and the broken one lacks: its rings (outer ones and holes) and its area, mm². Both
 * outlines close on themselves.
 */
export function missing(
  sound: readonly Point[],
  broken: readonly Point[],
): { rings: [number, number][][]; areaMm2: number } {
  if (sound.length < 3 || broken.length < 3) throw new NoAnswer('an outline needs three points at least')
  const path = (points: readonly Point[]) => points.map(([x, y]) => ({ x, y }))
  const pieces = differenceD([path(sound)], [path(broken)], FillRule.EvenOdd, DECIMALS).filter(
    piece => Math.abs(areaPathsD([piece])) > SLIVER_MM2,
  )
  return {
    rings: pieces.map(ring => ring.map(({ x, y }): [number, number] => [x, y])),
    areaMm2: Math.abs(areaPathsD(pieces)),
  }
}

/**
 * Outlines as a DXF file in millimetres, each on a layer of its own. Pictures count down from their top, drawings up: y
 * is turned round, so that the figure keeps its hand.
 */
export function outlinesDxf(
  outlines: readonly { layer: string; pointsMm: readonly Point[]; closed: boolean }[],
): string {
  const drawing = new Drawing()
  drawing.setUnits('Millimeters')
  for (const { layer, pointsMm, closed } of outlines) {
    // Adding a layer a second time would empty it.
    if (!drawing.layers[layer]) drawing.addLayer(layer, Drawing.ACI.WHITE, 'CONTINUOUS')
    drawing.setActiveLayer(layer)
    drawing.drawPolyline(
      pointsMm.map(([x, y]): [number, number] => [x, -y]),
      closed,
    )
  }
  return drawing.toDxfString()
}
