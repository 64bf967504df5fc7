import { onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import type { Lessons } from '#core/station/shop/lessons'
import { plannable } from '#core/station/shop/lessons'
import { filesWorker } from '~/composables/files-worker'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'
import { startWorker } from '~/workers/start'

/** Jobs that lessons are drawn from at most: the newest handed over. */
const MOST_JOBS = 400

/** What this shop's finished jobs teach, worked out off the page; and its use in plans from now on. */
export function useLessons() {
  const shop = useShop()
  const { bench, end } = startWorker('lessons')
  const lessons = shallowRef<Lessons | null>(null)
  const trouble = ref<string | null>(null)
  async function look() {
    const finished = await db.cards.where('handedAt').above('').reverse().limit(MOST_JOBS).primaryKeys()
    const returned = await db.cards.filter(card => card.comebackOf !== null).primaryKeys()
    const { jobs, damaged } = await filesWorker().sorted(
      (await db.jobs.bulkGet([...new Set([...finished, ...returned])])).filter(job => job !== undefined),
    )
    shop.noteDamaged(damaged)
    lessons.value = await bench.lessons(jobs, toRaw(shop.kit))
  }
  watch(
    () => shop.kit,
    () => {
      look().catch((error: unknown) => {
        trouble.value = error instanceof Error ? error.message : 'the worker gave up'
      })
    },
    { immediate: true },
  )
  onBeforeUnmount(end)

  /** From now on plans and quotes go by what was learnt; each says so and from how many jobs. */
  async function use() {
    const learnt = lessons.value?.learnt ?? []
    const ratios = Object.fromEntries(
      learnt.filter(({ ratio }) => plannable(ratio.ratio)).map(({ key, ratio }) => [key, ratio]),
    )
    const left = learnt.filter(({ ratio }) => !plannable(ratio.ratio)).map(({ name }) => name)
    const odds = lessons.value?.odds ?? null
    const at = new Date().toISOString()
    const refused = await shop.changeKit(kit => ({ ...kit, learnt: { at, ratios, odds } }))
    trouble.value =
      refused ??
      (left.length
        ? `Not planned with, more than twenty times off its starting value (look for a slip in the minutes or rods noted): ${left.join(', ')}.`
        : null)
  }
  const forget = () => shop.changeKit(kit => ({ ...kit, learnt: null }))
  return { lessons, trouble, use, forget, shop }
}
