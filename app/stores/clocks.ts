import { useIntervalFn } from '@vueuse/core'
import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { sleptBetween, type Slept } from '#core/day/slept'
import { refusalWords } from '~/composables/refusal'
import { db, stoppedClock, type StoredClock } from '~/db/database'
import { journalClocks, replayClocks } from '~/db/journal'

const TICK_MS = 500

/**
 * Named clocks of all jobs; their ends are stored, so a reload or a closed tab changes nothing, even at the very moment
 * one is started.
 */
export const useClocks = defineStore('clocks', () => {
  const clocks = shallowRef<StoredClock[]>([])
  /** Started here and not stored yet: they run on this page, and are tried again. */
  const unstored = shallowRef<readonly StoredClock[]>([])
  const saveError = ref<string | null>(null)
  const now = ref(Date.now())
  /** The last time that this page did not run for a while: the machine slept. */
  const slept = shallowRef<Slept | null>(null)
  useIntervalFn(() => {
    slept.value = sleptBetween(now.value, Date.now()) ?? slept.value
    now.value = Date.now()
  }, TICK_MS)
  useIntervalFn(() => {
    if (unstored.value.length) void store()
  }, 4000)
  liveQuery(() => db.clocks.orderBy('endsAt').toArray()).subscribe(found => {
    clocks.value = found
  })
  void replayClocks()

  function setUnstored(waiting: readonly StoredClock[]) {
    unstored.value = waiting
    journalClocks(waiting)
  }

  const running = computed(() =>
    [...clocks.value, ...unstored.value.filter(clock => !clocks.value.some(({ id }) => id === clock.id))]
      .toSorted((a, b) => a.endsAt - b.endsAt)
      .map(clock => ({ ...clock, leftS: Math.ceil((clock.endsAt - now.value) / 1000) })),
  )

  async function store() {
    for (const clock of unstored.value) {
      // Stopped while those before it were stored.
      if (!unstored.value.some(({ id }) => id === clock.id)) continue
      try {
        await db.clocks.put(clock)
        // What follows the database hears of it a moment later; it runs in between.
        clocks.value = [...clocks.value.filter(({ id }) => id !== clock.id), clock]
        setUnstored(unstored.value.filter(({ id }) => id !== clock.id))
        saveError.value = null
      } catch (error) {
        saveError.value = refusalWords(error)
        return
      }
    }
  }

  /** @param task the task of the day that it times, where it is one */
  async function start(name: string, seconds: number, jobId: string | null, task?: string) {
    const startedAt = (now.value = Date.now())
    setUnstored([
      ...unstored.value,
      {
        id: crypto.randomUUID(),
        name: name.trim() || 'Clock',
        jobId,
        startedAt,
        endsAt: startedAt + seconds * 1000,
        ...(task === undefined ? {} : { task }),
      },
    ])
    await store()
  }

  /** @returns whether it ran until now, here or in another tab */
  async function stop(id: string): Promise<boolean> {
    const waited = unstored.value.some(clock => clock.id === id)
    setUnstored(unstored.value.filter(clock => clock.id !== id))
    if (!unstored.value.length) saveError.value = null
    const stored = await db.transaction('rw', db.clocks, db.gone, async () => {
      const found = await db.clocks.get(id)
      await db.clocks.delete(id)
      await db.gone.put({ id: stoppedClock(id), at: new Date().toISOString() })
      return found !== undefined
    })
    clocks.value = clocks.value.filter(clock => clock.id !== id)
    return waited || stored
  }
  const hush = (id: string) => db.clocks.update(id, { hushed: true })

  return { running, slept, now, saveError, start, hush, stop, tryAgain: store }
})
