import { z } from 'zod'
import { of, plain } from '../../ask/output'

const choice = z.strictObject({
  about: z.enum(['mend', 'process', 'filler', 'way', 'warmth', 'order', 'finish', 'supplied']),
  of: z.string().optional(),
  took: z.string(),
})

/** What `job.ways` answers; an input is what `job.plan` takes. */
export const jobWaysAnswer = z.strictObject({
  ways: z.array(
    z.strictObject({
      choices: z.array(choice),
      price: plain,
      elapsedMin: of.min,
      handMin: of.min,
      chancePct: of.pct,
      input: z.record(z.string(), z.unknown()),
    }),
  ),
  now: plain.nullable(),
  looked: plain,
  all: z.boolean(),
})
