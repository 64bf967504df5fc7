import { NoAnswer } from '../ask/question'
import { yieldShareAt } from '../metal/hot-yield.table'
import { mechanicalOf } from '../metal/mechanical.table'
import { cut } from '../solid/mask'
import { beadShrinks } from './bead'
import type { WarpSetup } from './run'
import type { WarpInput } from './schema'

/** Cells past which a run takes minutes here. */
export const MOST_CELLS = 250_000

/** A question as the runner takes it: cells, stiffness, each bead's own strain. @throws NoAnswer for too many cells */
export function warpSetup(input: WarpInput): WarpSetup {
  const { alloy, beads, hold, watch, plastic } = input
  const mask = cut(input.shape, input.cellMm)
  if (mask.count > MOST_CELLS)
    throw new NoAnswer(
      `${mask.count} cells are more than the ${MOST_CELLS} that are pulled about here: take cells of about ${Math.ceil(input.cellMm * Math.cbrt(mask.count / MOST_CELLS) * 10) / 10} mm`,
    )
  const { youngMPa, poisson, proofMPa } = mechanicalOf(alloy)
  const yieldMPa = input.yieldMPa ?? proofMPa
  return {
    mask,
    youngMPa,
    poisson,
    hold,
    watch,
    plastic,
    yieldMPa,
    ...(input.slowC !== undefined && { keptShare: yieldShareAt(alloy, input.slowC) }),
    beads: beads.map(bead => {
      // The zone was given: its heat shrinks that, however wide it would have been by itself.
      const heat = bead.heatJMm
        ? beadShrinks({ alloy, heatJMm: bead.heatJMm, wallMm: bead.depthMm, preheatC: input.preheatC })
        : null
      const area = bead.widthMm * bead.depthMm
      return {
        ...bead,
        yieldMPa: bead.yieldMPa ?? yieldMPa,
        strainAlong: bead.strainAlong ?? -heat!.tendonN / (youngMPa * area),
        strainAcross: bead.strainAcross ?? (-heat!.acrossMm * bead.depthMm) / area,
      }
    }),
  }
}
