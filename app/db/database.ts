import Dexie, { type EntityTable, type Table } from 'dexie'
import type { Card } from '#core/job/card'
import type { Job, Kit, RunningClock } from '#core/job/job.schema'
import { ofShop } from './which-shop'

/** `hushed`: it ran out and was heard, in any tab. `task`: of the day, that hands are at while it runs. */
export type StoredClock = RunningClock

/** Under what a clock that was stopped is told of to other screens. */
export const stoppedClock = (id: string) => `clock-${id}`

/** Bytes that belong to a job: a picture, or the triangles of a part's shape (nine 32-bit figures each, mm). */
export interface StoredFile {
  id: string
  jobId: string
  kind: 'picture' | 'mesh'
  name: string
  type: string
  bytes: ArrayBuffer
}

export interface FilePart {
  jobId: string
  id: string
  from: number
  /** Bytes of the whole file. */
  total: number
  bytes: ArrayBuffer
}

/** The kit, with the times at which its parts were changed. */
export interface StoredKit {
  id: string
  kit: Kit
  stamps?: Readonly<Record<string, string>>
}

/**
 * The one database of the bench: jobs, the kit, running clocks, files that belong to jobs, and small facts about the
 * bench itself.
 */
export class BenchDatabase extends Dexie {
  jobs!: EntityTable<Job, 'id'>
  kit!: EntityTable<StoredKit, 'id'>
  clocks!: EntityTable<StoredClock, 'id'>
  /** Each job's own files: the same id in another job is another file. */
  held!: Table<StoredFile, [jobId: string, id: string]>
  /** What the shelf shows of each job; written with it. */
  cards!: EntityTable<Card, 'id'>
  facts!: EntityTable<{ key: string; value: unknown }, 'key'>
  /** What was taken off or stopped, and when, so that another screen of the shop does not bring it back. */
  gone!: EntityTable<{ id: string; at: string }, 'id'>
  /** Pieces of files on their way from another screen. */
  parts!: Table<FilePart, [jobId: string, id: string, from: number]>

  constructor(name = ofShop('wild-sparrow')) {
    // What is said to be stored is on the disk: a bench may lose its mains in the middle of a pass.
    super(name, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ jobs: 'id, updatedAt', kit: 'id', clocks: 'id, endsAt', facts: 'key' })
    this.version(2).stores({ files: 'id, jobId' })
    this.version(3).stores({ cards: 'id, updatedAt, handedAt' })
    this.version(4)
      .stores({ held: '[jobId+id], jobId' })
      .upgrade(async change => {
        await change.table<StoredFile>('files').each(async file => {
          await change.table('held').put(file)
        })
      })
    this.version(5).stores({ files: null })
    this.version(6).stores({ gone: 'id', parts: '[jobId+id+from], [jobId+id]' })
  }
}

export const db = new BenchDatabase()
