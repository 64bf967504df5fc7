import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `job.quote` answers. */
export const jobQuote = z.strictObject({
  labour: plain,
  materials: plain,
  total: plain,
  ofNewPct: of.pct.optional(),
  lines: z.array(
    z.strictObject({
      name: z.string(),
      kind: z.enum(['labour', 'material']),
      quantity: plain,
      unit: z.string(),
      price: plain,
    }),
  ),
})

const learnt = z.strictObject({
  by: z.enum(['process', 'filler', 'family', 'soak', 'all', 'mend']),
  value: z.string(),
  timeRatio: z.strictObject({ jobs: plain, ratio: plain, low: plain.nullable(), high: plain.nullable() }).nullable(),
  jobs: plain,
  successes: plain,
  ratePct: of.pct,
  lowPct: of.pct,
  highPct: of.pct,
})

/** What `log.learn` answers. */
export const logLearn = z.strictObject({ all: learnt.nullable(), groups: z.array(learnt) })
