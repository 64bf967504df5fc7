import { useIntervalFn } from '@vueuse/core'
import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { db, type StoredClock } from '~/db/database'

/** Named clocks of all jobs; their ends are stored, so a reload or a closed tab changes nothing. */
export const useClocks = defineStore('clocks', () => {
  const clocks = shallowRef<StoredClock[]>([])
  const now = ref(Date.now())
  useIntervalFn(() => { now.value = Date.now() }, 500)
  liveQuery(() => db.clocks.orderBy('endsAt').toArray()).subscribe((found) => { clocks.value = found })

  const running = computed(() => clocks.value.map(clock => ({ ...clock, leftS: Math.ceil((clock.endsAt - now.value) / 1000) })))

  async function start(name: string, seconds: number, jobId: string | null) {
    const startedAt = now.value = Date.now()
    await db.clocks.add({ id: crypto.randomUUID(), name: name.trim() || 'Clock', jobId, startedAt, endsAt: startedAt + seconds * 1000 })
  }

  const hush = (id: string) => db.clocks.update(id, { hushed: true })

  return { running, start, hush, stop: (id: string) => db.clocks.delete(id) }
})
