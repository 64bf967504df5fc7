import { transfer } from 'comlink'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Kit } from '#core/job/job.schema'
import { photoWorker } from '~/composables/photo-worker'
import { brokeOff } from '~/workers/worker-gone'
import { useShop } from '~/stores/shop'

type KitLens = Kit['lenses'][number]
/** Proportions nearer than this are the same camera's, held upright or across. */
const SAME_SHARE = 0.01
const proportion = (wide: number, high: number) => Math.max(wide, high) / Math.min(wide, high)

/** The lenses of this bench's cameras: learnt from pictures of the card, and taken out of pictures that come in. */
export function useLens() {
  const shop = useShop()
  /** Off, pictures come in as they were taken. */
  const straighten = useLocalStorage('ws-straighten', true)
  const busy = ref(false)
  const told = ref<string | null>(null)

  /** The lens that a picture of these proportions was most likely taken with: the one learnt last. */
  const lensFor = ({ width, height }: { width: number; height: number }): KitLens | null =>
    straighten.value
      ? (shop.kit.lenses.findLast(
          ({ wide, high }) => Math.abs(proportion(wide, high) / proportion(width, height) - 1) < SAME_SHARE,
        ) ?? null)
      : null

  async function straightened(bitmap: ImageBitmap, lens: KitLens): Promise<Blob> {
    const copy = await createImageBitmap(bitmap)
    return photoWorker().straighten(transfer(copy, [copy]), { k1: lens.k1, k2: lens.k2 })
  }

  async function learn(event: Event) {
    const input = event.target as HTMLInputElement
    const files = [...(input.files ?? [])]
    input.value = ''
    if (!files.length || busy.value) return
    busy.value = true
    told.value = null
    try {
      const found = await photoWorker().lens(files).catch(brokeOff)
      if (!found.ok) {
        told.value = `No lens learnt: ${found.reason}.`
        return
      }
      const { wide, high, k1, k2, beforePx, afterPx, looks } = found.value
      const lens: KitLens = {
        id: crypto.randomUUID(),
        name: `camera of ${wide} × ${high}`,
        at: new Date().toISOString(),
        wide,
        high,
        k1,
        k2,
        beforePx,
        afterPx,
      }
      const wrong = await shop.changeKit(kit => ({
        ...kit,
        lenses: [...kit.lenses.filter(each => each.name !== lens.name), lens],
      }))
      told.value =
        wrong ??
        `Learnt from ${looks} pictures: the card’s marks lay ${beforePx.toFixed(2)} px off flat, with the lens taken out ${afterPx.toFixed(2)} px. Pictures of these proportions are straightened as they come in.`
    } finally {
      busy.value = false
    }
  }
  const forget = (id: string) => shop.changeKit(kit => ({ ...kit, lenses: kit.lenses.filter(lens => lens.id !== id) }))

  return { lenses: computed(() => shop.kit.lenses), straighten, busy, told, lensFor, straightened, learn, forget }
}
