import { fewOf } from '#core/station/rebuild/foretold-face'
import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import { NoAnswer } from '#core/ask/question'
import { pullBench } from '#core/station/pull/pull-bench'
import { WAYS, type PullBench } from '#core/station/pull/ways.table'
import { bestWay, figureOf } from '#core/station/pull/pull-says'
import { usePartShape } from '~/drawing/use-part-shape'
import { useJob } from '~/stores/job'
import type { PulledWay } from '~/workers/pull'
import { startWorker } from '~/workers/start'
import { brokeOff } from '~/workers/worker-gone'

/** The planned weld of the open job pulled about on its part, and the other ways it could be laid. */
export function usePull() {
  const store = useJob()
  const { shape, from } = usePartShape()
  const { bench: pull, end } = startWorker('pull')
  onBeforeUnmount(end)

  const bench = computed((): PullBench | string => {
    if (!store.job || !store.plan) return 'the job is still being worked out'
    if (!shape.value || from.value === 'sizes') return 'the part has no shape of its own yet'
    try {
      return pullBench(toRaw(store.job), store.plan, shape.value)
    } catch (error) {
      if (error instanceof NoAnswer) return error.message
      throw error
    }
  })
  const key = computed(() => (typeof bench.value === 'string' ? bench.value : JSON.stringify(bench.value)))
  const ran = shallowRef<{ key: string; ways: PulledWay[] } | null>(null)
  const busy = ref<PulledWay['id'] | null>(null)
  const share = ref(0)
  const reason = ref<string | null>(null)
  const stale = computed(() => ran.value !== null && ran.value.key !== key.value)
  const ways = computed(() => (stale.value ? [] : (ran.value?.ways ?? [])))
  const best = computed(() =>
    typeof bench.value === 'string' || ways.value.length < 2 ? null : bestWay(ways.value, bench.value.watched),
  )

  const stop = () => {
    if (busy.value) void pull.stop()
  }
  watch(key, stop)

  async function start(all: boolean) {
    if (typeof bench.value === 'string') return
    const given = JSON.parse(JSON.stringify(bench.value)) as PullBench
    const of = key.value
    const found: PulledWay[] = all && !stale.value ? [...(ran.value?.ways ?? [])] : []
    reason.value = null
    const wanted = given.ways.filter((way, n) => (all || n === 0) && !found.some(each => each.id === way.id))
    for (const way of wanted) {
      busy.value = way.id
      share.value = 0
      const told = await pull
        .run(
          way.id,
          way.asked,
          way.id === 'planned',
          proxy((done: number) => {
            share.value = done
          }),
        )
        .catch(brokeOff)
      // Begun on another shape or other marks: dropped.
      if (of !== key.value) break
      if (told.ok !== true) {
        if (told.ok === false) reason.value = told.reason
        break
      }
      found.push(told.value)
      ran.value = { key: of, ways: [...found] }
    }
    busy.value = null
    const [planned] = ways.value
    if (planned) keep(planned)
  }
  /** What was foretold stays with the job, to stand beside what is measured. */
  function keep(planned: PulledWay) {
    if (typeof bench.value === 'string') return
    const figures = planned.stages
      .at(-1)!
      .watched.map((each, n) => ({
        id: `w${n + 1}`,
        name: (bench.value as PullBench).watched[n]!.name,
        mm: Math.round(figureOf(each) * 1e4) / 1e4,
        points: each.kind === 'face' ? fewOf(each) : [],
      }))
    store.edit(['weld', 'foretold'], figures)
  }
  return { bench, ways, best, busy, share, reason, stale, start, WAYS, stop }
}
