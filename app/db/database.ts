import Dexie, { type EntityTable } from 'dexie'
import type { Job, Kit } from '#core/job/job.schema'

export interface StoredClock {
  id: string
  name: string
  jobId: string | null
  startedAt: number
  endsAt: number
}

/** The one database of the bench: jobs, the kit, running clocks, and small facts about the bench itself. */
export class BenchDatabase extends Dexie {
  jobs!: EntityTable<Job, 'id'>
  kit!: EntityTable<{ id: string, kit: Kit }, 'id'>
  clocks!: EntityTable<StoredClock, 'id'>
  facts!: EntityTable<{ key: string, value: unknown }, 'key'>

  constructor(name = 'wild-sparrow') {
    super(name)
    this.version(1).stores({ jobs: 'id, updatedAt', kit: 'id', clocks: 'id, endsAt', facts: 'key' })
  }
}

export const db = new BenchDatabase()
