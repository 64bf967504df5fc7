import { z } from 'zod'
import { of, plain } from '../ask/output'
import { PROCESS_IDS } from '../process/registry'

/** What `filler.choose` answers. */
export const fillerChoose = z.strictObject({
  ranked: z.array(
    z.strictObject({
      filler: z.string(),
      verdict: z.enum(['never', 'first', 'works', 'avoid']),
      reasons: z.array(z.string()),
      crackIndex: plain,
      crackRating: z.enum(['low', 'high', 'moderate', 'severe']),
      uts_MPa: of.mPa,
      score: plain,
    }),
  ),
})

/** What `process.choose` answers. */
export const processChoose = z.strictObject({
  ranked: z.array(
    z.strictObject({
      process: z.enum(PROCESS_IDS),
      name: z.string(),
      verdict: z.enum(['never', 'first', 'works', 'avoid']),
      score: plain,
      reasons: z.array(z.string()),
      codes: z.array(z.string()),
      minutes: of.min,
      inKit: z.boolean(),
      needsPreheat: z.boolean(),
      preheat: z.strictObject({ toC: of.c, minutes: of.min }).nullable(),
    }),
  ),
})

/** What `repair.judge` answers. */
export const repairJudge = z.strictObject({
  verdict: z.enum(['repair', 'repair-with-limits', 'refer', 'decline']),
  chancePct: of.pct,
  parts: z.array(z.strictObject({ reason: z.string(), effect: plain })),
  because: z.string(),
  limits: z.array(z.string()),
})
