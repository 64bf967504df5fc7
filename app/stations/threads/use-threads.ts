import { computed, ref, shallowRef, watch } from 'vue'
import type { UnitKey } from '#core/quantity/units.table'
import { THREADS } from '#core/thread/list'
import type { ThreadDims } from '#core/thread/dims'
import { readPitchMm, type Identified } from '#core/thread/identify'
import { coreWorker } from '~/composables/core-worker'
import { useSettings } from '~/stores/settings'

/** What was measured elsewhere, a picture say, as the page's address carries it. */
export interface ThreadReadings {
  diameter?: unknown
  pitch?: unknown
  flank?: unknown
  error?: unknown
}
const LONGEST_READING = 40

/** A thread in the hand: what was measured, what it may be, and the sizes of the one picked. */
export function useThreads(brought: ThreadReadings = {}) {
  const settings = useSettings()
  const side = ref<'male' | 'female'>('male')
  const region = ref<'any' | 'metric' | 'inch' | 'hydraulic'>('any')
  const words = (value: unknown, usual = '') => (typeof value === 'string' ? value.slice(0, LONGEST_READING) : usual)
  const typed = ref({
    diameter: words(brought.diameter),
    pitch: words(brought.pitch),
    flank: words(brought.flank),
    taper: '',
    error: words(brought.error, '0.1 mm'),
  })
  const picked = ref<string | null>(null)
  const found = shallowRef<Identified | null>(null)
  const sizes = shallowRef<ThreadDims | null>(null)
  const reason = ref<string | null>(null)

  const value = (text: string, unit: UnitKey) => {
    const reading = text.trim() ? settings.read(text, unit) : null
    return reading?.ok ? reading.value : undefined
  }
  const pitchMm = computed(() => readPitchMm(typed.value.pitch, settings.system))
  const measured = computed(() => {
    const diameterMm = value(typed.value.diameter, 'mm')
    if (diameterMm === undefined) return null
    const [flankDeg, taperDeg] = [value(typed.value.flank, 'deg'), value(typed.value.taper, 'deg')]
    return {
      side: side.value,
      region: region.value,
      diameterMm,
      uncertaintyMm: value(typed.value.error, 'mm') ?? 0.1,
      ...(pitchMm.value === null ? {} : { pitchMm: pitchMm.value }),
      ...(flankDeg === undefined ? {} : { flankDeg }),
      ...(taperDeg === undefined ? {} : { taperDeg }),
    }
  })
  let ticket = 0
  watch(
    measured,
    async input => {
      const mine = ++ticket
      found.value = null
      reason.value = null
      if (!input) return
      const asked = await coreWorker().ask('thread.identify', input)
      if (mine !== ticket) return
      if (asked.ok) {
        found.value = asked.answer as Identified
        picked.value = found.value.ranked[0]?.designation ?? null
      } else
        reason.value =
          asked.error.kind === 'no-answer'
            ? asked.error.reason
            : asked.error.kind === 'invalid-input'
              ? asked.error.issues.map(issue => issue.message).join('; ')
              : 'not understood'
    },
    { immediate: true },
  )
  watch(
    picked,
    async designation => {
      sizes.value = null
      const asked = designation ? await coreWorker().ask('thread.dims', { designation }) : null
      if (asked?.ok && picked.value === designation) sizes.value = asked.answer as ThreadDims
    },
    { immediate: true },
  )

  /** The map: every thread as a point, the candidates with how likely they are, and where the measurement lies. */
  const points = computed(() => {
    const likely = new Map(found.value?.ranked.map(entry => [entry.designation, entry.probability]))
    return THREADS.filter(thread => !(thread.system === 'Rp' && side.value === 'male')).map(thread => ({
      designation: thread.designation,
      system: thread.system,
      pitchMm: thread.pitchMm,
      diameterMm: side.value === 'male' ? thread.majorMm : thread.minorInternalMm,
      probability: likely.get(thread.designation) ?? 0,
    }))
  })
  return { side, region, typed, picked, found, sizes, reason, measured, points, pitchMm }
}
