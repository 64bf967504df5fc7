import { fewOf } from '#core/station/rebuild/foretold-face'
import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import { NoAnswer } from '#core/ask/question'
import { pullBench } from '#core/station/pull/pull-bench'
import { WAYS, type PullBench } from '#core/station/pull/ways.table'
import { bestWay, figureOf } from '#core/station/pull/pull-says'
import { placedMarks } from '~/drawing/placed-marks'
import { usePartShape } from '~/drawing/use-part-shape'
import { useJob } from '~/stores/job'
import type { PulledWay } from '~/workers/pull'
import { startWorker } from '~/workers/start'
import { brokeOff } from '~/workers/worker-gone'

/** As many ways as are run at once; each holds its own cells. */
const MOST_HANDS = 4

/** The planned weld of the open job pulled about on its part, and the other ways it could be laid. */
export function usePull() {
  const store = useJob()
  const { shape, from } = usePartShape()
  // Ways are run side by side, each by a hand of its own; the page has nothing to do meanwhile.
  const hands = Array.from({ length: Math.max(1, Math.min(MOST_HANDS, navigator.hardwareConcurrency || 1)) }, () =>
    startWorker('pull'),
  )
  onBeforeUnmount(() => hands.forEach(({ end }) => end()))

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
  const part = computed(() => (from.value === 'sizes' ? null : shape.value))
  const marks = computed(() => (store.job ? placedMarks(store.job, (_, place) => place) : []))
  const key = computed(() => (typeof bench.value === 'string' ? bench.value : JSON.stringify(bench.value)))
  const ran = shallowRef<{ key: string; ways: PulledWay[] } | null>(null)
  /** Ways that are being run, and how far each is, 0 to 1. */
  const busy = ref<{ id: PulledWay['id']; share: number }[]>([])
  const reason = ref<string | null>(null)
  const stale = computed(() => ran.value !== null && ran.value.key !== key.value)
  const ways = computed(() => (stale.value ? [] : (ran.value?.ways ?? [])))
  const best = computed(() =>
    typeof bench.value === 'string' || ways.value.length < 2 ? null : bestWay(ways.value, bench.value.watched),
  )

  let isStopped = false
  const stop = () => {
    isStopped = true
    if (busy.value.length) for (const { bench: hand } of hands) void hand.stop()
  }
  watch(key, stop)

  async function start(all: boolean) {
    if (typeof bench.value === 'string') return
    const given = JSON.parse(JSON.stringify(bench.value)) as PullBench
    const of = key.value
    const place = (id: PulledWay['id']) => given.ways.findIndex(way => way.id === id)
    const found: PulledWay[] = all && !stale.value ? [...(ran.value?.ways ?? [])] : []
    reason.value = null
    isStopped = false
    const queue = given.ways.filter((way, n) => (all || n === 0) && !found.some(each => each.id === way.id))
    const runWith = async (hand: (typeof hands)[number]['bench']) => {
      for (let way = queue.shift(); way && !isStopped; way = queue.shift()) {
        const { id, asked } = way
        busy.value = [...busy.value, { id, share: 0 }]
        const told = await hand
          .run(
            id,
            asked,
            id === 'planned' ? marks.value.map(({ path }) => path.map(([x, y, z]) => [x, y, z] as const)) : null,
            proxy((share: number) => {
              busy.value = busy.value.map(one => (one.id === id ? { id, share } : one))
            }),
          )
          .catch(brokeOff)
        busy.value = busy.value.filter(one => one.id !== id)
        // Begun on another shape or other marks: dropped.
        if (of !== key.value) return
        if (told.ok !== true) {
          if (told.ok === false) {
            reason.value = told.reason
            stop()
          }
          return
        }
        found.push(told.value)
        // What is compared stands beside the planned one: until that is in, nothing is shown.
        found.sort((a, b) => place(a.id) - place(b.id))
        if (found[0]!.id === given.ways[0]!.id) ran.value = { key: of, ways: [...found] }
      }
    }
    await Promise.all(hands.slice(0, Math.max(1, queue.length)).map(({ bench: hand }) => runWith(hand)))
    busy.value = []
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
  return { bench, part, marks, ways, best, busy, reason, stale, start, WAYS, stop }
}
