import { computed, ref, watch, type Ref } from 'vue'
import type { InstrumentId } from '#core/instrument/kinds.table'
import { standInSetup } from '#core/station/shop/stand-ins'
import { write } from '#core/quantity/show'
import type { UnitKey } from '#core/quantity/units.table'
import { useInstruments } from '~/stores/instruments'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

interface Field {
  key: string
  label: string
  unit: UnitKey
  text: string
  trouble: string | null
}

/** What of a stand-in can be set by hand; the rest follows from the job. */
const HAND_SET: Readonly<Record<InstrumentId, readonly { key: string; label: string; unit: UnitKey }[]>> = {
  thermocouple: [],
  infrared: [
    { key: 'emissivity', label: 'Emissivity of the metal: bright 0.1, blasted 0.3, matt paint 0.95', unit: 'number' },
    { key: 'set', label: 'Emissivity it is set to', unit: 'number' },
  ],
  caliper: [{ key: 'sizeMm', label: 'Between the jaws', unit: 'mm' }],
  scale: [{ key: 'massG', label: 'On the pan', unit: 'g' }],
  gauge: [
    { key: 'startKPa', label: 'Pumped up to', unit: 'kPa' },
    { key: 'volumeL', label: 'It holds', unit: 'l' },
    { key: 'leakSccm', label: 'It loses, cm³ of gas a minute', unit: 'number' },
  ],
  arc: [
    { key: 'setA', label: 'Set current', unit: 'a' },
    { key: 'arcS', label: 'Welds for', unit: 's' },
    { key: 'restS', label: 'rests for', unit: 's' },
  ],
}
const USUAL: Partial<Record<InstrumentId, Record<string, number>>> = {
  infrared: { emissivity: 0.1, set: 0.95 },
  arc: { arcS: 25, restS: 10 },
}
const LOOSE_S = 8

/** Choosing and setting a stand-in instrument, and readings out of a file. */
export function useStandIn(shown: Ref<boolean>) {
  const instruments = useInstruments()
  const store = useJob()
  const settings = useSettings()
  const chosen = ref<InstrumentId>('thermocouple')
  const fields = ref<Field[]>([])
  const perSecond = ref('4')
  const loose = ref(false)
  const trouble = ref<string | null>(null)
  const report = ref<string | null>(null)

  const setup = () => ({ ...USUAL[chosen.value], ...standInSetup(chosen.value, store.job, store.plan) })
  watch(
    [chosen, shown],
    () => {
      const worked = setup()
      trouble.value = null
      report.value = null
      fields.value = HAND_SET[chosen.value].map(({ key, label, unit }) => ({
        key,
        label,
        unit,
        trouble: null,
        text:
          unit === 'number'
            ? String(worked[key as keyof typeof worked] ?? '')
            : write(Number(worked[key as keyof typeof worked] ?? 0), unit, settings.system),
      }))
    },
    { immediate: true },
  )

  function start() {
    const given: Record<string, number> = {}
    for (const field of fields.value) {
      const reading = settings.read(field.text, field.unit)
      field.trouble = reading.ok ? null : reading.message
      if (reading.ok) given[field.key] = reading.value
    }
    const told = settings.read(perSecond.value, 'number')
    const rate = told.ok ? told.value : 0
    trouble.value = rate >= 0.1 && rate <= 20 ? null : 'readings a second: from 0.1 to 20'
    if (trouble.value || fields.value.some(field => field.trouble)) return
    void instruments.start(
      chosen.value,
      { ...setup(), ...given },
      { perSecond: rate, ...(loose.value ? { dropsAfterS: LOOSE_S } : {}) },
    )
    shown.value = false
  }

  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    const { readLines, LARGEST_READINGS_BYTES } = await import('#core/instrument/lines')
    if (file.size > LARGEST_READINGS_BYTES) {
      report.value = `${file.name} is larger than 32 MB: not read. Nothing was changed.`
      return
    }
    const found = readLines(await file.text())
    report.value = found.ok
      ? `${file.name}: ${instruments.keepLines(found.readings)}.`
      : `${file.name} was not taken in; nothing was changed.\n${found.issues.map(issue => `${issue.line ? `Line ${issue.line}: ` : ''}${issue.message}`).join('\n')}`
  }

  return {
    chosen,
    fields,
    perSecond,
    loose,
    trouble,
    start,
    report,
    bringIn,
    hasJob: computed(() => store.job !== null),
  }
}
