import type { Kit } from '#core/job/job.schema'
import type { Change } from '#core/job/put-changes'
import { db, type StoredClock } from './database'
import { writeChanges } from './shelf'
import { ofShop } from './which-shop'

/**
 * What was changed and is not stored yet, written at the very keystroke, without waiting: a page that is left at once
 * loses nothing.
 * Each tab has its own; what one left behind is put on the stored jobs when the bench is opened next.
 */
export interface Entry extends Change {
  readonly jobId: string
  readonly at: string
  /** It was tried and refused: so it is not stored. */
  readonly refused?: boolean
}

const PREFIX = `${ofShop('ws-journal')}:`
const KIT = ofShop('ws-journal-kit')
const CLOCKS = `${ofShop('ws-journal-clocks')}:`
const ID = crypto.randomUUID()
const TAB = `${PREFIX}${ID}`
const TAB_CLOCKS = `${CLOCKS}${ID}`

/** Writes what is still waiting; nothing waiting takes it away. @returns whether the browser took it */
function write(key: string, waiting: unknown): boolean {
  try {
    if (waiting) localStorage.setItem(key, JSON.stringify(waiting))
    else localStorage.removeItem(key)
    return true
  } catch {
    return false
  }
}

export const journal = (entries: readonly Entry[]): boolean => write(TAB, entries.length && entries)
export const journalKit = (kit: Kit | null): boolean => write(KIT, kit)
export const journalClocks = (clocks: readonly StoredClock[]): boolean => write(TAB_CLOCKS, clocks.length && clocks)

function listIn<T>(key: string, isOne: (found: Partial<T> | null) => boolean): T[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(key) ?? '[]')
    return Array.isArray(found) ? found.filter((one): one is T => isOne(one)) : []
  } catch {
    return []
  }
}
const isEntry = (found: Partial<Entry> | null) =>
  typeof found?.jobId === 'string' && Array.isArray(found.path) && typeof found.at === 'string'
const isClock = (found: Partial<StoredClock> | null) =>
  typeof found?.id === 'string' &&
  typeof found.name === 'string' &&
  Number.isFinite(found.startedAt) &&
  Number.isFinite(found.endsAt)

const keysOfOthers = (prefix: string, mine: string) =>
  Array.from({ length: localStorage.length ?? 0 }, (_, n) => localStorage.key(n)!).filter(
    key => key.startsWith(prefix) && key !== mine,
  )

/** What belongs to a job that was taken off is kept for it so long, ms: it may be put back. */
const KEPT_FOR_MS = 30 * 86_400_000

/** @returns what is to stay in the journal: what belongs to a job that was taken off */
async function replay(entries: readonly Entry[]): Promise<Entry[]> {
  const kept: Entry[] = []
  for (const jobId of new Set(entries.map(entry => entry.jobId))) {
    const mine = entries.filter(entry => entry.jobId === jobId)
    const changes = mine.map(entry => ({ ...entry, maybeStored: !entry.refused }))
    const { kind } = await writeChanges(jobId, changes, mine.at(-1)!.at)
    const isRecent = Date.now() - Date.parse(mine.at(-1)!.at) < KEPT_FOR_MS
    if (kind === 'gone' && isRecent && (await db.gone.get(jobId))) kept.push(...mine)
  }
  return kept
}

/**
 * Stores what tabs left behind when they were closed in the middle of it. What cannot be stored now stays for the next
 * time.
 */
export async function replayJournals(): Promise<void> {
  for (const key of keysOfOthers(PREFIX, TAB)) {
    try {
      const kept = await replay(listIn<Entry>(key, isEntry))
      write(key, kept.length && kept)
    } catch {
      /* It stays where it is, and is tried again at the next start. */
    }
  }
}

/** Stores the clocks that tabs had just started when they were closed. What is stored already is left as it is. */
export async function replayClocks(): Promise<void> {
  for (const key of keysOfOthers(CLOCKS, TAB_CLOCKS)) {
    const clocks = listIn<StoredClock>(key, isClock)
    try {
      await db.transaction('rw', db.clocks, async () => {
        for (const clock of clocks) if ((await db.clocks.get(clock.id)) === undefined) await db.clocks.add(clock)
      })
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
