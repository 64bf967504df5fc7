import { computed, onMounted, ref } from 'vue'
import type { Picture } from '#core/job/picture.schema'
import { onPart } from '~/stations/pictures/on-part'
import { useJob } from '~/stores/job'
import type { Shaping } from './use-shape'

/** The outline and the holes traced in a scaled picture, as a piece of the part. */
export function useFromPicture(shaping: Shaping) {
  const store = useJob()
  const refused = ref<string | null>(null)
  const outlines = computed(() =>
    store.job!.pictures.filter(picture =>
      picture.traces.some(trace => trace.kind === 'outline' && trace.px.length > 2),
    ),
  )
  let taking = false
  async function take(id: string) {
    // Pressed twice, it is one piece.
    if (taking) return
    taking = true
    const picture: Picture = outlines.value.find(each => each.id === id)!
    const outline = picture.traces.find(trace => trace.kind === 'outline' && trace.px.length > 2)!
    const holes = picture.traces.filter(trace => trace.kind === 'hole' && trace.px.length > 2)
    try {
      const [edge, ...inside] = await Promise.all(
        [outline, ...holes].map(trace => onPart(picture, trace.px, 'an outline traced')),
      )
      // A picture's millimetres count downwards; a part is looked at with up being up, from its lowest corner.
      const [left, low] = [Math.min(...edge!.map(([x]) => x)), Math.max(...edge!.map(([, y]) => y))]
      const upright = (ring: readonly [number, number][]) =>
        ring.map(([x, y]): [number, number] => [Math.round((x - left) * 100) / 100, Math.round((low - y) * 100) / 100])
      shaping.add('outline', false, { outline: { edge: upright(edge!), holes: inside.map(upright) } })
      refused.value = null
    } catch (error) {
      refused.value = error instanceof Error ? error.message : 'that did not work'
    } finally {
      taking = false
    }
  }
  // Sent here from the picture's own station: taken at once, and the word out of the address.
  const route = useRoute()
  const router = useRouter()
  onMounted(async () => {
    const sent = route.query.outline
    if (typeof sent !== 'string') return
    await router.replace({ query: { ...route.query, outline: undefined } })
    if (outlines.value.some(({ id }) => id === sent)) await take(sent)
  })
  return { outlines, take, refused }
}
