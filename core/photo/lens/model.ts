import type { Point } from '../point'

/**
 * A lens that bends lines: a point at d from the middle of the picture belongs at d (1 + k1 r² + k2 r⁴), r being its
 * distance as a share of half the diagonal. Source: D. C. Brown, Photogrammetric Engineering 32 (1966) 444, its radial
 * terms.
 */
export interface Lens {
  k1: number
  k2: number
}
export interface Size {
  wide: number
  high: number
}

/** Past these a lens is none of a phone's, and the way back may have no answer. */
export const MOST_K = 0.25

/** Where a point of the picture belongs. */
export function straightened([x, y]: Point, { k1, k2 }: Lens, { wide, high }: Size): [number, number] {
  const [u, v] = [x - wide / 2, y - high / 2]
  const r2 = (u * u + v * v) / ((wide * wide + high * high) / 4)
  const by = 1 + r2 * (k1 + r2 * k2)
  return [wide / 2 + u * by, high / 2 + v * by]
}

const STEPS = 12

/** Where the lens puts a point: the way back, by Newton's steps along the radius. */
export function bent([x, y]: Point, { k1, k2 }: Lens, { wide, high }: Size): [number, number] {
  const half = Math.hypot(wide, high) / 2
  const [u, v] = [x - wide / 2, y - high / 2]
  const wanted = Math.hypot(u, v) / half
  if (wanted === 0) return [x, y]
  let r = wanted
  for (let n = 0; n < STEPS; n++) {
    const r2 = r * r
    const slope = 1 + r2 * (3 * k1 + 5 * k2 * r2)
    if (slope < 0.2) break
    r -= (r * (1 + r2 * (k1 + r2 * k2)) - wanted) / slope
  }
  return [wide / 2 + (u * r) / wanted, high / 2 + (v * r) / wanted]
}
