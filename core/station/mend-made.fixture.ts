import { kindOf, type KindId } from '../mend/registry'
import { newMend } from '../job/new-mend'
import type { StoredMend } from '../job/mend.schema'

/** A mend of a job with these readings, in the unit that their fields are kept in, and these picks. */
export const mendMade = (
  kind: KindId,
  said: Readonly<Record<string, number | string | boolean | string[]>>,
  more: Partial<StoredMend> = {},
): StoredMend => ({
  ...newMend('m', kind),
  readings: Object.fromEntries(
    Object.entries(said).map(([key, value]) => {
      const { unit } = kindOf(kind).fields[key]!
      return [key, typeof value === 'number' && unit ? { typed: `${value} ${unit}`, value } : (value as string)]
    }),
  ),
  ...more,
})
