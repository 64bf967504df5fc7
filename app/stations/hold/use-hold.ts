import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import { NoAnswer } from '#core/ask/question'
import { PULLS, type Pull } from '#core/job/fields/hold.schema'
import type { Triple } from '#core/solid/forms'
import type { Face } from '#core/solid/stored/faces.table'
import { CASES, type HeldCase } from '#core/station/hold/cases.table'
import { holdBench, type HoldBench } from '#core/station/hold/hold-bench'
import { usePartShape } from '~/drawing/use-part-shape'
import { useFigures } from '~/composables/use-figures'
import { useJob } from '~/stores/job'
import type { HeldRun } from '~/workers/hold'
import { startWorker } from '~/workers/start'
import { brokeOff } from '~/workers/worker-gone'

/** What a tap on the part puts down. */
export type Put = 'held' | Pull

/** The open job's part held and pulled as at its work: new, cracked, mended. */
export function useHold() {
  const store = useJob()
  const { shape, from } = usePartShape()
  const { bench: worker, end } = startWorker('hold')
  onBeforeUnmount(end)

  const bench = computed((): HoldBench | string => {
    if (!store.job || !store.plan) return 'the job is still being worked out'
    if (!shape.value || from.value === 'sizes') return 'the part has no shape of its own yet'
    try {
      return holdBench(toRaw(store.job), store.plan, shape.value)
    } catch (error) {
      if (error instanceof NoAnswer) return error.message
      throw error
    }
  })
  const key = computed(() => (typeof bench.value === 'string' ? bench.value : JSON.stringify(bench.value)))
  const ran = shallowRef<{ key: string; states: HeldRun[] } | null>(null)
  const busy = ref<HeldCase | null>(null)
  const share = ref(0)
  const reason = ref<string | null>(null)
  const stale = computed(() => ran.value !== null && ran.value.key !== key.value)
  const states = computed(() => (stale.value ? [] : (ran.value?.states ?? [])))
  const shownId = ref<HeldCase>('mended')
  const shown = computed(() => states.value.find(({ id }) => id === shownId.value) ?? states.value.at(-1) ?? null)
  /** How near each place is to its yield, on the part's skin. */
  const colours = computed(() => {
    const state = shown.value
    const moment = state?.map.moments[0]
    return moment ? { map: state!.map, moment, lowC: 0, highC: Math.max(1, ...moment.tenths) / 10 } : null
  })

  const figures = useFigures()
  const putting = ref<Put | null>(null)
  /** A tap puts down what was picked. */
  function put(at: Triple, face: Face) {
    if (!putting.value || !store.job) return
    const place = { id: crypto.randomUUID(), face, at: at.map(value => Math.round(value * 100) / 100) as Triple }
    const { heldAt, pulls } = store.job.call
    if (putting.value === 'held') store.edit(['call', 'heldAt'], [...heldAt, place])
    else store.edit(['call', 'pulls'], [...pulls, { ...place, what: putting.value, n: PULLS[putting.value].usual }])
    putting.value = null
  }
  const drop = (list: 'heldAt' | 'pulls', id: string) =>
    store.edit(
      ['call', list],
      store.job!.call[list].filter(one => one.id !== id),
    )
  function strength(id: string, text: string) {
    const n = figures.read(id, text, { unit: 'n', most: 1e6 })
    if (n != null)
      store.edit(
        ['call', 'pulls'],
        store.job!.call.pulls.map(one => (one.id === id ? { ...one, n } : one)),
      )
  }

  const stop = () => {
    if (busy.value) void worker.stop()
  }
  watch(key, stop)

  async function start() {
    if (typeof bench.value === 'string') return
    const { cases } = JSON.parse(JSON.stringify(bench.value)) as HoldBench
    const of = key.value
    const found: HeldRun[] = []
    reason.value = null
    for (const one of cases) {
      busy.value = one.id
      share.value = 0
      const told = await worker
        .run(
          one,
          proxy((done: number) => {
            share.value = done
          }),
        )
        .catch(brokeOff)
      // Stopped, or begun on another shape or load: dropped.
      if (told.ok === 'stopped' || of !== key.value) break
      // One state that can't be: a crack may go right through, and nothing holds the rest.
      if (told.ok === false) reason.value = `${CASES[one.id]}: ${told.reason}`
      else found.push(told.value)
      ran.value = { key: of, states: [...found] }
    }
    busy.value = null
  }
  return {
    shape,
    bench,
    states,
    shown,
    shownId,
    colours,
    busy,
    share,
    reason,
    stale,
    putting,
    put,
    drop,
    strength,
    figures,
    start,
    stop,
  }
}
