import type { Damaged } from '#core/job/out'
import { db } from './database'
import { putJobs } from './shelf'

/** Goes up whenever a job or kit gains a part that the pages count on. */
const SHAPE = 18
const KEY = 'shape'
const UNREAD = 'unread'

async function damagedAmong(ids: readonly string[]): Promise<Damaged[]> {
  if (!ids.length) return []
  const { sorted } = await import('#core/job/out')
  return sorted((await db.jobs.bulkGet([...ids])).filter(job => job !== undefined)).damaged
}

/**
 * Brings what an earlier version stored up to the shape this one reads: what is new gets its usual value. All of it or
 * nothing; what this version cannot read is left as it is, and told at every start.
 * @returns what could not be read
 */
export async function upgradeStored(): Promise<Damaged[]> {
  const known = await db.facts.get(UNREAD)
  if ((await db.facts.get(KEY))?.value === SHAPE)
    return damagedAmong(Array.isArray(known?.value) ? (known.value as string[]) : [])
  if ((await db.jobs.count()) + (await db.kit.count()) === 0) {
    // A new bench: nothing to bring up, and no reason to load the schemas.
    await db.facts.put({ key: KEY, value: SHAPE })
    return []
  }
  const [{ kitSchema }, { sorted }] = await Promise.all([import('#core/job/job.schema'), import('#core/job/out')])
  return db.transaction('rw', [db.jobs, db.cards, db.kit, db.facts], async () => {
    const { jobs, damaged } = sorted(await db.jobs.toArray())
    await putJobs(jobs)
    for (const row of await db.kit.toArray()) {
      const parsed = kitSchema.safeParse(row.kit)
      if (parsed.success) await db.kit.put({ ...row, kit: parsed.data })
    }
    await db.facts.bulkPut([
      { key: KEY, value: SHAPE },
      { key: UNREAD, value: damaged.map(({ id }) => id) },
    ])
    return damaged
  })
}
