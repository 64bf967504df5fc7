import { z } from 'zod'
import { of, plain } from '../ask/output'

const triple = z.tuple([of.mm, of.mm, of.mm])
const forces = z.tuple([of.n, of.n, of.n])
const stresses = z.tuple([of.mPa, of.mPa, of.mPa])

/** What `hold.simulate` answers. */
export const holdSimulate = z.strictObject({
  movedMm: z.array(triple),
  vonMisesMPa: z.array(of.mPa),
  principalMPa: z.array(stresses),
  reactionN: forces,
  by: z.array(z.strictObject({ zone: z.string(), peakMPa: of.mPa, atMm: triple, yieldMPa: of.mPa, factor: plain })),
  weakest: z.string(),
  life: z
    .array(
      z.strictObject({
        zone: z.string(),
        rangeMPa: of.mPa,
        category: plain,
        cycles: plain,
        lowCycles: plain,
        highCycles: plain,
      }),
    )
    .optional(),
  cells: plain,
  wallMs: of.ms,
  imbalancePct: of.pct,
})
