import { useTimeoutFn } from '@vueuse/core'
import { computed, ref } from 'vue'

/** Between two keys of one hand there is no more. */
const HAND_MS = 700

/**
 * What a hand is typing in a field: it stands there while it types, whatever another screen makes of the same field
 * meanwhile; then what is stored shows again.
 * @param stored what stands in the job
 */
export function useDraft(stored: () => string) {
  const draft = ref<string | null>(null)
  const drop = () => {
    draft.value = null
  }
  const { start, stop } = useTimeoutFn(drop, HAND_MS, { immediate: false })
  return {
    shown: computed(() => draft.value ?? stored()),
    typing(text: string) {
      draft.value = text
      start()
    },
    /** The hand has left it, or takes back what it did. */
    drop() {
      stop()
      drop()
    },
  }
}
