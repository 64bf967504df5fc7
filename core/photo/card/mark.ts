import { sample, type Grey } from '../grey'
import { mapped, slopes, type Homography } from '../plane'
import type { Point } from '../point'
import type { CardMark } from './layout'

/** Windows in which a mark is refined, px from its middle. */
const WINDOW = { least: 2, most: 12, share: 0.7 }
const ROUNDS = 8
const STILL_PX = 0.005
/** Least difference between light and dark quarters, of 255. */
export const LEAST_CONTRAST = 12

/**
 * The point where two dark squares touch, by the rule that the brightness climbs square to the line to it at every
 * point round it (Förstner and Gülch 1987), weighed by a Gaussian.
 * @returns null where it wanders off
 */
function refine(grey: Grey, start: Point, reach: number): Point | null {
  let [x, y] = start
  const half = Math.ceil(reach)
  for (let round = 0; round < ROUNDS; round++) {
    let [a, b, c, p, q] = [0, 0, 0, 0, 0]
    for (let j = -half; j <= half; j++)
      for (let i = -half; i <= half; i++) {
        const [u, v] = [x + i, y + j]
        const gx = sample(grey, u + 0.5, v) - sample(grey, u - 0.5, v)
        const gy = sample(grey, u, v + 0.5) - sample(grey, u, v - 0.5)
        const weight = Math.exp((-2 * (i * i + j * j)) / (reach * reach))
        a += weight * gx * gx
        b += weight * gx * gy
        c += weight * gy * gy
        p += weight * (gx * gx * i + gx * gy * j)
        q += weight * (gx * gy * i + gy * gy * j)
      }
    const det = a * c - b * b
    if (det < 1e-6 * (a + c) ** 2) return null
    const [dx, dy] = [(p * c - q * b) / det, (q * a - p * b) / det]
    x += dx
    y += dy
    if (Math.hypot(x - start[0], y - start[1]) > reach) return null
    if (Math.hypot(dx, dy) < STILL_PX) break
  }
  return [x, y]
}

/** Mean brightness in a quarter of the mark, seen through the homography moved onto the point. */
function quarter(grey: Grey, h: Homography, mark: CardMark, at: Point, sx: number, sy: number): number {
  const home = mapped(h, mark.atMm)!
  let sum = 0
  for (const i of [0.3, 0.5, 0.7])
    for (const j of [0.3, 0.5, 0.7]) {
      const px = mapped(h, [mark.atMm[0] + sx * i * mark.reachMm, mark.atMm[1] + sy * j * mark.reachMm])
      if (!px) return Number.NaN
      sum += sample(grey, px[0] - home[0] + at[0], px[1] - home[1] + at[1])
    }
  return sum / 9
}

export interface SeenMark {
  mark: CardMark
  px: Point
}

/** A mark looked for where a homography puts it; null where it is hidden, too small or not like a mark. */
export function seeMark(grey: Grey, h: Homography, mark: CardMark): SeenMark | null {
  const home = mapped(h, mark.atMm)
  if (!home) return null
  const [[a, b], [c, d]] = slopes(h, mark.atMm)
  // The lesser singular value: how the mark's reach is seen at its shortest.
  const [sum, diff] = [Math.hypot(a + d, b - c), Math.hypot(a - d, b + c)]
  const reach = WINDOW.share * mark.reachMm * (Math.abs(sum - diff) / 2)
  if (reach < WINDOW.least * 0.7) return null
  const window = Math.min(WINDOW.most, Math.max(WINDOW.least, reach))
  if (!(home[0] > window && home[1] > window && home[0] < grey.wide - window && home[1] < grey.high - window))
    return null
  const px = refine(grey, home, window)
  if (!px) return null
  const quarters = [
    [-1, -1],
    [1, 1],
    [1, -1],
    [-1, 1],
  ].map(([sx, sy]) => quarter(grey, h, mark, px, sx!, sy!))
  const [first, second] = [quarters.slice(0, 2), quarters.slice(2)]
  const [dark, light] = mark.way === 1 ? [first, second] : [second, first]
  return Math.min(...light) - Math.max(...dark) >= LEAST_CONTRAST ? { mark, px } : null
}
