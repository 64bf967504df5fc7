import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw } from 'vue'
import type { ShownWay, ShownWays } from '#core/station/ways/shown'
import { startLent } from '~/composables/kept-work'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

/** The picture's box, and where its axes lie in it. */
export const BOX = { wide: 520, high: 300, left: 46, right: 16, top: 16, bottom: 40 }
const [LEAST_R, MOST_R] = [7, 17]
/** Room beside the outermost marks, as a share of the range. */
const MARGIN = 0.14

/** A scale from figures to the picture, wide enough for those that are all the same. */
function scaleOf(values: readonly number[], least: number, from: number, to: number) {
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const margin = Math.max((high - low) * MARGIN, least)
  const [a, b] = [low - margin, high + margin]
  return { at: (value: number) => from + ((value - a) / (b - a)) * (to - from), from: a, to: b }
}

/** Every honest way to mend the open job, looked for when it is asked; the one that is picked, and taking it. */
export function useWays() {
  const store = useJob()
  const shop = useShop()
  const { bench, end } = startLent('ways')
  onBeforeUnmount(end)

  const found = shallowRef<{ of: unknown; ways: ShownWays } | null>(null)
  const share = ref<number | null>(null)
  const reason = ref<string | null>(null)
  const pickedId = ref<string | null>(null)
  const isStale = computed(() => found.value !== null && found.value.of !== store.plan)
  const ways = computed(() => (isStale.value ? null : (found.value?.ways ?? null)))
  const picked = computed(() => ways.value?.ways.find(({ id }) => id === pickedId.value) ?? null)
  const preferred = computed(() => {
    const prefers = store.job?.call.prefers
    return prefers ? (ways.value?.ways.find(({ best }) => best.includes(prefers)) ?? null) : null
  })

  async function look() {
    if (!store.job || !store.plan) return
    const of = store.plan
    share.value = 0
    reason.value = null
    const told = await bench
      .ways(
        toRaw(store.job),
        toRaw(shop.kit),
        proxy((done: number) => {
          share.value = done
        }),
      )
      .catch(() => ({ ok: false as const, reason: 'the search broke off: try it again' }))
    share.value = null
    if (told.ok === false) reason.value = told.reason
    if (told.ok !== true) return
    found.value = told.value && { of, ways: told.value }
    pickedId.value = preferred.value?.id ?? null
    if (!told.value) reason.value = 'no mend of it can be planned yet'
  }

  const x = computed(() =>
    scaleOf(ways.value?.ways.map(({ price }) => price) ?? [0], 1, BOX.left, BOX.wide - BOX.right),
  )
  const y = computed(() =>
    scaleOf(ways.value?.ways.map(({ chancePct }) => chancePct) ?? [0], 2, BOX.high - BOX.bottom, BOX.top),
  )
  const longestMin = computed(() => Math.max(1, ...(ways.value?.ways.map(({ elapsedMin }) => elapsedMin) ?? [])))
  const marks = computed(() =>
    (ways.value?.ways ?? []).map((way, n) => ({
      way,
      letter: String.fromCodePoint(65 + n),
      x: x.value.at(way.price),
      y: y.value.at(way.chancePct),
      r: Math.max(LEAST_R, MOST_R * Math.sqrt(way.elapsedMin / longestMin.value)),
    })),
  )
  const letterOf = (way: ShownWay) => marks.value.find(mark => mark.way === way)?.letter ?? ''

  /** Up and down the row of ways by the keys, as they lie in the picture. */
  function step(by: number) {
    const list = ways.value?.ways ?? []
    if (!list.length) return
    const at = list.findIndex(({ id }) => id === pickedId.value)
    pickedId.value = list[Math.min(list.length - 1, Math.max(0, at + by))]!.id
  }

  return {
    ways,
    marks,
    x,
    y,
    picked,
    pickedId,
    preferred,
    isStale,
    share,
    reason,
    look,
    step,
    letterOf,
    stop: () => {
      void bench.stop()
    },
    take: (way: ShownWay) => store.editAll(way.patches),
  }
}
