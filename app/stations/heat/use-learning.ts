import { computed, ref, shallowRef } from 'vue'
import { readSeries } from '#core/heat/series'
import { withLearnt, type Learnt } from '#core/station/warm/learnt-torch'
import { useShop } from '~/stores/shop'
import { useJob } from '~/stores/job'
import type { HeatBench } from './use-heat-run'

/** The stand-in thermometer's own scatter, °C. */
const SCATTER_C = 0.6
/** The stand-in's flame, as a share of the kit's, and its film: there is something to learn. */
const STAND_IN = { sourceShare: 0.82, filmWm2K: 16 }

/** The kit's torch learnt from thermometer readings on this set-up. */
export function useLearning(bench: HeatBench) {
  const shop = useShop()
  const store = useJob()
  const text = ref('')
  const placeId = ref<string | null>(null)
  const series = computed(() => readSeries(text.value))
  const learnt = shallowRef<Learnt | null>(null)
  const refusal = ref<string | null>(null)
  const working = ref(false)
  const kept = ref(false)
  const torch = computed(
    () => shop.kit.torches.find(entry => entry.id === bench.setup.value?.heat.torch) ?? shop.kit.torches[0] ?? null,
  )
  const place = computed(() => placeId.value ?? bench.setup.value?.places[0]?.id ?? null)

  async function learn() {
    const onS = bench.setup.value?.onS.value
    if (!place.value || !onS) return
    working.value = true
    learnt.value = null
    kept.value = false
    const asked = await bench.fit(place.value, series.value.readings, onS)
    working.value = false
    refusal.value = asked.ok
      ? null
      : asked.error.kind === 'no-answer'
        ? asked.error.reason
        : asked.error.kind === 'invalid-input'
          ? asked.error.issues.map(issue => issue.message).join('; ')
          : 'not understood'
    if (asked.ok) learnt.value = asked.answer as Learnt
  }

  async function keep() {
    if (!learnt.value || !torch.value) return
    const [which, found] = [torch.value.id, learnt.value]
    const sharePct = bench.setup.value?.heat.sharePct.value ?? 100
    refusal.value = await shop.changeKit(kit => withLearnt(kit, which, found, sharePct, new Date().toISOString()))
    kept.value = refusal.value === null
  }

  /**
   * The thermometer that ships with the bench: a run with a weaker flame and a stronger film than the kit's, read every
   * half minute with a thermometer's scatter.
   */
  async function standIn() {
    if (!place.value) return
    working.value = true
    const series = await bench.pretend(place.value, STAND_IN.sourceShare, STAND_IN.filmWm2K)
    working.value = false
    if (!series) return
    const everyS = Math.max(30, series.times.at(-1)! / 40)
    let next = 0
    text.value = series.times
      .flatMap((s, n) => {
        if (s < next - 1e-6) return []
        next += everyS
        return [
          `${Math.round(s)} s, ${(series.values[n]! + (Math.random() + Math.random() - 1) * SCATTER_C).toFixed(1)} °C`,
        ]
      })
      .join('\n')
  }

  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (file && file.size < 1_000_000) text.value = await file.text()
    input.value = ''
  }

  return {
    text,
    placeId: computed({
      get: () => place.value,
      set: id => {
        placeId.value = id
      },
    }),
    series,
    learnt,
    refusal,
    working,
    kept,
    torch,
    places: computed(() => (store.job ? (bench.setup.value?.places ?? []) : [])),
    learn,
    keep,
    standIn,
    bringIn,
  }
}
