import { computed, type Ref } from 'vue'
import type { SeenInPuddle } from '#core/job/words.table'
import { passStep } from '#core/job/mend-steps'
import { logOf } from '#core/plan/weld/pass-log'
import { mendSettings, settingsLine } from '#core/plan/weld/weld-data'
import { useInstruments } from '~/stores/instruments'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** The log of what the puddle did, and the passes laid: of the opening, or of the mend named by its id. */
export function usePuddleLog(mendId: Ref<string | null>) {
  const store = useJob()
  const instruments = useInstruments()
  const reader = useSettings()
  const weld = computed(() => store.plan?.weld.data ?? null)
  const mend = computed(() => store.job!.mends.find(each => each.id === mendId.value) ?? null)
  const row = computed(() => store.plan?.mends.rows.find(each => each.id === mendId.value) ?? null)
  const passes = computed(() => (mend.value ? row.value?.log.passes : weld.value?.passes) ?? [])
  const move = computed(() => (mend.value ? row.value?.log.nextMove : weld.value?.nextMove) ?? null)
  const current = computed(() => passes.value.find(pass => !pass.done)?.number ?? passes.value.length)
  const log = computed(() => logOf(store.job!, mend.value?.id ?? null).reverse())

  const settings = computed(() =>
    row.value?.planned
      ? mendSettings(row.value.planned, reader.text)
      : weld.value
        ? settingsLine(weld.value, reader.text)
        : '',
  )

  function tick(pass: number, on: boolean | null) {
    if (mend.value) {
      const step = passStep(pass)
      const others = mend.value.done.filter(each => each !== step)
      return store.edit(['mends', `#${mend.value.id}`, 'done'], on ? [...others, step] : others)
    }
    const others = store.job!.weld.passesDone.filter(each => each !== pass)
    return store.edit(['weld', 'passesDone'], on ? [...others, pass].sort((a, b) => a - b) : others)
  }
  function saw(what: SeenInPuddle) {
    store.edit(
      ['weld', 'log'],
      [
        ...store.job!.weld.log,
        {
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
          ...(mend.value ? { mend: mend.value.id } : {}),
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
  return { weld, mend, settings, passes, current, log, move, tick, saw, note, pictured }
}
