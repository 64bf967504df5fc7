import { computed, ref } from 'vue'
import { watchedLeak, type Watched } from '#core/leak/watch'
import { useInstruments } from '~/stores/instruments'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/**
 * The leak while it is watched: the gauge on the wire, from when the watch began to now, put right for the thermometer
 * where there is one.
 */
export function useLiveLeak() {
  const store = useJob()
  const instruments = useInstruments()
  const settings = useSettings()
  const began = ref<Watched | null>(null)
  const onTheWire = () => instruments.running.find(entry => entry.instrument === 'gauge') ?? null
  const gauge = computed(onTheWire)
  // Looked up each time: the gauge stays the same thing while its readings go on.
  const now = computed(() => onTheWire()?.stream.channels[0]!.ring.back(0) ?? null)
  const stands = computed<Watched | null>(() =>
    now.value ? { atMs: now.value.atMs, kPa: now.value.value, c: instruments.contactC } : null,
  )
  const begin = () => {
    began.value = stands.value
  }
  const live = computed(() => {
    const { volumeL } = store.job!.prove
    return began.value && stands.value && volumeL.value ? watchedLeak(volumeL.value, began.value, stands.value) : null
  })
  /** Puts what was watched into the readings, and so into the record. */
  function keep() {
    if (!began.value || !stands.value || !live.value) return
    const put = (key: string, value: number, unit: string) =>
      store.edit(['prove', key], { typed: `${Number(value.toFixed(3))} ${unit}`, value })
    put('startKPa', began.value.kPa, 'kPa')
    put('endKPa', stands.value.kPa, 'kPa')
    put('leakS', Math.round(live.value.seconds), 's')
    if (live.value.corrected) {
      put('startC', began.value.c!, '°C')
      put('endC', stands.value.c!, '°C')
    }
  }
  return { gauge, now, live, began, begin, keep, text: (value: number) => settings.text(value, 'sccm') }
}
