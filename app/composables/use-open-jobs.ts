import { liveQuery } from 'dexie'
import { onBeforeUnmount, shallowRef } from 'vue'
import type { Job } from '#core/job/job.schema'
import { db } from '~/db/database'

/** The jobs that are not handed over yet, followed as they change in this tab or another. */
export function useOpenJobs() {
  const jobs = shallowRef<Job[]>([])
  const following = liveQuery(async () => {
    const open = await db.cards.filter(card => card.handedAt === null).primaryKeys()
    return (await db.jobs.bulkGet(open)).filter(job => job !== undefined)
  }).subscribe((found) => { jobs.value = found })
  onBeforeUnmount(() => following.unsubscribe())
  return jobs
}
