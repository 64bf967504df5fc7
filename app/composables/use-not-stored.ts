import { computed } from 'vue'
import { isReading } from '#core/job/entry-key'
import { useClocks } from '~/stores/clocks'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import { useFiles } from './use-files'

/** A value as somebody typed it, where it can be shown in a line. */
const typedOf = (value: unknown): string | null =>
  typeof value === 'string' || typeof value === 'number'
    ? String(value)
    : isReading(value)
      ? (value as { typed: string }).typed
      : null

/** What the browser would not store, of the job, the kit and the clocks: why, and what can be done at once. */
export function useNotStored() {
  const job = useJob()
  const shop = useShop()
  const clocks = useClocks()
  const files = useFiles()
  const reason = computed(() => job.saveError ?? shop.saveError ?? clocks.saveError)
  return {
    reason,
    /** What was typed here while something newer was stored elsewhere; that stands. */
    overruled: computed(() =>
      job.overruled.map(({ mine, stands }) => ({ mine: typedOf(mine) || '–', stands: typedOf(stands) || '–' })),
    ),
    heard: () => job.overruledHeard(),
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
