import { liveQuery, type Subscription } from 'dexie'
import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import type { PhotoMeasure } from '#core/photo/measure'
import { isOpenTrace, type Picture, type Trace } from '#core/job/picture.schema'
import { knownOf } from '#core/station/take-in/pictures'
import { coreWorker } from '~/composables/core-worker'
import { heldFile } from '~/db/files'
import { useJob } from '~/stores/job'

export type Measured = { trace: Trace; measure: PhotoMeasure | null; reason: string | null }

/** One picture of the open job: its bytes as an address, its scale, and every trace measured in the core. */
export function usePicture(id: Ref<string | null>) {
  const store = useJob()
  const index = computed(() => store.job?.pictures.findIndex(picture => picture.id === id.value) ?? -1)
  const picture = computed<Picture | null>(() => store.job?.pictures[index.value] ?? null)
  const address = ref<string | null>(null)
  const gone = ref(false)
  let following: Subscription | undefined
  const drop = () => {
    following?.unsubscribe()
    if (address.value) URL.revokeObjectURL(address.value)
    address.value = null
    gone.value = false
  }
  watch(
    id,
    now => {
      drop()
      const jobId = store.job?.id
      if (now === null || jobId === undefined) return
      // From another screen of the shop its bytes come after what is said of it.
      following = liveQuery(() => heldFile(jobId, now)).subscribe(file => {
        gone.value = !file
        if (file && !address.value) address.value = URL.createObjectURL(new Blob([file.bytes], { type: file.type }))
      })
    },
    { immediate: true },
  )
  onBeforeUnmount(drop)

  const scale = computed(() => (picture.value ? knownOf(picture.value) : { wants: 'a picture' }))
  const measured = shallowRef<Measured[]>([])
  let ticket = 0
  watch(
    picture,
    async now => {
      const mine = ++ticket
      const known = scale.value
      const list = await Promise.all(
        (now?.traces ?? []).map(async (trace): Promise<Measured> => {
          if (trace.px.length < 2) return { trace, measure: null, reason: 'two points at least' }
          if ('wants' in known) return { trace, measure: null, reason: `the scale wants ${known.wants}` }
          const asked = await coreWorker().ask('photo.measure', {
            known: known.known,
            trace: isOpenTrace(trace.kind) ? trace.px : [...trace.px, trace.px[0]!],
          })
          return asked.ok
            ? { trace, measure: asked.answer as PhotoMeasure, reason: null }
            : { trace, measure: null, reason: asked.error.kind === 'no-answer' ? asked.error.reason : 'not understood' }
        }),
      )
      if (mine === ticket) measured.value = list
    },
    { immediate: true },
  )

  return {
    index,
    picture,
    address,
    gone,
    scale,
    measured /** By the picture's own name: another may have been taken off before it meanwhile. */,
    edit: (path: (string | number)[], value: unknown) => store.edit(['pictures', `#${id.value}`, ...path], value),
  }
}
export type OpenPicture = ReturnType<typeof usePicture>
