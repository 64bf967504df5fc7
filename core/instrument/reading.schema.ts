import '../quantity/zod-config'
import { z } from 'zod'
import { READING_UNITS } from './kinds.table'

/**
 * One reading of an instrument, as a line of a stream or file gives it: when, the how many-th, of what, which channel,
 * how much.
 */
export const readingLineSchema = z.object({
  at: z.iso.datetime({ offset: true, error: 'a moment such as 2026-11-12T09:30:00Z' }),
  n: z.number().int().min(0).max(Number.MAX_SAFE_INTEGER),
  instrument: z.string().trim().min(1).max(60),
  channel: z.string().trim().max(40).default(''),
  value: z.number().min(-1e9).max(1e9),
  unit: z.enum(READING_UNITS, { error: `one of ${READING_UNITS.join(', ')}` }),
})
export type ReadingLine = z.output<typeof readingLineSchema>
