import { useIntervalFn, useWakeLock } from '@vueuse/core'
import { clockFace } from '#core/quantity/clock-face'
import { computed, onMounted, onBeforeUnmount, ref } from 'vue'

/** Running arc time, started and stopped by the hand; and the screen kept on while it is looked at. */
export function useArcClock() {
  const begunMs = ref<number | null>(null)
  const gatheredMs = ref(0)
  const nowMs = ref(Date.now())
  useIntervalFn(() => { nowMs.value = Date.now() }, 250)
  const wake = useWakeLock()
  onMounted(() => { void wake.request('screen').catch(() => undefined) })
  onBeforeUnmount(() => { void wake.release().catch(() => undefined) })
  const arcMs = computed(() => gatheredMs.value + (begunMs.value === null ? 0 : Math.max(0, nowMs.value - begunMs.value)))
  function toggle() {
    nowMs.value = Date.now()
    if (begunMs.value === null) begunMs.value = nowMs.value
    else {
      gatheredMs.value += nowMs.value - begunMs.value
      begunMs.value = null
    }
  }
  const face = computed(() => clockFace(arcMs.value / 1000))
  return { running: computed(() => begunMs.value !== null), face, toggle }
}
