/** A scale card on a mottled bench, flat or bent, some of it covered. */
import type { Scene } from '../camera.fixture'
import { grain } from '../lines.fixture'
import { cardLeaf, type CardId } from './layout'

const PER_MM = 10

export interface LaidCard {
  card: CardId
  leaf?: string
  /** Covered from the left, as a share of its width. */
  covered?: number
  /** Bent about an axis across it: the radius, mm, the camera far off. */
  bentMm?: number
  seed?: number
}

export function cardScene({ card, leaf = 'A', covered = 0, bentMm = Infinity, seed = 1 }: LaidCard): Scene {
  const { wideMm, highMm, dark } = cardLeaf(card, leaf)
  const wide = Math.round(wideMm * PER_MM)
  const drawn = new Uint8Array(wide * Math.round(highMm * PER_MM))
  for (const rect of dark)
    for (let y = Math.round(rect.yMm * PER_MM); y < Math.round((rect.yMm + rect.highMm) * PER_MM); y++)
      drawn.fill(1, y * wide + Math.round(rect.xMm * PER_MM), y * wide + Math.round((rect.xMm + rect.wideMm) * PER_MM))
  const bench = grain(seed)
  return (x, y) => {
    const tone = 0.3 + 0.2 * bench(x * 0.4, y * 0.4)
    const off = x - wideMm / 2
    const at =
      wideMm / 2 + (Number.isFinite(bentMm) ? bentMm * Math.asin(Math.max(-1, Math.min(1, off / bentMm))) : off)
    if (at < 0 || y < 0 || at >= wideMm || y >= highMm) return [tone, tone, tone * 0.95]
    if (at < covered * wideMm) return [0.62, 0.48, 0.42]
    const paper = drawn[Math.floor(y * PER_MM) * wide + Math.floor(at * PER_MM)] ? 0.07 : 0.86
    return [paper, paper, paper]
  }
}
