import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import type { Job } from '#core/job/job.schema'
import { newJob } from '#core/job/new-job'
import { db } from '~/db/database'
import { useJob } from '~/stores/job'

/** What a browser has and a test has not. */
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined })

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

/** Long enough for the database, the plan and what follows them. */
export const settled = async () => {
  for (let i = 0; i < 4; i++) await new Promise(resolve => setTimeout(resolve, 15))
}
