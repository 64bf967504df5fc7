import { db } from './database'
import { putJobs } from './shelf'

/** Goes up whenever a job or kit gains a part that the pages count on. */
const SHAPE = 8
const KEY = 'shape'

/**
 * Brings what an earlier version stored up to the shape this one reads: what is new gets its usual value. All of it or nothing; what
 * this version cannot read is left as it is, and told.
 * @returns titles of jobs that could not be read
 */
export async function upgradeStored(): Promise<string[]> {
  if ((await db.facts.get(KEY))?.value === SHAPE) return []
  if (await db.jobs.count() + await db.kit.count() === 0) {
    // A new bench: nothing to bring up, and no reason to load the schemas.
    await db.facts.put({ key: KEY, value: SHAPE })
    return []
  }
  const { jobSchema, kitSchema } = await import('#core/job/job.schema')
  return db.transaction('rw', [db.jobs, db.cards, db.kit, db.facts], async () => {
    const unread: string[] = []
    for (const job of await db.jobs.toArray()) {
      const parsed = jobSchema.safeParse(job)
      if (parsed.success) await putJobs([parsed.data])
      else unread.push(job.title)
    }
    for (const row of await db.kit.toArray()) {
      const parsed = kitSchema.safeParse(row.kit)
      if (parsed.success) await db.kit.put({ ...row, kit: parsed.data })
    }
    await db.facts.put({ key: KEY, value: SHAPE })
    return unread
  })
}
