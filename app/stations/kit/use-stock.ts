import { onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import { useOf, type Stock, type Use } from '#core/station/shop/consumables'
import { startLent } from '~/composables/kept-work'
import { useOpenJobs } from '~/composables/use-open-jobs'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'
import { brokeOff } from '~/workers/worker-gone'

/** A bench has no more on it at once; each is planned. */
const MOST_JOBS = 200

/** What is left of rods, wire and gas, what open jobs take of it, and how fast it went lately. */
export function useStock() {
  const shop = useShop()
  const openJobs = useOpenJobs()
  const { bench: shelf, end } = startLent('shelf')
  const stock = shallowRef<Stock[]>([])
  const use = shallowRef<Use | null>(null)
  const trouble = ref<string | null>(null)
  let ticket = 0
  watch(
    [openJobs, () => shop.kit],
    async () => {
      const mine = ++ticket
      const found = await shelf
        .stock((openJobs.value ?? []).slice(0, MOST_JOBS), toRaw(shop.kit))
        .catch((error: unknown) => {
          if (mine === ticket) trouble.value = brokeOff(error).reason
        })
      if (mine !== ticket || !found) return
      stock.value = found
      trouble.value = null
    },
    { immediate: true },
  )
  void db.cards
    .where('handedAt')
    .above('')
    .reverse()
    .limit(MOST_JOBS)
    .primaryKeys()
    .then(async ids => {
      const jobs = await db.jobs.bulkGet(ids)
      use.value = useOf(
        jobs.flatMap(job => (job ? [job.handOver] : [])),
        Date.now(),
      )
    })
  onBeforeUnmount(() => {
    ticket += 1
    end()
  })
  return { stock, use, trouble }
}
