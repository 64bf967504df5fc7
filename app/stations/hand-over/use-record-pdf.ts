import { toRaw } from 'vue'
import { format } from 'date-fns'
import { recordOf } from '#core/plan/record'
import { download, fileName } from '~/composables/use-files'
import { usePartShape } from '~/drawing/use-part-shape'
import { heldFile } from '~/db/files'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

/** The record of the open job as a PDF, with its pictures. */
export function useRecordPdf() {
  const store = useJob()
  const shop = useShop()
  const settings = useSettings()
  const { shape } = usePartShape()
  async function savePdf() {
    const job = toRaw(store.job)
    if (!job || !store.plan) return
    const { recordPdf } = await import('#core/plan/record-pdf')
    const { partDrawing } = await import('#core/plan/part-drawing')
    const files = await Promise.all(job.pictures.map(picture => heldFile(job.id, picture.id)))
    const day = (at: string) => format(new Date(at), 'd MMMM yyyy')
    const under = `${job.customer ? `For ${job.customer}. ` : ''}Taken in ${day(job.takenInAt)}${job.handOver.handedAt ? `, handed over ${day(job.handOver.handedAt)}${job.handOver.handedTo ? ` to ${job.handOver.handedTo}` : ''}` : ', not handed over yet'}.`
    const pictures = job.pictures.flatMap((picture, n) =>
      files[n] ? [{ name: picture.name || 'picture', type: files[n].type, bytes: new Uint8Array(files[n].bytes) }] : [],
    )
    download(
      `${fileName(job.title)}.record.pdf`,
      await recordPdf({
        shop: shop.kit.shop,
        title: job.title,
        under,
        part: shape.value ? partDrawing(job, store.plan, shape.value, settings.system) : null,
        record: recordOf(job, store.plan, shop.kit, settings.system),
        pictures,
      }),
      'application/pdf',
    )
  }
  return { savePdf }
}
