import { isPlain } from './entry-key'
import type { StoredMend } from './mend.schema'
import type { StoredReading } from './reading.schema'

/** A file's section as an earlier version wrote it, of which nothing is known but that it is plain. */
export type Plain = Record<string, unknown>

export const isHeldReading = (held: unknown): held is StoredReading => isPlain(held) && typeof held.typed === 'string'
const textOf = (held: unknown) => (isHeldReading(held) ? held.typed : typeof held === 'string' ? held : '').trim()

/** What was said in a section, by the names that a mend has for it; what it began with by itself was said by nobody. */
export const saidOf = (
  section: Plain,
  names: Readonly<Record<string, string>>,
  begun: Readonly<Record<string, string>> = {},
): StoredMend['readings'] =>
  Object.fromEntries(
    Object.entries(names).flatMap(([was, is]) => {
      const held = section[was]
      const text = textOf(held)
      return text === '' || text === begun[was] ? [] : [[is, held as StoredReading | string]]
    }),
  )
