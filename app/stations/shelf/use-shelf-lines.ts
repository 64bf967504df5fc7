import { onBeforeUnmount, shallowRef, toRaw, watch, type Ref } from 'vue'
import type { Card } from '#core/job/card'
import type { SmallView } from '#core/solid/small-view'
import type { ShelfLine } from '#core/station/shop/shelf-line'
import { startLent } from '~/composables/kept-work'
import { TRY_AGAIN_MS } from '~/composables/refusal'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'

/** What stands beside a card: what is next and what it waits for, and what the part looks like. */
export interface Beside {
  line: ShelfLine | null
  drawing: SmallView | null
  /** Address of a small picture of the part, where it has one. */
  picture: string | null
}

/** Twice the width of its place in the list, for sharp screens. */
const PICTURE_PX = 192

/** What is looked for is typed letter by letter: its lines are worked out once the hand has stopped this long. */
const SETTLE_MS = 250

/** What comes within this time is shown together: each showing goes through all rows, and may order them anew. */
const TOGETHER_MS = 150

/** So many are remembered; a shelf shows some dozens at a time. */
const MOST_KEPT = 400

/** What was worked out on this page, whichever view is looked at meanwhile. */
const kept = new Map<string, { key: string; beside: Beside }>()
let kits = 0
const kitNumbers = new WeakMap<object, number>()
/** A number for each kit that there has been, the same for the same. */
function kitNumber(kit: object): number {
  if (!kitNumbers.has(kit)) kitNumbers.set(kit, ++kits)
  return kitNumbers.get(kit)!
}

/**
 * Works out, one after another in a worker, what the shelf says of the cards that are looked at. A card that has not
 * changed is not worked out again, and what is being worked out is finished whatever is looked at next.
 */
export function useShelfLines(cards: Ref<readonly Card[]>) {
  const shop = useShop()
  const { bench: shelf, end } = startLent('shelf')
  const keyOf = ({ updatedAt }: Card) => `${updatedAt}/${kitNumber(toRaw(shop.kit))}`
  const all = () => new Map([...kept].map(([id, { beside }]) => [id, beside]))
  const beside = shallowRef<ReadonlyMap<string, Beside>>(all())
  let [open, busy, waiting] = [true, false, false]
  let shownAt = -Infinity
  const show = () => {
    waiting = false
    shownAt = performance.now()
    beside.value = all()
  }
  let quietFrom = 0
  const settled = async () => {
    for (let left = quietFrom - Date.now(); left > 0; left = quietFrom - Date.now())
      await new Promise(resolve => {
        setTimeout(resolve, left)
      })
  }

  async function pictureOf(jobId: string, fileId: string | undefined): Promise<string | null> {
    const file = fileId === undefined ? undefined : await db.held.get([jobId, fileId])
    const small = file ? await shelf.small(file.bytes, file.type, PICTURE_PX) : null
    return small && URL.createObjectURL(small)
  }
  async function besideOf(id: string): Promise<Beside> {
    const job = await db.jobs.get(id)
    if (!job) return { line: null, drawing: null, picture: null }
    // A picture of the sound twin is no picture of this part.
    const first = job.pictures?.find(({ stage }) => stage === 'before') ?? job.pictures?.[0]
    const said = await shelf.said(job, toRaw(shop.kit))
    return { ...said, picture: kept.get(id)?.beside.picture ?? (await pictureOf(id, first?.id)) }
  }
  function keep(id: string, key: string, found: Beside) {
    kept.delete(id)
    kept.set(id, { key, beside: found })
    for (const [oldest, { beside: gone }] of kept) {
      if (kept.size <= MOST_KEPT) break
      if (gone.picture) URL.revokeObjectURL(gone.picture)
      kept.delete(oldest)
    }
  }
  async function look() {
    if (busy) return
    busy = true
    for (;;) {
      await settled()
      const next = open && cards.value.find(card => kept.get(card.id)?.key !== keyOf(card))
      if (!next) break
      const key = keyOf(next)
      const found = await besideOf(next.id).catch(() => null)
      if (!found) {
        // Put once more already: left for a while, the shelf goes without.
        setTimeout(() => void look(), TRY_AGAIN_MS)
        break
      }
      keep(next.id, key, found)
      if (performance.now() - shownAt >= TOGETHER_MS) show()
      else waiting = true
    }
    busy = false
    if (waiting) show()
  }
  watch(
    [cards, () => shop.kit],
    ([, kit], before) => {
      // The first cards are worked out at once, and a changed kit's.
      if (before[0]?.length && kit === before[1]) quietFrom = Date.now() + SETTLE_MS
      // Only what is newly worked out changes what is shown: the order of the cards goes by it.
      void look()
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    open = false
    end()
  })
  return beside
}
