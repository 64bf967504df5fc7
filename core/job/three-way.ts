import { isPlain, isReading, keyed } from './entry-key'
import { same } from './same'

/**
 * A value as it was changed here, with what was changed elsewhere since: `before` is what this change began from,
 * `stored` what it finds, `value` what it makes of it. Lists go entry by entry, and entries field by field: what either
 * put in is there, what either took out stays out unless the other changed it here. A single value is as it was changed
 * here.
 */
export function threeWay(before: unknown, stored: unknown, value: unknown): unknown {
  if (same(before, value)) return stored
  if (same(before, stored)) return value
  if (Array.isArray(stored) && Array.isArray(value)) return lists(Array.isArray(before) ? before : [], stored, value)
  if (isPlain(stored) && isPlain(value) && isPlain(before) && !isReading(value)) {
    const keys = new Set([...Object.keys(stored), ...Object.keys(value)])
    return Object.fromEntries(
      [...keys]
        .map(key => [key, threeWay(before[key], stored[key], value[key])] as const)
        .filter(([, each]) => each !== undefined),
    )
  }
  return value
}

function lists(before: readonly unknown[], stored: readonly unknown[], value: readonly unknown[]): unknown[] {
  const [began, found, mine] = [keyed(before), keyed(stored), keyed(value)]
  if (!began || !found || !mine) {
    const alike =
      before.length === stored.length && before.length === value.length && value.every(entry => isPlain(entry))
    return alike ? value.map((entry, n) => threeWay(before[n], stored[n], entry)) : [...value]
  }
  const kept = [...mine].flatMap(([key, entry]) => {
    if (found.has(key)) return [began.has(key) ? threeWay(began.get(key), found.get(key), entry) : entry]
    // Taken out elsewhere and left alone here: it is gone.
    return began.has(key) && same(began.get(key), entry) ? [] : [entry]
  })
  return [...kept, ...[...found].filter(([key]) => !began.has(key) && !mine.has(key)).map(([, entry]) => entry)]
}
