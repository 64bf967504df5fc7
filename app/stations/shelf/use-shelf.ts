import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { findCards, likeCards, type Card } from '#core/job/card'
import { byNeed, turnOf, type Standing } from '#core/station/shop/hand-order'
import { useClocks } from '~/stores/clocks'
import { useShop } from '~/stores/shop'
import { usePromises } from './use-promises'
import { useShelfLines, type Beside } from './use-shelf-lines'

export const ORDERS = [
  { value: 'hand', title: 'needs a hand next' },
  { value: 'updatedAt', title: 'last touched' },
  { value: 'takenInAt', title: 'taken in' },
  { value: 'dueAt', title: 'promised' },
  { value: 'title', title: 'by name' },
] as const
export type OrderId = (typeof ORDERS)[number]['value']
export const STANDS = { all: 'all', open: 'open', handed: 'handed over' } as const

/** Rows drawn at first, and as many more at each press. */
const ROWS = 30
/** As many as fill a screen: those are painted first, the others in the frames after. */
const FIRST_ROWS = 8
const down = <T>(a: T, b: T) => (a < b ? 1 : a > b ? -1 : 0)
const ORDERED: Readonly<Record<Exclude<OrderId, 'hand' | 'updatedAt'>, (a: Card, b: Card) => number>> = {
  takenInAt: (a, b) => down(a.takenInAt, b.takenInAt),
  dueAt: (a, b) => down(b.dueAt ?? '~', a.dueAt ?? '~'),
  title: (a, b) => a.title.localeCompare(b.title),
}

/** The shelf's cards as they are looked through: found, chosen, in order, and what stands beside each. */
export function useShelf() {
  const shop = useShop()
  const clocks = useClocks()
  const find = ref('')
  const order = ref<OrderId>('hand')
  const stands = ref<keyof typeof STANDS>('all')
  const rows = ref(FIRST_ROWS)
  const drawTheRest = () =>
    requestAnimationFrame(() =>
      setTimeout(() => {
        rows.value = Math.max(rows.value, ROWS)
      }, 0),
    )
  const { stands: promises, when } = usePromises()

  /** Jobs with a clock, and whether one has run out; put by as text, so that nothing is sorted anew every second. */
  const clockKey = computed(() => {
    const left: Record<string, number> = {}
    for (const { jobId, leftS } of clocks.running)
      if (jobId) left[jobId] = Math.min(left[jobId] ?? Infinity, leftS > 0 ? 1 : 0)
    return JSON.stringify(left)
  })
  const clockOf = computed(() => new Map(Object.entries(JSON.parse(clockKey.value) as Record<string, number>)))
  const besideNow = shallowRef<ReadonlyMap<string, Beside>>(new Map())
  /** Jobs that wait for something to buy or for somebody else; as text too, for most lines change no order. */
  const waitKey = computed(() =>
    JSON.stringify(
      [...besideNow.value].flatMap(([id, { line }]) => {
        const kinds = (line?.waits ?? []).map(wait => wait.kind).filter(kind => kind === 'buy' || kind === 'on')
        return kinds.length ? [[id, kinds]] : []
      }),
    ),
  )
  const waitsOf = computed(() => new Map(JSON.parse(waitKey.value) as [string, string[]][]))
  const standing = (card: Card): Standing => ({
    handed: card.handedAt !== null,
    clockLeftS: clockOf.value.get(card.id) ?? null,
    late: (promises.value.get(card.id)?.lateMin ?? 0) > 0,
    buys: waitsOf.value.get(card.id)?.includes('buy') ?? false,
    sentOn: waitsOf.value.get(card.id)?.includes('on') ?? false,
    dueAt: card.dueAt,
    settled: card.settled.length,
    updatedAt: card.updatedAt,
  })
  /** All cards in their order; what is typed into the search only picks from it. */
  const ordered = computed((): readonly Card[] => {
    // The index has them by last touched already; other orders are sorted here.
    if (order.value === 'updatedAt') return shop.cards
    if (order.value !== 'hand') return shop.cards.toSorted(ORDERED[order.value])
    return shop.cards
      .map(card => ({ card, now: standing(card) }))
      .sort((a, b) => byNeed(a.now, b.now))
      .map(({ card }) => card)
  })
  /** Cards that hold the words; where none does, those with words like them. */
  const hits = computed(() => {
    const held = findCards(ordered.value, find.value)
    return held.length ? { cards: held, like: false } : { cards: likeCards(ordered.value, find.value), like: true }
  })
  const found = computed(() =>
    stands.value === 'all'
      ? hits.value.cards
      : hits.value.cards.filter(card => (stands.value === 'open') === (card.handedAt === null)),
  )
  const shown = computed(() => found.value.slice(0, rows.value))
  const beside = useShelfLines(shown)
  watch(beside, next => {
    besideNow.value = next
  })
  watch([find, order, stands], () => {
    rows.value = FIRST_ROWS
    drawTheRest()
  })

  let leave: (() => void) | undefined
  onMounted(() => {
    leave = shop.followShelf()
    drawTheRest()
  })
  onBeforeUnmount(() => leave?.())
  return {
    find,
    order,
    stands,
    hits,
    found,
    shown,
    beside,
    promises,
    when,
    turn: (card: Card) => turnOf(standing(card)),
    left: computed(() => Math.max(0, found.value.length - Math.max(ROWS, rows.value))),
    more: () => {
      rows.value += ROWS
    },
  }
}
