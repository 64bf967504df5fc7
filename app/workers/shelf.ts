import type { Job, Kit } from '#core/job/job.schema'
import { stockOf, takesOf, type Stock } from '#core/station/shop/consumables'
import { planJob } from '#core/station/plan-job'
import { shelfDrawing, shelfLine, type ShelfLine } from '#core/station/shop/shelf-line'
import type { SmallView } from '#core/solid/small-view'
import { keptWork, takenBack } from './kept-work'

export interface ShelfSaid {
  /** Null where the job could not be worked out. */
  line: ShelfLine | null
  drawing: SmallView | null
}

const attempt = <T>(work: () => T): T | null => {
  try {
    return work()
  } catch {
    return null
  }
}

export const bench = {
  ...keptWork,
  /** What the shelf says of one job, and its part from above. */
  said: async (job: Job, kit: Kit): Promise<ShelfSaid> => {
    await takenBack
    return { line: attempt(() => shelfLine(job, kit)), drawing: attempt(() => shelfDrawing(job)) }
  },
  /** What is left of rods and gas against what the open jobs take. */
  stock: async (jobs: Job[], kit: Kit): Promise<Stock[]> => {
    await takenBack
    return stockOf(
      kit,
      jobs.flatMap(job => attempt(() => takesOf(job, planJob(job, kit), kit)) ?? []),
    )
  },
  /** A picture made small enough for a list; null where the browser cannot read it. */
  small: async (bytes: ArrayBuffer, type: string, widePx: number): Promise<Blob | null> => {
    try {
      const picture = await createImageBitmap(new Blob([bytes], { type }), { resizeWidth: widePx })
      const canvas = new OffscreenCanvas(picture.width, picture.height)
      canvas.getContext('2d')!.drawImage(picture, 0, 0)
      picture.close()
      return await canvas.convertToBlob({ type: 'image/webp', quality: 0.8 })
    } catch {
      return null
    }
  },
}
