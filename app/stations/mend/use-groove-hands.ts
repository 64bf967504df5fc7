import { computed } from 'vue'
import type { Field } from '#core/field/field'
import { kindOf } from '#core/mend/registry'
import { write } from '#core/quantity/show'
import { useJob } from '~/stores/job'

/** As a field of a mend is stored: a reading with its text, anything else as it is. */
const storedAs = (field: Field, value: unknown) =>
  field.kind === 'reading' ? { typed: write(value as number, field.unit!), value } : value

/** What dragging the lip and the root of a mend's groove sets in its readings, as its kind says. */
export function useGrooveHands(id: () => string) {
  const store = useJob()
  const mend = computed(() => store.job?.mends.find(one => one.id === id()))
  const kind = computed(() => mend.value && kindOf(mend.value.kind))
  function put(set: Readonly<Record<string, unknown>> | undefined) {
    for (const [key, value] of Object.entries(set ?? {}))
      store.edit(['mends', `#${id()}`, 'readings', key], storedAs(kind.value!.fields[key]!, value))
  }
  /** The angle as it is typed now, where the kind has one that is understood. */
  const liveDeg = computed(() => {
    const held = mend.value?.readings.includedDeg
    const typed = typeof held === 'object' && !Array.isArray(held) ? held.value : null
    return typed ?? undefined
  })
  return {
    liveDeg,
    lip: computed(() => kind.value?.handles !== undefined),
    root: computed(() => kind.value?.handles?.land !== undefined),
    setAngle: (deg: number) => put(kind.value?.handles?.angle(deg)),
    setLand: (mm: number) => put(kind.value?.handles?.land?.(mm)),
  }
}
