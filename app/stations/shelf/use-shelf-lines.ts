import { onBeforeUnmount, shallowRef, toRaw, watch, type Ref } from 'vue'
import type { Card } from '#core/job/card'
import type { SmallView } from '#core/solid/small-view'
import type { ShelfLine } from '#core/plan/shelf-line'
import { shelfWorker } from '~/composables/shelf-worker'
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

/**
 * Works out, one after another in a worker, what the shelf says of the cards that are looked at. A card that has not
 * changed is not worked out again.
 */
export function useShelfLines(cards: Ref<readonly Card[]>) {
  const shop = useShop()
  const { shelf, end } = shelfWorker()
  const beside = shallowRef<ReadonlyMap<string, Beside>>(new Map())
  const known = new Map<string, string>()
  let ticket = 0

  async function pictureOf(jobId: string, fileId: string | undefined): Promise<string | null> {
    const file = fileId === undefined ? undefined : await db.held.get([jobId, fileId])
    const small = file ? await shelf.small(file.bytes, file.type, PICTURE_PX) : null
    return small && URL.createObjectURL(small)
  }
  async function look(list: readonly Card[]) {
    const mine = ++ticket
    for (const { id, updatedAt } of list) {
      const key = `${updatedAt}/${kitTurn}`
      if (known.get(id) === key) continue
      const job = await db.jobs.get(id)
      if (!job) continue
      // A picture of the sound twin is no picture of this part.
      const first = job.pictures?.find(({ stage }) => stage === 'before') ?? job.pictures?.[0]
      const said = await shelf.said(job, toRaw(shop.kit))
      const picture = beside.value.get(id)?.picture ?? (await pictureOf(id, first?.id))
      if (mine !== ticket) return
      known.set(id, key)
      beside.value = new Map(beside.value).set(id, { ...said, picture })
    }
  }
  let kitTurn = 0
  watch(
    () => shop.kit,
    () => {
      kitTurn += 1
    },
  )
  watch(
    [cards, () => shop.kit],
    () => {
      void look(cards.value)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    ticket += 1
    end()
    for (const { picture } of beside.value.values()) if (picture) URL.revokeObjectURL(picture)
  })
  return beside
}
