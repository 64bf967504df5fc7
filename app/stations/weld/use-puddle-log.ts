import { computed, type Ref } from 'vue'
import type { SeenInPuddle } from '#core/job/words.table'
import { passStep } from '#core/job/mend-steps'
import { logOf } from '#core/station/weld/pass-log'
import { settingsLine } from '#core/station/weld/weld-data'
import { useInstruments } from '~/stores/instruments'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** The log of what the puddle did in the mend named by its id, and the passes laid. */
export function usePuddleLog(mendId: Ref<string | null>) {
  const store = useJob()
  const instruments = useInstruments()
  const reader = useSettings()
  const mend = computed(() => store.job!.mends.find(each => each.id === mendId.value) ?? null)
  const row = computed(() => store.plan?.mends.rows.find(each => each.id === mendId.value) ?? null)
  const passes = computed(() => row.value?.log.passes ?? [])
  /** The pass that is to be laid; null where there is none, or all of them are. */
  const next = computed(() => passes.value.find(pass => !pass.done) ?? null)
  const current = computed(() => next.value?.number ?? passes.value.length)
  const log = computed(() => (mend.value ? logOf(store.job!, mend.value.id).reverse() : []))
  /** What was seen last asks for it; with a new pass it goes. */
  const move = computed(() =>
    passes.value.length === 0 || log.value[0]?.pass === next.value?.number ? (row.value?.log.nextMove ?? null) : null,
  )
  const settings = computed(() => (row.value ? settingsLine(row.value, reader.text, next.value ?? undefined) : ''))
  function tick(pass: number, on: boolean | null) {
    if (!mend.value) return
    const step = passStep(pass)
    const others = mend.value.done.filter(each => each !== step)
    return store.edit(['mends', `#${mend.value.id}`, 'done'], on ? [...others, step] : others)
  }
  function saw(what: SeenInPuddle) {
    if (!mend.value) return
    store.edit(
      ['weld', 'log'],
      [
        ...store.job!.weld.log,
        {
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
          mend: mend.value.id,
          pass: Math.max(1, current.value),
          saw: what,
          note: '',
          settings: settings.value.slice(0, 120),
          ...(instruments.contactC === null ? {} : { temperatureC: instruments.contactC }),
        },
      ],
    )
  }
  const note = (id: string, text: string) =>
    store.edit(
      ['weld', 'log'],
      store.job!.weld.log.map(entry => (entry.id === id ? { ...entry, note: text.slice(0, 400) } : entry)),
    )
  /** A picture that belongs to what was seen last. */
  const pictured = (picture: string) => {
    const last = log.value[0]
    if (last)
      store.edit(
        ['weld', 'log'],
        store.job!.weld.log.map(entry => (entry.id === last.id ? { ...entry, picture } : entry)),
      )
  }
  return { mend, row, settings, passes, next, current, log, move, tick, saw, note, pictured }
}
