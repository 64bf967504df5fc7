import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import type { Job } from '#core/job/job.schema'
import { newJob } from '#core/job/new-job'
import { db } from '~/db/database'
import { useJob } from '~/stores/job'

/** What a browser has and a test has not. */
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined })

/** The browser's own small store, as a page finds it: what is in it, to be looked at and put in. */
export function smallStore(kept = new Map<string, string>()): Map<string, string> {
  vi.stubGlobal('localStorage', {
    get length() {
      return kept.size
    },
    key: (n: number) => [...kept.keys()][n] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => kept.set(key, text),
    removeItem: (key: string) => kept.delete(key),
  })
  return kept
}

/** An empty database with one job, open on the bench. */
export async function jobOnTheBench(change: Partial<Job> = {}) {
  await Promise.all([
    db.jobs.clear(),
    db.cards.clear(),
    db.kit.clear(),
    db.facts.clear(),
    db.held.clear(),
    db.clocks.clear(),
  ])
  await db.jobs.add({ ...newJob('a', 'A part', '', '2026-11-12T09:00:00.000Z'), ...change })
  setActivePinia(createPinia())
  const store = useJob()
  await store.open('a')
  return store
}

/** So many turns of the event loop are more than a write, what follows the database, and a plan take together. */
const TURNS = 60

/** Lets the database, the plan and what follows them come to rest: by turns, so that a busy machine gets no fewer. */
export const settled = async () => {
  for (let n = 0; n < TURNS; n++) await new Promise(resolve => setTimeout(resolve, 1))
}
