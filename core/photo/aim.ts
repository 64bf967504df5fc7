import { findCard, type FoundLeaf } from './card/find'
import { cardLeaf } from './card/layout'
import { quantile, sample, type Grey } from './grey'
import { mapped } from './plane'
import type { Point } from './point'

/** What a frame of the camera shows while aiming. */
export interface Aim {
  /** Corners of the card in the frame; null where none is in sight. */
  cornersPx: Point[] | null
  tiltDeg: number | null
  /** How wide its edges are, from a fifth to four fifths of their rise; a sharp one is under two px. */
  edgePx: number | null
  ready: boolean
  /** What to do, in a few words. */
  says: string
}

/** Judgement: past these a picture measures less well than it could. */
const MOST_TILT_DEG = 30
const MOST_EDGE_PX = 3
const EDGES = 24
/** How far across an edge is looked, px either way. */
const REACH_PX = 7
const SAMPLES = 57

/** How wide the edge is at which a dark piece begins, looked at across it, px; null where it does not rise alone. */
function edgeWidth(grey: Grey, at: Point, [dx, dy]: Point): number | null {
  const profile = Array.from({ length: SAMPLES }, (_, n) => {
    const off = -REACH_PX + (2 * REACH_PX * n) / (SAMPLES - 1)
    return sample(grey, at[0] + dx * off, at[1] + dy * off)
  })
  const [first, last] = [profile[0]!, profile.at(-1)!]
  if (Math.abs(last - first) < 40) return null
  const share = profile.map(value => (value - first) / (last - first))
  const crossed = (level: number) => share.findIndex(value => value >= level)
  const [low, high] = [crossed(0.2), crossed(0.8)]
  return low < 0 || high <= low ? null : ((high - low) * 2 * REACH_PX) / (SAMPLES - 1)
}

/** The middle width of the leaf's own edges, those of its larger dark pieces. */
function sharpness(grey: Grey, { card, leaf, toPx }: FoundLeaf): number | null {
  const dark = cardLeaf(card, leaf)
    .dark.toSorted((a, b) => b.wideMm * b.highMm - a.wideMm * a.highMm)
    .slice(0, EDGES)
  const widths = dark.flatMap(({ xMm, yMm, wideMm, highMm }) => {
    const [at, within] = [mapped(toPx, [xMm, yMm + highMm / 2]), mapped(toPx, [xMm + wideMm / 2, yMm + highMm / 2])]
    if (!at || !within) return []
    const long = Math.hypot(within[0] - at[0], within[1] - at[1])
    if (long < 2) return []
    return edgeWidth(grey, at, [(within[0] - at[0]) / long, (within[1] - at[1]) / long]) ?? []
  })
  return widths.length >= 4 ? quantile(widths, 0.5) : null
}

/**
 * Whether a frame with the scale card in it is worth taking: in sight, square enough, sharp enough; and if not, what to
 * do.
 */
export function aimed(grey: Grey): Aim {
  const look = findCard(grey)
  if ('why' in look) {
    const none = look.why.startsWith('no code')
    return {
      cornersPx: null,
      tiltDeg: null,
      edgePx: null,
      ready: false,
      says: none ? 'no card in sight: lay it beside the break, in the same plane' : look.why,
    }
  }
  const leaf = look.found[0]!
  const edgePx = sharpness(grey, leaf)
  const seen = { cornersPx: leaf.cornersPx, tiltDeg: leaf.tiltDeg, edgePx }
  if (leaf.tiltDeg > MOST_TILT_DEG)
    return { ...seen, ready: false, says: `hold it squarer: ${Math.round(leaf.tiltDeg)}° off` }
  if (edgePx !== null && edgePx > MOST_EDGE_PX) return { ...seen, ready: false, says: 'not sharp: hold still' }
  return { ...seen, ready: true, says: 'sharp and square' }
}
