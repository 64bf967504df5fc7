import { ref } from 'vue'
import { pictureSchema, type Picture } from '#core/job/picture.schema'
import { isFull, refusalWords } from '~/composables/refusal'
import { db } from '~/db/database'
import { useJob } from '~/stores/job'
import { useLens } from './use-lens'

/** Pictures larger than this along a side are stored smaller: measuring gains nothing past it. */
const LONGEST_PX = 4000
const MOST_PICTURES = 60
const LONGEST_NAME = 120

/** As it is, or drawn smaller where it is very large. */
async function fitted(
  file: Blob,
  bitmap: ImageBitmap,
): Promise<{ bytes: ArrayBuffer; type: string; wide: number; high: number }> {
  const share = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const kept = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/avif'].includes(file.type)
  if (share === 1 && kept)
    return { bytes: await file.arrayBuffer(), type: file.type, wide: bitmap.width, high: bitmap.height }
  const [wide, high] = [Math.round(bitmap.width * share), Math.round(bitmap.height * share)]
  const canvas = new OffscreenCanvas(wide, high)
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, wide, high)
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 })
  return { bytes: await blob.arrayBuffer(), type: 'image/jpeg', wide, high }
}

/** Pictures into the open job, from a file, the camera, the clipboard or a drop. */
export function useAddPictures(added: (id: string) => unknown) {
  const store = useJob()
  const lenses = useLens()
  const report = ref<string | null>(null)

  async function take(files: readonly File[]) {
    const refused: string[] = []
    // A large picture takes a while: it goes to the job it was taken for, left or not.
    const jobId = store.job!.id
    const onBench = () => store.job?.id === jobId
    for (const file of files) {
      if (onBench() && store.job!.pictures.length >= MOST_PICTURES) {
        refused.push(`${file.name}: a job holds ${MOST_PICTURES} pictures`)
        continue
      }
      try {
        const bitmap = await createImageBitmap(file)
        const lens = lenses.lensFor(bitmap)
        const straight = lens ? await lenses.straightened(bitmap, lens) : file
        const { bytes, type, wide, high } = await fitted(straight, lens ? await createImageBitmap(straight) : bitmap)
        const id = crypto.randomUUID()
        await db.held.put({ id, jobId, kind: 'picture', name: file.name.slice(0, LONGEST_NAME), type, bytes })
        const picture: Picture = pictureSchema.parse({
          id,
          name: file.name.slice(0, LONGEST_NAME),
          lens: lens?.name ?? '',
          widthPx: wide,
          heightPx: high,
        })
        const why = await store.bring(jobId, ['pictures'], job => [...job.pictures, picture])
        if (why !== null) refused.push(`${file.name || 'that'}: ${why}`)
        else if (onBench()) added(id)
      } catch (error) {
        refused.push(
          `${file.name || 'that'}: ${isFull(error) ? refusalWords(error) : 'not a picture this browser can read'}`,
        )
      }
    }
    report.value = refused.length ? `${refused.join('. ')}. The rest is as it was.` : null
  }

  return {
    report,
    take,
    fromInput: (event: Event) => {
      const input = event.target as HTMLInputElement
      const files = [...(input.files ?? [])]
      input.value = ''
      void take(files)
    },
    fromDrop: (event: DragEvent) => {
      void take([...(event.dataTransfer?.files ?? [])])
    },
    fromPaste: (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])]
      if (files.length) {
        event.preventDefault()
        void take(files)
      }
    },
  }
}
