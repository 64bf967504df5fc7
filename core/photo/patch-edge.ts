import { contours } from 'd3-contour'
import { thinRing } from './outline'
import type { Point } from './point'

/** A patch's edge is kept to this share of its width, and to a pixel at least. */
const WITHIN_SHARE = 0.02
export const MOST_EDGE_POINTS = 60

const ringArea = (ring: readonly Point[]) =>
  Math.abs(ring.slice(1).reduce((sum, [u, v], n) => sum + ring[n]![0] * v - u * ring[n]![1], 0)) / 2

/**
 * Round each part of a mask, px: the outermost of its rings by marching squares, thinned. In the order asked for; its
 * first point is not repeated.
 * @param labels the part that each point of the picture belongs to, from 1
 */
export function patchEdges(labels: Int32Array, wide: number, asked: readonly number[]): Point[][] {
  const boxes = new Map(asked.map(label => [label, { left: wide, right: -1, top: Infinity, bottom: -1 }]))
  for (let i = 0; i < labels.length; i++) {
    const box = labels[i]! > 0 ? boxes.get(labels[i]!) : undefined
    if (!box) continue
    const x = i % wide
    const y = (i - x) / wide
    if (x < box.left) box.left = x
    if (x > box.right) box.right = x
    if (y < box.top) box.top = y
    if (y > box.bottom) box.bottom = y
  }
  return asked.map(label => {
    const { left, right, top, bottom } = boxes.get(label)!
    // A rim of nothing round it, so that every ring closes.
    const [across, down] = [right - left + 3, bottom - top + 3]
    const own = new Float64Array(across * down)
    for (let y = top; y <= bottom; y++)
      for (let x = left; x <= right; x++)
        if (labels[y * wide + x] === label) own[(y - top + 1) * across + x - left + 1] = 1
    const [shape] = contours().size([across, down]).thresholds([0.5])(Array.from(own))
    const rings = shape!.coordinates.map(([outer]) => outer as [number, number][])
    const outer = rings.reduce<Point[]>((best, ring) => (ringArea(ring) > ringArea(best) ? ring : best), [])
    const edge = outer.slice(0, -1).map(([x, y]): Point => [x + left - 1, y + top - 1])
    let within = Math.max(1, WITHIN_SHARE * Math.max(across, down))
    let thin = thinRing(edge, within)
    while (thin.length > MOST_EDGE_POINTS) thin = thinRing(edge, (within *= 1.5))
    return thin
  })
}
