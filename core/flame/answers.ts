import { z } from 'zod'
import { cautionOut, of } from '../ask/output'

/** What `flame.plan` answers. */
export const flamePlan = z.strictObject({
  cautions: z.array(cautionOut),
  verdict: z.enum(['good', 'refused', 'preheat', 'too-small']),
  reason: z.string(),
  puddleC: of.c,
  fromC: of.c,
  toPuddleS: of.s.nullable(),
  leastSourceW: of.w,
  fuelL: of.l.nullable(),
  curve: z.array(z.strictObject({ s: of.s, c: of.c })),
  steps: z.array(z.string()),
})
