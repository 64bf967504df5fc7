import { z } from 'zod'
import { of, plain } from '../../ask/output'

const decision = z.enum(['repair', 'repair-with-limits', 'refer', 'decline'])

/** What `job.matters` answers: a tenth lies below each low figure, a tenth above each high one. */
export const jobMattersAnswer = z.strictObject({
  price: z.strictObject({ low: plain, mid: plain, high: plain }),
  elapsedMin: z.strictObject({ low: of.min, mid: of.min, high: of.min }),
  chancePct: z.strictObject({ low: of.pct, mid: of.pct, high: of.pct }),
  decision: z.array(z.strictObject({ took: decision, pct: of.pct })),
  readings: z.array(
    z.strictObject({ path: z.string(), sharePct: of.pct, turnsPct: of.pct, measureMin: of.min, worth: plain }),
  ),
  drawn: plain,
})
