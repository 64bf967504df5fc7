import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { findCards, likeCards, type Card } from '#core/job/card'
import { byNeed, turnOf, type Standing } from '#core/plan/hand-order'
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
  const rows = ref(ROWS)
  const { stands: promises, when } = usePromises()

  /** Cards that hold the words; where none does, those with words like them. */
  const hits = computed(() => {
    const held = findCards(shop.cards, find.value)
    return held.length ? { cards: held, like: false } : { cards: likeCards(shop.cards, find.value), like: true }
  })
  const chosen = computed(() =>
    hits.value.cards.filter(card => stands.value === 'all' || (stands.value === 'open') === (card.handedAt === null)),
  )
  /** Least time left on each job's clocks; coarse, so that the order is not sought anew every second. */
  const clockOf = computed(() => {
    const left = new Map<string, number>()
    for (const clock of clocks.running)
      if (clock.jobId) left.set(clock.jobId, Math.min(left.get(clock.jobId) ?? Infinity, clock.leftS > 0 ? 1 : 0))
    return left
  })
  const clockKey = computed(() => JSON.stringify([...clockOf.value]))
  const besideNow = ref<ReadonlyMap<string, Beside>>(new Map())
  const standing = (card: Card): Standing => {
    const waits = besideNow.value.get(card.id)?.line?.waits ?? []
    return {
      handed: card.handedAt !== null,
      clockLeftS: clockOf.value.get(card.id) ?? null,
      late: (promises.value.get(card.id)?.lateMin ?? 0) > 0,
      buys: waits.some(wait => wait.kind === 'buy'),
      sentOn: waits.some(wait => wait.kind === 'on'),
      dueAt: card.dueAt,
      settled: card.settled.length,
      updatedAt: card.updatedAt,
    }
  }
  const found = computed(() => {
    // The index has them by last touched already; other orders are sorted here.
    if (order.value === 'updatedAt') return chosen.value
    if (order.value !== 'hand') return chosen.value.toSorted(ORDERED[order.value])
    void clockKey.value
    return chosen.value
      .map(card => ({ card, now: standing(card) }))
      .sort((a, b) => byNeed(a.now, b.now))
      .map(({ card }) => card)
  })
  const shown = computed(() => found.value.slice(0, rows.value))
  const beside = useShelfLines(shown)
  watch(beside, next => {
    besideNow.value = next
  })
  watch([find, order, stands], () => {
    rows.value = ROWS
  })

  let leave: (() => void) | undefined
  onMounted(() => {
    leave = shop.followShelf()
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
    left: computed(() => Math.max(0, found.value.length - rows.value)),
    more: () => {
      rows.value += ROWS
    },
  }
}
