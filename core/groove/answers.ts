import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `groove.plan` answers. */
export const groovePlan = z.strictObject({
  depthMm: of.mm,
  topWidthMm: of.mm,
  areaMm2: of.mm2,
  removedAreaMm2: of.mm2,
  runMm: of.mm,
  volumeMm3: of.mm3,
  removedG: of.g,
  massG: of.g,
  rods: plain,
  passes: plain,
  passesPerSide: plain,
  stopHoles: z.array(z.strictObject({ alongMm: of.mm, diameterMm: of.mm })),
  arcMin: of.min,
  beads: z.array(
    z.strictObject({ pass: plain, layer: plain, xMm: of.mm, heightMm: of.mm, halfWidthMm: of.mm, halfHeightMm: of.mm }),
  ),
})

/** What `groove.buildUp` answers. */
export const grooveBuildUp = groovePlan.extend({ layers: plain, beadsPerLayer: plain })

/** What `plate.reinforce` answers. */
export const plateReinforce = z.strictObject({
  stiffnessRatio: plain,
  strengthRatio: plain,
  axisMovesMm: of.mm,
  coverShare: plain,
})
