import { onBeforeUnmount, shallowRef, toRaw, watch } from 'vue'
import { useOf, type Stock, type Use } from '#core/plan/consumables'
import { shelfWorker } from '~/composables/shelf-worker'
import { useOpenJobs } from '~/composables/use-open-jobs'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'

/** What is left of rods and gas, what open jobs take of it, and how fast it went lately. */
export function useStock() {
  const shop = useShop()
  const openJobs = useOpenJobs()
  const { shelf, end } = shelfWorker()
  const stock = shallowRef<Stock[]>([])
  const use = shallowRef<Use | null>(null)
  let ticket = 0
  watch(
    [openJobs, () => shop.kit],
    async () => {
      const mine = ++ticket
      const found = await shelf.stock(toRaw(openJobs.value), toRaw(shop.kit))
      if (mine === ticket) stock.value = found
    },
    { immediate: true },
  )
  void db.cards
    .where('handedAt')
    .above('')
    .reverse()
    .limit(200)
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
  return { stock, use }
}
