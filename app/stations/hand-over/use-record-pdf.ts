import { ref, shallowRef, toRaw } from 'vue'
import { format } from 'date-fns'
import { recordOf } from '#core/station/hand-over/record'
import { sayerOf } from '#core/words/load'
import { pdfFaces } from '~/composables/pdf-faces'
import { download, fileName } from '~/composables/use-files'
import { usePartShape } from '~/drawing/use-part-shape'
import { heldFile } from '~/db/files'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

/** So many letters are named. */
const MOST_NAMED = 12

/** The record of the open job as a PDF, with its pictures. */
export function useRecordPdf() {
  const store = useJob()
  const shop = useShop()
  const settings = useSettings()
  const { shape } = usePartShape()
  /** Letters that the shipped typeface has not; the printed page has what the machine has. */
  const lacking = shallowRef<{ letters: string; save: () => void } | null>(null)
  /** Why there is no PDF. */
  const trouble = ref<string | null>(null)
  async function savePdf() {
    trouble.value = null
    await makePdf().catch((error: unknown) => {
      trouble.value = error instanceof Error ? error.message : 'the paper could not be made'
    })
  }
  async function makePdf() {
    const job = toRaw(store.job)
    if (!job || !store.plan) return
    const { recordPdf } = await import('#core/station/hand-over/record-pdf')
    const { partDrawing } = await import('#core/station/take-in/part-drawing')
    const files = await Promise.all(job.pictures.map(picture => heldFile(job.id, picture.id)))
    const day = (at: string) => format(new Date(at), 'd MMMM yyyy')
    const words = await sayerOf(job.handOver.recordLanguage ?? settings.language)
    const { customer, takenInAt } = job
    const { handedAt, handedTo } = job.handOver
    const under = words('{0}Taken in {1}{2}.', [
      customer && words('For {0}. ', [customer]),
      day(takenInAt),
      handedAt
        ? handedTo
          ? words(', handed over {0} to {1}', [day(handedAt), handedTo])
          : words(', handed over {0}', [day(handedAt)])
        : words(', not handed over yet'),
    ])
    const pictures = job.pictures.flatMap((picture, n) =>
      files[n] ? [{ name: picture.name || 'picture', type: files[n].type, bytes: new Uint8Array(files[n].bytes) }] : [],
    )
    const { bytes, lacked } = await recordPdf({
      shop: shop.kit.shop,
      title: job.title,
      under,
      part: shape.value ? partDrawing(job, store.plan, shape.value, settings.system) : null,
      record: recordOf(job, store.plan, shop.kit, settings.system),
      pictures,
      words,
      faces: await pdfFaces(),
    })
    const save = () => {
      download(`${fileName(job.title)}.record.pdf`, bytes, 'application/pdf')
      lacking.value = null
    }
    if (lacked.length) lacking.value = { letters: lacked.slice(0, MOST_NAMED).join(' '), save }
    else save()
  }
  return { savePdf, lacking, trouble }
}
