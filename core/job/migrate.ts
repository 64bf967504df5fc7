import { isPlain } from './entry-key'

/** Lists whose entries had no id before they were merged entry by entry, and the letter that such ids begin with. */
const UNNAMED = [{ section: 'handOver', list: 'other', letter: 'x' }, { section: 'rebuild', list: 'holes', letter: 'h' }] as const

const withIds = (list: readonly unknown[], letter: string) => list.map((entry, n) => isPlain(entry) && !('id' in entry) ? { id: `${letter}${n + 1}`, ...entry } : entry)

/**
 * A job of an earlier shape as this version reads it; what is not a job is left as it is. The same job always comes to the same, on whichever bench.
 */
export function upToDate(job: unknown): unknown {
  if (!isPlain(job)) return job
  return UNNAMED.reduce<Record<string, unknown>>((found, { section, list, letter }) => {
    const part = found[section]
    return isPlain(part) && Array.isArray(part[list]) ? { ...found, [section]: { ...part, [list]: withIds(part[list], letter) } } : found
  }, job)
}
