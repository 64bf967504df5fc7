import { shallowRef, toRaw, watch, type ShallowRef } from 'vue'
import type { Job, Kit } from '#core/job/job.schema'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

/**
 * What the worker finds of the open job's plan where that is looked at, and nowhere else: of the latest plan only, and
 * nothing while it is not wanted or could not be found.
 */
export function lookedFor<T>(
  find: (job: Job, kit: Kit) => Promise<readonly T[]>,
  wanted: () => boolean = () => true,
): Readonly<ShallowRef<readonly T[]>> {
  const store = useJob()
  const shop = useShop()
  const found = shallowRef<readonly T[]>([])
  let isBusy = false

  async function look() {
    const plan = store.plan
    if (isBusy || !plan || !store.job || !wanted()) return
    isBusy = true
    const now = await find(toRaw(store.job), toRaw(shop.kit)).catch(() => [])
    isBusy = false
    if (plan === store.plan) found.value = now
    else void look()
  }
  watch(() => store.plan, look, { immediate: true })
  return found
}
