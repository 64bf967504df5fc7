import { z } from 'zod'
import { of, plain } from '../../ask/output'

/** What `puddle.run` answers. */
export const puddleRun = z.strictObject({
  firstPuddleS: of.s.nullable(),
  times: z.array(of.s),
  widthMm: z.array(of.mm),
  lengthMm: z.array(of.mm),
  depthMm: z.array(of.mm),
  peakC: z.array(of.c),
  powerW: z.array(of.w),
  radiusMm: z.array(of.mm),
  throughS: of.s.nullable(),
  bead: z.array(z.strictObject({ xMm: of.mm, widthMm: of.mm, heightMm: of.mm, depthMm: of.mm })),
  addedG: of.g,
  meltedG: of.g,
  wettedPct: of.pct,
  specks: plain,
  imbalancePct: of.pct,
  marks: z.array(z.strictObject({ code: z.string(), s: of.s, text: z.string() })),
})
