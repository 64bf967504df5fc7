import { proxy } from 'comlink'
import { watchDebounced } from '@vueuse/core'
import { computed, onBeforeUnmount, shallowRef, toRaw } from 'vue'
import { jobEnds } from '#core/day/ends'
import { useBenchHours } from '~/composables/bench-hours'
import { startLent } from '~/composables/kept-work'
import { filesWorker } from '~/composables/files-worker'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'
import { brokeOff } from '~/workers/worker-gone'

/** How a promise stands against the bench's day: when the job would be done, and by how much that is late. */
export interface PromiseStands {
  endMin: number
  lateMin: number
}
/** With more open jobs than this, the shelf does not plan the day by itself. */
const MOST_OPEN = 60
/** Cards come in two goes; the day is planned once they are there. */
const SETTLE_MS = 300

/** Whether what is promised holds, by a first plan of the day's work across all open jobs. */
export function usePromises() {
  const shop = useShop()
  const { bench: day, end } = startLent('day')
  const { shifts, around, running, begun, when } = useBenchHours()
  const stands = shallowRef<ReadonlyMap<string, PromiseStands>>(new Map())
  /** The open cards, where there are few enough and something is promised; by what changes with them. */
  const asked = computed(() => {
    const open = shop.cards.filter(card => card.handedAt === null)
    return open.length <= MOST_OPEN && open.some(card => card.dueAt !== null)
      ? open.map(card => `${card.id} ${card.updatedAt}`).sort()
      : []
  })
  async function look() {
    if (!asked.value.length || !shifts.value) {
      stands.value = new Map()
      return
    }
    const found = await db.jobs.bulkGet(asked.value.map(key => key.slice(0, key.lastIndexOf(' '))))
    const { jobs } = await filesWorker().sorted(found.filter(job => job !== undefined))
    const told = await day
      .plan(
        jobs,
        toRaw(shop.kit),
        toRaw(shifts.value),
        around(),
        true,
        proxy(() => undefined),
      )
      .catch(brokeOff)
    if (told.ok !== true) return
    const { given, tasks, late } = told.day
    const ends = jobEnds(given, new Map(tasks.map(task => [task.id, task.startMin])))
    stands.value = new Map(
      [...ends].map(([id, endMin]) => [id, { endMin, lateMin: late.find(job => job.id === id)?.lateMin ?? 0 }]),
    )
  }
  watchDebounced(
    [
      () => asked.value.join(),
      () => shop.kit,
      shifts,
      () => Object.keys(running.value).join(),
      () => begun.value.length,
    ],
    () => void look(),
    { immediate: true, debounce: SETTLE_MS },
  )
  onBeforeUnmount(() => end())
  return { stands, when }
}
