import { onMounted, ref } from 'vue'
import { roomWords } from '#core/quantity/room'
import { db } from '~/db/database'

export interface Room {
  nearlyFull: boolean
  /** How full it is, in words. */
  words: string
  /** Whether the browser has promised to keep it; null where it was not asked. */
  kept: boolean | null
}

/** How much room the browser gives, whether it has promised to keep it, and what a backup would hold. */
export function useStorage() {
  const room = ref<Room | null>(null)
  const holds = ref({ jobs: 0, files: 0 })
  async function look() {
    if (!navigator.storage?.estimate) return
    const { usage = 0, quota = 0 } = await navigator.storage.estimate()
    // Asked once something is worth keeping; the browser may say yes without a word to the reader.
    const jobs = await db.jobs.count()
    const kept =
      jobs > 0 && navigator.storage.persist
        ? (await navigator.storage.persisted()) || (await navigator.storage.persist())
        : null
    holds.value = { jobs, files: await db.held.count() }
    room.value = { ...roomWords(usage / 1e6, quota / 1e6), kept }
  }
  onMounted(() => {
    void look().catch(() => undefined)
  })
  return { room, holds, look }
}
