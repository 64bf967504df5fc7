import { areaBelowMm2, halfWidthMm, heightOfAreaMm, type GrooveShape } from './section'

/** One bead as drawn: an ellipse about its centre, heights counted from the bottom of the groove. */
export interface Bead {
  readonly pass: number
  readonly layer: number
  readonly xMm: number
  readonly heightMm: number
  readonly halfWidthMm: number
  readonly halfHeightMm: number
}

/** A bead lies about this many times wider than high: judgement. */
const BEAD_ASPECT = 1.5
/** Of the cap's crown, the mean height over its width. */
const CAP_MEAN = 2 / 3

/**
 * Beads in each layer, root first: of all ways to cut the section into layers of equal height, the one whose beads come nearest
 * to the usual shape. Beads go to the layers by their areas (largest remainder), at least one to each.
 */
function layerCounts(shape: GrooveShape, capAreaMm2: number, capMm: number, passes: number): number[] {
  const fullHeight = shape.depthMm + CAP_MEAN * capMm
  let best = [passes]
  let bestCost = Infinity
  for (let layers = 1; layers <= Math.min(passes, 40); layers++) {
    const height = fullHeight / layers
    const areas = Array.from({ length: layers }, (_, layer) => {
      const below = (level: number) => areaBelowMm2(shape, Math.min(shape.depthMm, level))
      return below((layer + 1) * height) - below(layer * height) + (layer === layers - 1 ? capAreaMm2 : 0)
    })
    const total = areas.reduce((sum, area) => sum + area, 0)
    const ideal = areas.map(area => area / total * passes)
    const counts = ideal.map(share => Math.max(1, Math.floor(share)))
    let left = passes - counts.reduce((sum, n) => sum + n, 0)
    if (left < 0) continue
    const byRemainder = ideal.map((share, layer) => ({ layer, rest: share - counts[layer]! })).sort((a, b) => b.rest - a.rest)
    for (const { layer } of byRemainder) if (left > 0) { counts[layer]! += 1; left -= 1 }
    const cost = counts.reduce((sum, n, layer) => {
      const width = 2 * halfWidthMm(shape, Math.min(shape.depthMm, (layer + 0.5) * height))
      return sum + n * Math.abs(Math.log(width / n / height / BEAD_ASPECT))
    }, 0)
    if (cost < bestCost) { bestCost = cost; best = counts }
  }
  return best
}

/** Order within a layer: the flanks first, each from one side, the middle last, where it closes between the two. */
const slotsInOrder = (count: number) => count === 3 ? [0, 2, 1] : Array.from({ length: count }, (_, index) => index)

/**
 * Lays the passes of one side in layers from the root up, in the order they are run.
 * Every bead takes an equal share of the section (cap included); the layers' heights come from the groove's own area.
 */
export function layBeads(shape: GrooveShape, capAreaMm2: number, capMm: number, passes: number): Bead[] {
  const grooveArea = areaBelowMm2(shape, shape.depthMm)
  const each = (grooveArea + capAreaMm2) / passes
  const counts = layerCounts(shape, capAreaMm2, capMm, passes)
  const beads: Bead[] = []
  let bottom = 0
  counts.forEach((count, layer) => {
    const last = layer === counts.length - 1
    const top = last ? shape.depthMm + capMm * CAP_MEAN : heightOfAreaMm(shape, Math.min(grooveArea, (beads.length + count) * each))
    const middle = (bottom + top) / 2
    const half = halfWidthMm(shape, Math.min(shape.depthMm, middle))
    const beadHalf = half / count
    for (const slot of slotsInOrder(count)) {
      beads.push({
        pass: beads.length + 1, layer, xMm: -half + beadHalf * (2 * slot + 1), heightMm: middle,
        halfWidthMm: beadHalf * (count > 1 ? 1.12 : 1), halfHeightMm: (top - bottom) / 2 * 1.08,
      })
    }
    bottom = top
  })
  return beads
}
