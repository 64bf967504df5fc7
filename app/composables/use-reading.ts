import { computed, ref, watch, type Ref } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import { addressed, valueAt } from '#core/job/patch'
import type { StoredReading } from '#core/job/reading.schema'
import type { Reading } from '#core/quantity/read'
import { outside, type Limits } from '#core/quantity/schema'
import { KEY_UNITS, type UnitKey } from '#core/quantity/units.table'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** What a bare number means to each reader, as it is written behind it. */
const BARE_UNIT: Partial<Record<UnitKey, { inch: string }>> = {
  mm: { inch: 'in' },
  c: { inch: '°F' },
  g: { inch: 'lb' },
  kg: { inch: 'lb' },
  lMin: { inch: 'cfh' },
  mMin: { inch: 'ipm' },
}

/**
 * A reading of the open job as a field: what is typed, what was understood, what is wrong with it.
 * Stored at every keystroke; a text that is not understood is kept as typed, with no value. One outside its limits is
 * kept too and said to be, and what is planned with it says so in its turn.
 */
export function useReading(path: Ref<string>, unit: Ref<UnitKey>, own?: Ref<Limits | undefined>) {
  const store = useJob()
  const settings = useSettings()
  const keys = computed(() => path.value.split('.'))
  const stored = computed(() => valueAt(store.job, keys.value) as StoredReading | undefined)
  const typed = ref(stored.value?.typed ?? '')
  watch(
    () => stored.value?.typed,
    text => {
      if (text !== undefined && text !== typed.value) typed.value = text
    },
  )

  const understand = (text: string): Reading => settings.read(text, unit.value)
  const error = computed(() => {
    if (typed.value.trim() === '') return null
    // Understood when it was typed, by whoever did.
    const value = typed.value === stored.value?.typed ? stored.value.value : null
    if (value !== null) return outside(value, unit.value, own?.value ?? declaredAt(path.value)?.limits)
    const reading = understand(typed.value)
    return reading.ok
      ? outside(reading.value, unit.value, own?.value ?? declaredAt(path.value)?.limits)
      : reading.message
  })
  /** What a bare number is taken for; it stands where nothing is typed yet. */
  const bareUnit = computed(
    () => (settings.system === 'inch' ? BARE_UNIT[unit.value]?.inch : undefined) ?? KEY_UNITS[unit.value].symbol,
  )
  const also = computed(() => (stored.value?.value == null ? '' : settings.both(stored.value.value, unit.value)))

  /** @returns why it is not taken, or null */
  function take(text: string): string | null {
    typed.value = text
    const reading = text.trim() === '' ? null : understand(text)
    return store.edit(keys.value, { typed: text.slice(0, 60), value: reading?.ok ? reading.value : null })
  }

  /**
   * A bare number gets its unit written behind it when the hand leaves the field, so that it means the same to every
   * reader.
   */
  function leave() {
    const text = typed.value.trim()
    const reading = understand(text)
    if (!reading.ok || !/^[\d\s./,+⁄−-]+$/.test(text)) return
    const suffix = text.includes('/') && unit.value === 'mm' ? 'in' : bareUnit.value
    if (suffix) take(`${text} ${suffix}`)
  }

  const unstored = computed(
    () => store.unstored.has(path.value) || store.unstored.has(addressed(store.job, keys.value).join('.')),
  )

  return { typed, error, unstored, also, bareUnit, take, leave }
}
