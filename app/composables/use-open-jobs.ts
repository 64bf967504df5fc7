import { liveQuery } from 'dexie'
import { onBeforeUnmount, shallowRef } from 'vue'
import type { Job } from '#core/job/job.schema'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'
import { filesWorker } from './files-worker'

/**
 * The jobs that are not handed over yet, followed as they change in this tab or another; null until they
 * are read. A damaged one stands apart.
 */
export function useOpenJobs() {
  const shop = useShop()
  const jobs = shallowRef<Job[] | null>(null)
  const following = liveQuery(async () => {
    const open = await db.cards.filter(card => card.handedAt === null).primaryKeys()
    return (await db.jobs.bulkGet(open)).filter(job => job !== undefined)
  }).subscribe(async found => {
    const { jobs: sound, damaged } = await filesWorker().sorted(found)
    jobs.value = sound
    shop.noteDamaged(damaged)
  })
  onBeforeUnmount(() => following.unsubscribe())
  return jobs
}
