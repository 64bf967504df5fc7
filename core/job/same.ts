/** The same text for the same value, whatever the order of its keys. */
export const textOf = (value: unknown): string =>
  JSON.stringify(value, (_, each: unknown) =>
    each && typeof each === 'object' && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  ) ?? ''

export const same = (a: unknown, b: unknown): boolean => a === b || textOf(a) === textOf(b)
