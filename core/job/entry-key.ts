/** What a reading is stored as: one thing, never taken apart. */
export const isReading = (value: unknown): boolean =>
  value !== null && typeof value === 'object' && 'typed' in value && 'value' in value

export const isPlain = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value)

/**
 * What an entry of a list is known by, wherever it stands: its id, the code it is of, the moment it began, its place on
 * a face, or itself where it is a word. Undefined where it is known by its place in the list alone.
 */
export function entryKey(entry: unknown): string | undefined {
  if (typeof entry === 'string') return entry
  if (!isPlain(entry)) return undefined
  const { id, code, from, xMm, yMm } = entry
  const known = id ?? code ?? from
  if (typeof known === 'string') return known
  return typeof xMm === 'number' && typeof yMm === 'number' ? `${xMm},${yMm}` : undefined
}

/** The entries of a list by what they are known by; null where they are known by their places, or two share a name. */
export function keyed(list: readonly unknown[]): Map<string, unknown> | null {
  const found = new Map<string, unknown>()
  for (const entry of list) {
    const key = entryKey(entry)
    if (key === undefined || found.has(key)) return null
    found.set(key, entry)
  }
  return found
}
