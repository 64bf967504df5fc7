import { shallowRef, toRaw, watch } from 'vue'
import type { ShownDecision } from '#core/station/decision-words'
import { coreWorker } from '~/composables/core-worker'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

/** Decisions of the open job that a reading nearby would turn: looked for in the worker, the latest plan's only. */
export function useNearLines() {
  const store = useJob()
  const shop = useShop()
  const near = shallowRef<readonly ShownDecision[]>([])
  let isBusy = false

  async function look() {
    const plan = store.plan
    if (isBusy || !plan || !store.job) return
    isBusy = true
    const found = await coreWorker()
      .nearLines(toRaw(store.job), toRaw(shop.kit))
      .catch(() => [])
    isBusy = false
    if (plan === store.plan) near.value = found
    else void look()
  }
  watch(() => store.plan, look, { immediate: true })
  return near
}
