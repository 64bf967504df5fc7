import type { Kit } from '#core/job/job.schema'
import { writePatches, type MadePatch } from './shelf'
import { ofShop } from './which-shop'

/**
 * What was changed and is not stored yet, written at the very keystroke, without waiting: a page that is left at once
 * loses nothing.
 * Each tab has its own; what one left behind is put on the stored jobs when the bench is opened next.
 */
export interface Entry extends MadePatch {
  readonly jobId: string
  readonly at: string
}

const PREFIX = `${ofShop('ws-journal')}:`
const KIT = ofShop('ws-journal-kit')
const TAB = `${PREFIX}${crypto.randomUUID()}`

/** Writes what is still waiting; nothing waiting takes the journal away. @returns whether the browser took it */
export function journal(entries: readonly Entry[]): boolean {
  try {
    if (entries.length) localStorage.setItem(TAB, JSON.stringify(entries))
    else localStorage.removeItem(TAB)
    return true
  } catch {
    return false
  }
}

export function journalKit(kit: Kit | null): boolean {
  try {
    if (kit) localStorage.setItem(KIT, JSON.stringify(kit))
    else localStorage.removeItem(KIT)
    return true
  } catch {
    return false
  }
}

function entriesIn(text: string | null): Entry[] {
  try {
    const found: unknown = JSON.parse(text ?? '[]')
    return Array.isArray(found)
      ? found.filter(
          (entry): entry is Entry =>
            typeof entry?.jobId === 'string' && Array.isArray(entry.path) && typeof entry.at === 'string',
        )
      : []
  } catch {
    return []
  }
}

/**
 * Stores what tabs left behind when they were closed in the middle of it. What cannot be stored now stays for the next
 * time.
 */
export async function replayJournals(): Promise<void> {
  const keys = Array.from({ length: localStorage.length ?? 0 }, (_, n) => localStorage.key(n)!).filter(
    key => key.startsWith(PREFIX) && key !== TAB,
  )
  for (const key of keys) {
    const entries = entriesIn(localStorage.getItem(key))
    try {
      for (const jobId of new Set(entries.map(entry => entry.jobId))) {
        const mine = entries.filter(entry => entry.jobId === jobId)
        await writePatches(jobId, mine, mine.at(-1)!.at, true)
      }
      localStorage.removeItem(key)
    } catch {
      /* It stays where it is, and is tried again at the next start. */
    }
  }
}

/** The kit as a tab left it, not stored yet; null where there is none. */
export function kitLeftBehind(): unknown {
  try {
    return JSON.parse(localStorage.getItem(KIT) ?? 'null')
  } catch {
    return null
  }
}
