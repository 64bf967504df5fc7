import { z } from 'zod'
import { of, placeMm, plain } from '../ask/output'

/** What `warp.bead` answers. */
export const warpBead = z.strictObject({
  tendonN: of.n,
  acrossMm: of.mm,
  angularDeg: of.deg,
  strainAlong: plain,
  strainAcross: plain,
  widthMm: of.mm,
  depthMm: of.mm,
})

const watched = z.array(
  z.union([
    z.strictObject({
      kind: z.literal('face'),
      minimumZoneMm: of.mm,
      shape: z.enum(['flat', 'crowned', 'dished', 'twisted', 'bent']),
      atMm: z.array(placeMm),
      heightsMm: z.array(of.mm),
    }),
    z.strictObject({ kind: z.literal('point'), movedMm: z.tuple([of.mm, of.mm, of.mm]) }),
    z.strictObject({ kind: z.literal('bore'), ovalMm: of.mm, shiftMm: of.mm }),
    z.strictObject({ kind: z.literal('holes'), largestMissMm: of.mm }),
  ]),
)

/** What `warp.simulate` answers: what is watched at the end, and after each bead. */
export const warpSimulate = z.strictObject({
  watched,
  byBead: z.array(
    z.strictObject({
      id: z.string(),
      watched,
      meanMPa: of.mPa,
      held: watched.optional(),
      heldMeanMPa: of.mPa.optional(),
    }),
  ),
  peakMPa: of.mPa,
  overYieldPct: of.pct,
  cells: plain,
  solves: plain,
  wallMs: of.ms,
})
