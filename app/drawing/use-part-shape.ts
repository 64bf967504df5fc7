import { computed, ref, shallowRef, watch } from 'vue'
import { NoAnswer } from '#core/ask/question'
import { partSolid } from '#core/station/take-in/part-solid'
import { shapeOfPieces } from '#core/solid/stored/to-shape'
import { heldFile } from '~/db/files'
import { useJob } from '~/stores/job'
import type { SolidShape } from './use-part-sheet'

/** The open job's part as a solid to draw: from its pieces, its file, or a plain block of its sizes. */
export function usePartShape() {
  const store = useJob()
  const solid = computed(() => (store.job ? partSolid(store.job) : null))
  const from = computed(() => solid.value?.from ?? null)
  const file = computed(() => solid.value?.solid.mesh?.file ?? null)
  const triangles = shallowRef<{ file: string; trianglesMm: number[] } | null>(null)
  const missing = ref(false)
  watch(
    file,
    async id => {
      if (!id || triangles.value?.file === id) return
      const held = await heldFile(store.job!.id, id)
      missing.value = !held
      if (held && file.value === id)
        triangles.value = { file: id, trianglesMm: Array.from(new Float32Array(held.bytes)) }
    },
    { immediate: true },
  )
  const pieces = computed(() => JSON.stringify(solid.value?.solid.pieces ?? []))
  const built = computed((): { shape: SolidShape | null; reason: string | null } => {
    if (file.value) {
      if (triangles.value?.file === file.value)
        return { shape: { kind: 'mesh', trianglesMm: triangles.value.trianglesMm }, reason: null }
      return {
        shape: null,
        reason: missing.value ? "the file with the part's shape is not on this bench: put it in again" : null,
      }
    }
    const given = JSON.parse(pieces.value) as Parameters<typeof shapeOfPieces>[0]
    if (!given.length) return { shape: null, reason: null }
    try {
      return { shape: shapeOfPieces(given), reason: null }
    } catch (error) {
      if (error instanceof NoAnswer) return { shape: null, reason: error.message }
      throw error
    }
  })
  /** The last shape that could be drawn stays while a size is being typed. */
  const shown = shallowRef<SolidShape | null>(null)
  watch(
    built,
    ({ shape, reason }) => {
      if (shape || !reason) shown.value = shape
    },
    { immediate: true },
  )
  return { shape: shown, from, reason: computed(() => built.value.reason) }
}
