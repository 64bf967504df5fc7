import { isReading } from './entry-key'

const textOf = (value: unknown): string | null =>
  typeof value === 'string' || typeof value === 'number'
    ? String(value)
    : value === null || value === undefined
      ? ''
      : isReading(value)
        ? (value as { typed: string }).typed
        : null

/**
 * Whether a value comes of another by typing on: letters put in, or letters taken out, at one place. Another choice, a
 * tick, an entry more is none.
 */
export function typedOn(before: unknown, after: unknown): boolean {
  const [was, is] = [textOf(before), textOf(after)]
  if (was === null || is === null) return false
  const shorter = Math.min(was.length, is.length)
  let head = 0
  while (head < shorter && was[head] === is[head]) head++
  let tail = 0
  while (tail < shorter - head && was.at(-1 - tail) === is.at(-1 - tail)) tail++
  return head + tail === shorter
}
