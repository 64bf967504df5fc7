import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import type { ShownMatters } from '#core/station/matters/shown'
import { startLent } from '~/composables/kept-work'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

/** Whoever is still typing is not drawn for. */
const STILL_MS = 700

/** What the open job's readings make of its price, hours and chance; drawn anew once its plan has come to rest. */
export function useMatters() {
  const store = useJob()
  const shop = useShop()
  const { bench, end } = startLent('ways')
  const found = shallowRef<{ of: unknown; matters: ShownMatters | null } | null>(null)
  const share = ref<number | null>(null)
  /** What it rests on: how sure a reading is changes no plan. */
  const now = computed(() => ({ plan: store.plan, sure: store.job?.call.sure }))
  let waiting: ReturnType<typeof setTimeout> | undefined
  let ticket = 0

  async function draw() {
    const mine = ++ticket
    const of = now.value
    if (!store.job || !store.plan) return
    share.value = 0
    const told = await bench
      .matters(
        toRaw(store.job),
        toRaw(shop.kit),
        proxy((done: number) => {
          if (mine === ticket) share.value = done
        }),
      )
      .catch(() => ({ ok: false as const, reason: '' }))
    if (mine !== ticket) return
    share.value = null
    if (told.ok !== 'stopped') found.value = { of, matters: told.ok ? told.value : null }
  }
  watch(
    now,
    () => {
      clearTimeout(waiting)
      waiting = setTimeout(() => {
        void draw()
      }, STILL_MS)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    clearTimeout(waiting)
    ticket++
    end()
  })

  const isStale = computed(() => found.value?.of !== now.value)
  return { matters: computed(() => found.value?.matters ?? null), isStale, share }
}
