import { computed } from 'vue'
import { useClocks } from '~/stores/clocks'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import { useFiles } from './use-files'

/** What the browser would not store, of the job, the kit and the clocks: why, and what can be done at once. */
export function useNotStored() {
  const job = useJob()
  const shop = useShop()
  const clocks = useClocks()
  const files = useFiles()
  const reason = computed(() => job.saveError ?? shop.saveError ?? clocks.saveError)
  return {
    reason,
    refused: computed(() => job.refused?.reason ?? null),
    hasJob: computed(() => job.job !== null),
    takeOut: () => (job.job ? files.saveJob(job.job) : files.saveShop()),
    tryAgain: () => {
      void job.tryAgain()
      if (shop.saveError) void shop.tryAgain()
      void clocks.tryAgain()
    },
  }
}
