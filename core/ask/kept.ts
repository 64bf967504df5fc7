import { NoAnswer } from './question'

/** One thing that was worked out: in which room, for what, and what came of it or why nothing did. */
export interface Kept {
  room: string
  key: string
  found: { value: unknown } | { refused: string }
}

const rooms = new Map<string, Map<string, Kept>>()
let listener: ((kept: Kept) => void) | null = null

function put(kept: Kept, most: number) {
  const room = rooms.get(kept.room) ?? new Map<string, Kept>()
  rooms.set(kept.room, room)
  room.delete(kept.key)
  if (room.size >= most) room.delete(room.keys().next().value!)
  room.set(kept.key, kept)
}

/**
 * The same work, done once for the same ask and remembered, the latest `most` of them: for what takes long and is asked
 * at every key stroke. Pure work over plain data only; a refusal is remembered too.
 * @param room its name, no two alike
 * @throws what the work throws
 */
export function keptBy<Ask, Found>(room: string, most: number, work: (ask: Ask) => Found): (ask: Ask) => Found {
  return ask => {
    const key = JSON.stringify(ask)
    let kept = rooms.get(room)?.get(key)
    if (!kept) {
      kept = { room, key, found: attempt(() => work(ask)) }
      listener?.(kept)
    }
    put(kept, most)
    if ('refused' in kept.found) throw new NoAnswer(kept.found.refused)
    return kept.found.value as Found
  }
}
function attempt(work: () => unknown): Kept['found'] {
  try {
    return { value: work() }
  } catch (error) {
    if (error instanceof NoAnswer) return { refused: error.message }
    throw error
  }
}

/** Most that is taken back into one room at once. */
const MOST_RECALLED = 200

/** Takes back what was worked out before, by this same version of the core. */
export function recall(known: readonly Kept[]) {
  for (const kept of known) put(kept, MOST_RECALLED)
}

/** Tells of all that is worked out from now on and kept. */
export function onKept(tell: (kept: Kept) => void) {
  listener = tell
}
