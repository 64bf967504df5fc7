import { kindOf } from '../mend/registry'
import type { StoredMend } from './mend.schema'

/** What files up to version six remembered of the mends went by this name. */
export const MENDS = 'mends'

/** A job's file holds no longer text of one thing a call rests on. */
const LONGEST = 180

/** Text no longer than a file keeps; a longer one is told apart by a figure made of all of it (FNV-1a). */
export function kept(text: string): string {
  if (text.length <= LONGEST) return text
  let hash = 0x811c9dc5
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193)
  return `${text.slice(0, LONGEST)}… (${(hash >>> 0).toString(36)})`
}

type MendSaid = Pick<StoredMend, 'name' | 'kind' | 'readings' | 'opened' | 'lays'>

/** Readings that only rebuilding asks, which say nothing of how a mend is opened or laid. */
const onlyRebuilt = (kind: MendSaid['kind'], key: string): boolean => {
  const field = kindOf(kind).fields[key]
  return field?.at === 'rebuild' || field?.ofWay !== undefined
}

/**
 * What the mends of a job rest on, for what a settled station remembers: every reading, but at Open and Weld those that
 * only rebuilding asks. What such a reading changes of the metal laid, a station remembers by what the mends take.
 */
export const mendsBasis = (mends: readonly MendSaid[], station: 'open' | 'weld' | 'rebuild'): string =>
  mends
    .map(
      ({ name, kind, readings, opened, lays }) =>
        `${name || kind}: ${Object.entries(readings)
          .filter(([key]) => station === 'rebuild' || !onlyRebuilt(kind, key))
          .map(
            ([key, held]) => `${key} ${typeof held === 'object' && !Array.isArray(held) ? held.typed : String(held)}`,
          )
          .join(', ')}${opened ? ', open' : ''}${lays.length ? `, ${lays.length} lays` : ''}`,
    )
    .join('; ')
