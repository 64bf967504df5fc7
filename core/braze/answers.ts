import { z } from 'zod'
import { cautionOut, of } from '../ask/output'

/** What `braze.plan` answers. */
export const brazePlan = z.strictObject({
  cautions: z.array(cautionOut),
  verdict: z.enum(['good', 'tight', 'refused', 'too-cold']),
  reason: z.string(),
  workingC: of.c,
  marginToSolidusC: of.c,
  reaches: z.boolean(),
  timeS: of.s.optional(),
  leastSourceW: of.w,
  coolMin: of.min,
  steps: z.array(z.string()),
})
