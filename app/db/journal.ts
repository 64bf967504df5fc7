import { changedKit, type TimedKit } from '#core/job/merge-kit'
import type { Change } from '#core/job/put-changes'
import { db, type StoredClock } from './database'
import { mergeInKit, timedKit, writeChanges } from './shelf'
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
/** Where a tab kept the kit before each had a place of its own. */
const OLD_KIT = ofShop('ws-journal-kit')
const KIT = `${OLD_KIT}:`
const CLOCKS = `${ofShop('ws-journal-clocks')}:`
const ID = crypto.randomUUID()
const TAB = `${PREFIX}${ID}`
const TAB_KIT = `${KIT}${ID}`
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
export const journalKit = (kit: TimedKit | null): boolean => write(TAB_KIT, kit)
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

/** A kit as a tab left it; null where it is none that this version takes. */
async function kitIn(key: string): Promise<TimedKit | null> {
  const { kitSchema } = await import('#core/job/job.schema')
  try {
    const left = JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<TimedKit> | null
    const parsed = kitSchema.safeParse(key === OLD_KIT ? left : left?.kit)
    if (!parsed.success) return null
    if (key === OLD_KIT) return changedKit(await timedKit(), parsed.data, new Date().toISOString())
    const stamps = Object.entries(left?.stamps ?? {}).filter(([, at]) => Number.isFinite(Date.parse(at)))
    return { kit: parsed.data, stamps: Object.fromEntries(stamps) }
  } catch {
    return null
  }
}

/** Merges in the kits that tabs had changed and not stored when they were closed. */
export async function replayKits(): Promise<void> {
  const keys = keysOfOthers(KIT, TAB_KIT)
  for (const key of localStorage.getItem(OLD_KIT) === null ? keys : [OLD_KIT, ...keys]) {
    const left = await kitIn(key)
    try {
      if (left) await mergeInKit(left)
      localStorage.removeItem(key)
    } catch {
      /* It stays where it is, and is tried again at the next start. */
    }
  }
}
