import { proxy, wrap } from 'comlink'
import { computed, onBeforeUnmount, shallowRef, toRaw, watch } from 'vue'
import { useBenchHours } from '~/composables/bench-hours'
import { useOpenJobs } from '~/composables/use-open-jobs'
import { useShop } from '~/stores/shop'
import type { DayWorker } from '~/workers/day.worker'

/** How a promise stands against the bench's day: when the job would be done, and by how much that is late. */
export interface PromiseStands {
  endMin: number
  lateMin: number
}
/** With more open jobs than this, the shelf does not plan the day by itself. */
const MOST_OPEN = 60

/** Whether what is promised holds, by a first plan of the day's work across all open jobs. */
export function usePromises() {
  const shop = useShop()
  const worker = new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module', name: 'day' })
  const day = wrap<DayWorker>(worker)
  const openJobs = useOpenJobs()
  const { shifts, around, running, begun, when } = useBenchHours()
  const stands = shallowRef<ReadonlyMap<string, PromiseStands>>(new Map())
  const asked = computed(
    () => openJobs.value.length <= MOST_OPEN && openJobs.value.some(job => job.takeIn.dueAt !== null),
  )
  async function look() {
    if (!asked.value || !shifts.value) {
      stands.value = new Map()
      return
    }
    const told = await day.plan(
      toRaw(openJobs.value),
      toRaw(shop.kit),
      toRaw(shifts.value),
      around(),
      true,
      proxy(() => undefined),
    )
    if (told.ok !== true) return
    const ends = new Map<string, PromiseStands>()
    for (const { jobId, startMin, minutes } of told.day.tasks) {
      const endMin = Math.max(ends.get(jobId)?.endMin ?? 0, startMin + minutes)
      ends.set(jobId, { endMin, lateMin: told.day.late.find(job => job.id === jobId)?.lateMin ?? 0 })
    }
    stands.value = ends
  }
  watch(
    [openJobs, () => shop.kit, shifts, () => Object.keys(running.value).join(), () => begun.value.length],
    () => void look(),
    { immediate: true },
  )
  onBeforeUnmount(() => worker.terminate())
  return { stands, when }
}
