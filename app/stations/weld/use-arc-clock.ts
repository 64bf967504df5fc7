import { useIntervalFn, useWakeLock } from '@vueuse/core'
import { clockFace } from '#core/quantity/clock-face'
import { sleptBetween, type Slept } from '#core/day/slept'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { useJob } from '~/stores/job'

/** The running arc is written down this often: a bench that goes dark in the middle of a pass loses no more. */
const WRITE_MS = 1000

/**
 * Running arc time, started and stopped by the hand and kept with the job; and the screen kept on while it is looked
 * at.
 */
export function useArcClock() {
  const store = useJob()
  const running = ref(false)
  const nowMs = ref(Date.now())
  const wake = useWakeLock()
  onMounted(() => {
    void wake.request('screen').catch(() => undefined)
  })

  const spans = computed(() => store.job?.weld.arcSpans ?? [])
  const stamp = () => new Date(nowMs.value).toISOString()
  function write() {
    const last = spans.value.at(-1)
    if (last) store.keep(['weld', 'arcSpans'], [...spans.value.slice(0, -1), { from: last.from, to: stamp() }])
  }
  /** The machine slept while the clock ran: nobody knows whether there was an arc. */
  const slept = shallowRef<Slept | null>(null)
  let writtenMs = 0
  useIntervalFn(() => {
    const sleep = running.value ? sleptBetween(nowMs.value, Date.now()) : null
    if (sleep) {
      // Stopped where it was last seen, until somebody says.
      write()
      running.value = false
      slept.value = sleep
    }
    nowMs.value = Date.now()
    if (running.value && nowMs.value - writtenMs >= WRITE_MS) {
      writtenMs = nowMs.value
      write()
    }
  }, 250)

  /** The arc stood through the sleep: the clock runs on. */
  function wentOn() {
    slept.value = null
    nowMs.value = Date.now()
    running.value = true
    write()
  }
  function stopped() {
    slept.value = null
  }

  function toggle() {
    slept.value = null
    nowMs.value = Date.now()
    if (running.value) write()
    else {
      writtenMs = nowMs.value
      store.keep(['weld', 'arcSpans'], [...spans.value, { from: stamp(), to: stamp() }])
    }
    running.value = !running.value
  }
  onBeforeUnmount(() => {
    if (running.value) toggle()
    void wake.release().catch(() => undefined)
  })
  const arcMs = computed(() =>
    spans.value.reduce(
      (sum, { from, to }, n) =>
        sum + (running.value && n === spans.value.length - 1 ? nowMs.value : Date.parse(to)) - Date.parse(from),
      0,
    ),
  )
  return {
    running,
    nowMs,
    spans,
    face: computed(() => clockFace(Math.max(0, arcMs.value) / 1000)),
    arcMin: computed(() => arcMs.value / 60_000),
    toggle,
    slept,
    wentOn,
    stopped,
  }
}
