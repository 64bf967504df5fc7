/**
 * What of some plain data is not as it was last told: null where nothing is, else a value that takes its place, or the
 * parts in which there are news, by their keys. `keys` are all those there are now, or the length of a list.
 */
export type News =
  | null
  | { readonly whole: unknown }
  | { readonly parts: Readonly<Record<string, Exclude<News, null>>>; readonly keys: readonly string[] | number }

type Plain = Record<string, unknown>

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !ArrayBuffer.isView(value)

const bytesOf = (view: ArrayBufferView) => new Uint8Array(view.buffer, view.byteOffset, view.byteLength)

function sameBytes(a: ArrayBufferView, b: unknown): boolean {
  if (!ArrayBuffer.isView(b) || a.constructor !== b.constructor || a.byteLength !== b.byteLength) return false
  const [one, other] = [bytesOf(a), bytesOf(b)]
  return one.every((byte, n) => byte === other[n])
}

/** What is new in `after`: plain data, lists and typed arrays only. Both stay as they are. */
export function news(before: unknown, after: unknown): News {
  if (Object.is(before, after)) return null
  if (ArrayBuffer.isView(after) && sameBytes(after, before)) return null
  if (!isPlain(before) || !isPlain(after) || Array.isArray(before) !== Array.isArray(after)) return { whole: after }
  const keys = Object.keys(after)
  const parts: Record<string, Exclude<News, null>> = {}
  for (const key of keys) {
    const found = Object.hasOwn(before, key) ? news(before[key], after[key]) : { whole: after[key] }
    if (found) parts[key] = found
  }
  const gone = Object.keys(before).some(key => !Object.hasOwn(after, key))
  return gone || Object.keys(parts).length ? { parts, keys: Array.isArray(after) ? after.length : keys } : null
}

/**
 * The data with its news taken in. What is as it was is the very same object, so that nothing on a page that shows it
 * is drawn anew.
 */
export function withNews(before: unknown, told: News): unknown {
  if (!told) return before
  if ('whole' in told) return told.whole
  const was = before as Plain
  const at = (key: string) => (Object.hasOwn(told.parts, key) ? withNews(was[key], told.parts[key]!) : was[key])
  return typeof told.keys === 'number'
    ? Array.from({ length: told.keys }, (_, n) => at(String(n)))
    : Object.fromEntries(told.keys.map(key => [key, at(key)]))
}
