import { computed } from 'vue'
import { newMend } from '#core/job/new-mend'
import { kindOf } from '#core/mend/registry'
import { useJob } from '~/stores/job'

/** Puts the length of a crack that was traced where it belongs: into a mend that asks a length, or a new crack. */
export function useCrackLength() {
  const store = useJob()
  /** The mends that a traced length may be of, by name. */
  const takers = computed(() =>
    store
      .job!.mends.filter(({ kind }) => 'lengthMm' in kindOf(kind).fields)
      .map(mend => ({ id: mend.id, name: mend.name || kindOf(mend.kind).name })),
  )
  /** @param id the mend it is of; null puts a new crack on the part */
  function take(id: string | null, length: { typed: string; value: number }) {
    const readings = { lengthMm: length }
    if (id === null)
      store.edit(['mends'], [...store.job!.mends, { ...newMend(crypto.randomUUID(), 'crack'), readings }])
    else store.edit(['mends', `#${id}`, 'readings', 'lengthMm'], length)
  }
  return { takers, take }
}
