import Dexie, { type EntityTable } from 'dexie'
import type { Job, Kit } from '#core/job/job.schema'

export interface StoredClock {
  id: string
  name: string
  jobId: string | null
  startedAt: number
  endsAt: number
}

/** Bytes that belong to a job: a picture, or the triangles of a part's shape (nine 32-bit figures each, mm). */
export interface StoredFile {
  id: string
  jobId: string
  kind: 'picture' | 'mesh'
  name: string
  type: string
  bytes: ArrayBuffer
}

/** The one database of the bench: jobs, the kit, running clocks, files that belong to jobs, and small facts about the bench itself. */
export class BenchDatabase extends Dexie {
  jobs!: EntityTable<Job, 'id'>
  kit!: EntityTable<{ id: string, kit: Kit }, 'id'>
  clocks!: EntityTable<StoredClock, 'id'>
  files!: EntityTable<StoredFile, 'id'>
  facts!: EntityTable<{ key: string, value: unknown }, 'key'>

  constructor(name = 'wild-sparrow') {
    super(name)
    this.version(1).stores({ jobs: 'id, updatedAt', kit: 'id', clocks: 'id, endsAt', facts: 'key' })
    this.version(2).stores({ files: 'id, jobId' })
  }
}

export const db = new BenchDatabase()
