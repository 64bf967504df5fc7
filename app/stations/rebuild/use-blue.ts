import { computed, ref } from 'vue'
import { PICTURE_STAGES } from '#core/job/picture.schema'
import { blueOnFace, ownFace, type FaceBox } from '#core/station/rebuild/blue-on-face'
import { useJob } from '~/stores/job'

/** The blue counted in the open job's pictures, and which of them lies on the face's map. */
export function useBlue() {
  const store = useJob()
  const blued = computed(() =>
    (store.job?.pictures ?? []).flatMap(picture =>
      picture.blue
        ? [
            {
              ...picture,
              blue: picture.blue,
              words: `${picture.name || 'a picture'}, ${PICTURE_STAGES[picture.stage]}`,
            },
          ]
        : [],
    ),
  )
  /** Each small and by itself, as large as its outline is. */
  const maps = computed(() =>
    blued.value.flatMap(picture => {
      const own = ownFace(picture)
      const placed = own && blueOnFace(picture, own)
      return own && placed ? [{ picture, own, placed }] : []
    }),
  )
  const laidId = ref<string | null>(null)
  const laid = computed(() => maps.value.find(({ picture }) => picture.id === laidId.value)?.picture ?? null)
  const onFace = (face: FaceBox) => (laid.value ? blueOnFace(laid.value, face) : null)
  const turn = () => {
    if (laid.value) store.edit(['pictures', `#${laid.value.id}`, 'blue', 'turned'], (laid.value.blue.turned + 1) % 4)
  }
  return { blued, maps, laidId, laid, onFace, turn }
}
