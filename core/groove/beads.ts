import { remembered } from '../ask/remembered'
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

interface Layer {
  readonly count: number
  readonly bottomMm: number
  readonly topMm: number
  readonly halfMm: number
}

/** Layers of given bead counts, their heights from the section's own area, every bead an equal share of it. */
function layersOf(counts: readonly number[], shape: GrooveShape, capAreaMm2: number, capMm: number): Layer[] {
  const grooveArea = areaBelowMm2(shape, shape.depthMm)
  const each = (grooveArea + capAreaMm2) / counts.reduce((sum, n) => sum + n, 0)
  let laid = 0
  let bottomMm = 0
  return counts.map((count, layer) => {
    laid += count
    const last = layer === counts.length - 1
    const topMm = last ? shape.depthMm + capMm * CAP_MEAN : heightOfAreaMm(shape, Math.min(grooveArea, laid * each))
    const made = { count, bottomMm, topMm, halfMm: halfWidthMm(shape, Math.min(shape.depthMm, (bottomMm + topMm) / 2)) }
    bottomMm = topMm
    return made
  })
}

/** How far a set of layers is from beads of the usual shape: the mean of |ln(aspect ÷ usual)| over the beads. */
function misfit(layers: readonly Layer[]): number {
  const beads = layers.reduce((sum, layer) => sum + layer.count, 0)
  return (
    layers.reduce(
      (sum, { count, bottomMm, topMm, halfMm }) =>
        sum + count * Math.abs(Math.log((2 * halfMm) / count / Math.max(1e-6, topMm - bottomMm) / BEAD_ASPECT)),
      0,
    ) / beads
  )
}

/** Bead counts that rise evenly from a first layer; what is left over goes one each to the topmost layers. */
function rising(passes: number, first: number, step: number): number[] {
  const counts: number[] = []
  let left = passes
  for (let layer = 0; left > 0; layer++) {
    const wanted = Math.max(1, Math.round(first + layer * step))
    if (wanted > left) break
    counts.push(wanted)
    left -= wanted
  }
  for (let layer = counts.length - 1; left > 0; layer = layer > 0 ? layer - 1 : counts.length - 1) {
    counts[layer]! += 1
    left -= 1
  }
  return counts
}

const FIRST_LAYERS = [1, 2, 3, 4, 6, 8]
const STEPS = [0, 0.25, 0.5, 0.75, 1, 1.5, 2]

interface LayersAsk {
  shape: GrooveShape
  capAreaMm2: number
  capMm: number
  passes: number
}

/**
 * Bead counts for the layers, root first: of all that rise evenly, those whose beads come nearest to the usual shape.
 */
const layerCounts = remembered(200, ({ shape, capAreaMm2, capMm, passes }: LayersAsk): readonly number[] => {
  const candidates = FIRST_LAYERS.filter(first => first <= passes).flatMap(first =>
    STEPS.map(step => rising(passes, first, step)),
  )
  const fit = (counts: readonly number[]) => misfit(layersOf(counts, shape, capAreaMm2, capMm))
  return candidates.reduce((best, counts) => (fit(counts) < fit(best) ? counts : best))
})

/** Order within a layer: the flanks first, each from one side, the middle last, where it closes between the two. */
const slotsInOrder = (count: number) => (count === 3 ? [0, 2, 1] : Array.from({ length: count }, (_, index) => index))

/**
 * Lays the passes of one side in layers from the root up, in the order they are run.
 * Every bead takes an equal share of the section (cap included); the layers' heights come from the groove's own area.
 */
export function layBeads(shape: GrooveShape, capAreaMm2: number, capMm: number, passes: number): Bead[] {
  const layers = layersOf(layerCounts({ shape, capAreaMm2, capMm, passes }), shape, capAreaMm2, capMm)
  const beads: Bead[] = []
  layers.forEach(({ count, bottomMm, topMm, halfMm }, layer) => {
    const beadHalf = halfMm / count
    for (const slot of slotsInOrder(count)) {
      beads.push({
        pass: beads.length + 1,
        layer,
        xMm: -halfMm + beadHalf * (2 * slot + 1),
        heightMm: (bottomMm + topMm) / 2,
        halfWidthMm: beadHalf * (count > 1 ? 1.12 : 1),
        halfHeightMm: ((topMm - bottomMm) / 2) * 1.08,
      })
    }
  })
  return beads
}
