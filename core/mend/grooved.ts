import { capAreaMm2, grooveSection } from '../groove/section'
import type { Laid } from './kind'

export interface GroovedInput {
  sides: 1 | 2
  includedDeg: number
  rootRadiusMm: number
  landMm: number
  capMm: number
  wallMm: number
  runMm: number
}

/**
 * Metal of a round-bottomed groove from one side or both, under its cap, along a run: the closed forms of
 * `groove/section.ts`. `refused` is the code `no-groove` where the root face leaves nothing to cut.
 */
export function grooved({ sides, includedDeg, rootRadiusMm, landMm, capMm, wallMm, runMm }: GroovedInput): {
  laid: Laid[]
  removedMm3: number
  refused: 'no-groove' | null
} {
  const depthMm = (wallMm - landMm) / sides
  if (depthMm <= 0) return { laid: [], removedMm3: 0, refused: 'no-groove' }
  const { topWidthMm, areaMm2 } = grooveSection({ depthMm, includedDeg, rootRadiusMm })
  const volumeMm3 = (areaMm2 + capAreaMm2(topWidthMm, capMm)) * runMm
  return {
    laid: Array.from({ length: sides }, (_, n) => ({ side: (n + 1) as 1 | 2, volumeMm3, runMm, wideMm: topWidthMm })),
    removedMm3: sides * areaMm2 * runMm,
    refused: null,
  }
}
