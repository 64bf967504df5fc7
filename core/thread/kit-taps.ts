import { remembered } from '../ask/remembered'
import { findThread } from './find'
import type { BossMethod } from './methods.table'
import type { Thread } from './thread'

/** Taps in the kit, as they are written: designations, and `M8 insert` for the tap of a wire or solid insert. */
export const kitTaps = remembered(20, (text: string): { taps: ReadonlySet<string>; unread: string[] } => {
  const taps = new Set<string>()
  const unread: string[] = []
  for (const entry of text
    .split(/[,;\n]/)
    .map(piece => piece.trim())
    .filter(Boolean)) {
    const insert = /^(.*?)\s*(wire|solid)?\s*inserts?$/i.exec(entry)
    const thread = findThread(insert ? insert[1]! : entry)
    if (!thread) unread.push(entry)
    else if (insert)
      for (const kind of insert[2] ? [insert[2].toLowerCase()] : ['wire', 'solid'])
        taps.add(`${thread.designation} ${kind}`)
    else taps.add(thread.designation)
  }
  return { taps, unread }
})

/**
 * The tap a way of rebuilding needs, in words, and whether the kit has it; null where it needs none, or where no taps
 * are listed at all.
 */
export function tapFor(method: BossMethod, thread: Thread, text: string): { name: string; inKit: boolean } | null {
  if (method === 'cast-on-screw' || text.trim() === '') return null
  const { taps } = kitTaps(text)
  const kind = method === 'wire-insert' ? 'wire' : method === 'solid-insert' ? 'solid' : null
  return {
    name: kind ? `${kind}-insert tap for ${thread.designation}` : `${thread.designation} tap`,
    inKit: taps.has(kind ? `${thread.designation} ${kind}` : thread.designation),
  }
}
