import { computed } from 'vue'
import type { SeenInPuddle } from '#core/job/words.table'
import { settingsLine } from '#core/plan/weld/weld-data'
import { useInstruments } from '~/stores/instruments'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** The log of what the puddle did, and the passes laid, of the open job. */
export function usePuddleLog() {
  const store = useJob()
  const instruments = useInstruments()
  const reader = useSettings()
  const weld = computed(() => store.plan?.weld.data ?? null)
  const passes = computed(() => weld.value?.passes ?? [])
  const current = computed(() => passes.value.find(pass => !pass.done)?.number ?? passes.value.length)
  const log = computed(() => [...store.job!.weld.log].reverse())

  const settings = computed(() => (weld.value ? settingsLine(weld.value, reader.text) : ''))

  const tick = (pass: number, on: boolean | null) =>
    store.edit(
      ['weld', 'passesDone'],
      on
        ? [...store.job!.weld.passesDone, pass].sort((a, b) => a - b)
        : store.job!.weld.passesDone.filter(each => each !== pass),
    )
  function saw(what: SeenInPuddle) {
    store.edit(
      ['weld', 'log'],
      [
        ...store.job!.weld.log,
        {
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
          pass: Math.max(1, current.value),
          saw: what,
          note: '',
          settings: settings.value,
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
    const last = store.job!.weld.log.at(-1)
    if (last)
      store.edit(
        ['weld', 'log'],
        store.job!.weld.log.map(entry => (entry.id === last.id ? { ...entry, picture } : entry)),
      )
  }
  return { weld, settings, passes, current, log, tick, saw, note, pictured }
}
