import '../quantity/zod-config'
import { z } from 'zod'
import { visible } from './text'

/** What was typed, and the value in the unit that the field says; null where it was not understood or is empty. */
export const storedReading = z.strictObject({
  typed: z.string().overwrite(visible).max(60, { error: 'at most 60 letters' }),
  value: z.number().min(-1e12).max(1e12).nullable(),
})
export type StoredReading = z.output<typeof storedReading>
