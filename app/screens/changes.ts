import Dexie, { RangeSet, type ObservabilitySet } from 'dexie'
import type { Changes } from '#core/screens/exchange'
import { db } from '~/db/database'

const table = (name: string) => `idb://${db.name}/${name}/`

/** The keys of a table that changed; null where it is more than can be told one by one. */
function keysIn(parts: ObservabilitySet, name: string): string[] | null {
  const tree = parts[table(name)]
  if (!tree) return []
  const keys: string[] = []
  for (const { from, to } of RangeSet(tree) as unknown as Iterable<{ from: unknown; to: unknown }>) {
    if (from !== to || typeof from !== 'string') return null
    keys.push(from)
  }
  return keys
}

/**
 * Tells of what changes on the shelf, in this tab or any other. Changes that come while the last are being told are
 * told together. @returns what ends it
 */
export function followChanges(tell: (changes: Changes) => Promise<void>): () => void {
  let jobs = new Set<string>()
  let [everything, kit, clocks, telling] = [false, false, false, false]

  async function pump() {
    if (telling) return
    telling = true
    try {
      while (jobs.size || everything || kit || clocks) {
        const ids = everything ? await db.jobs.toCollection().primaryKeys() : [...jobs]
        const changes = { jobs: ids, kit, clocks }
        jobs = new Set()
        everything = kit = clocks = false
        await tell(changes)
      }
    } finally {
      telling = false
    }
  }
  const noted = (parts: ObservabilitySet) => {
    const keys = keysIn(parts, 'jobs')
    if (keys) for (const key of keys) jobs.add(key)
    else everything = true
    kit ||= parts[table('kit')] !== undefined
    clocks ||= parts[table('clocks')] !== undefined
    void pump()
  }
  Dexie.on('storagemutated', noted)
  return () => Dexie.on('storagemutated').unsubscribe(noted)
}
