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

/**
 * Lays the passes of one side in layers from the root up, in the order they are run: root, then each layer from one flank to the other.
 * Every bead takes an equal share of the section (cap included); layer heights come from the groove's own area.
 */
export function layBeads(shape: GrooveShape, capAreaMm2: number, capMm: number, passes: number): Bead[] {
  const grooveArea = areaBelowMm2(shape, shape.depthMm)
  const total = grooveArea + capAreaMm2
  const each = total / passes
  const nominalHeight = Math.sqrt(each / BEAD_ASPECT)
  const layers: number[] = []
  let laid = 0
  while (laid < passes) {
    const reached = heightOfAreaMm(shape, Math.min(grooveArea, laid * each))
    const width = 2 * halfWidthMm(shape, Math.min(shape.depthMm, reached + nominalHeight / 2))
    const wanted = Math.max(1, Math.round(width / (nominalHeight * BEAD_ASPECT)))
    const count = Math.min(wanted, passes - laid)
    layers.push(count)
    laid += count
  }
  const beads: Bead[] = []
  let pass = 0
  let bottom = 0
  layers.forEach((count, layer) => {
    const areaAbove = (pass + count) * each
    const last = layer === layers.length - 1
    const top = last ? shape.depthMm + capMm * 0.8 : heightOfAreaMm(shape, Math.min(grooveArea, areaAbove))
    const middle = (bottom + top) / 2
    const half = Math.max(halfWidthMm(shape, Math.min(shape.depthMm, middle)), each / Math.max(1e-9, top - bottom) / 2.2)
    const beadHalf = half / count
    for (let index = 0; index < count; index++) {
      pass += 1
      // The middle bead of a top layer of three closes between the two at the flanks.
      const slot = count === 3 ? [0, 2, 1][index]! : index
      beads.push({
        pass, layer, xMm: -half + beadHalf * (2 * slot + 1), heightMm: middle,
        halfWidthMm: beadHalf * (count > 1 ? 1.15 : 1), halfHeightMm: (top - bottom) / 2 * 1.08,
      })
    }
    bottom = top
  })
  return beads
}
