import Dexie, { type Table } from 'dexie'
import type { Kept } from '#core/ask/kept'

interface StoredKept extends Kept {
  /** The version of the program that worked it out: another may come to other figures. */
  build: string
  at: number
}

/** What the program worked out and can work out again: no data of the shop's, so no part of its backups. */
class KeptDatabase extends Dexie {
  kept!: Table<StoredKept, [room: string, key: string]>

  constructor() {
    super('wild-sparrow-kept')
    this.version(1).stores({ kept: '[room+key], build, at' })
  }
}
const store = new KeptDatabase()

/** So many are left for the next page; the newest of them. */
const MOST_STORED = 150

/** All that this version worked out before; nothing where the browser keeps nothing. What others left is cleared. */
export async function keptBefore(build: string): Promise<Kept[]> {
  try {
    await store.kept.where('build').notEqual(build).delete()
    const tooMany = (await store.kept.count()) - MOST_STORED
    if (tooMany > 0) await store.kept.bulkDelete(await store.kept.orderBy('at').limit(tooMany).primaryKeys())
    return (await store.kept.toArray()).map(({ room, key, found }) => ({ room, key, found }))
  } catch {
    return []
  }
}

/** Leaves one thing for the next page. Where the browser keeps nothing, it is worked out again there. */
export async function keepForLater(build: string, kept: Kept): Promise<void> {
  try {
    await store.kept.put({ ...kept, build, at: Date.now() })
  } catch {
    // Full or private: nothing is lost that cannot be worked out again.
  }
}
