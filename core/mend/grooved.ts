import { runOfCut, shapeOfCut, type GrooveCut } from '../groove/cut'
import { capAreaMm2, grooveSection } from '../groove/section'
import type { Laid } from './kind'

/**
 * Metal of a round-bottomed groove from one side or both, under its cap, along its run: the closed forms of
 * `groove/section.ts`. `refused` is the code `no-groove` where the root face leaves nothing to cut.
 */
export function grooved(cut: GrooveCut): { laid: Laid[]; removedMm3: number; refused: 'no-groove' | null } {
  const shape = shapeOfCut(cut)
  if (shape.depthMm <= 0) return { laid: [], removedMm3: 0, refused: 'no-groove' }
  const { topWidthMm, areaMm2 } = grooveSection(shape)
  const runMm = runOfCut(cut)
  const volumeMm3 = (areaMm2 + capAreaMm2(topWidthMm, cut.capMm)) * runMm
  return {
    laid: Array.from({ length: cut.sides }, (_, n) => ({
      side: (n + 1) as 1 | 2,
      volumeMm3,
      runMm,
      wideMm: topWidthMm,
    })),
    removedMm3: cut.sides * areaMm2 * runMm,
    refused: null,
  }
}
