import { expose, transfer } from 'comlink'
import type { BundledFile } from '#core/job/bundle'
import type { Kit } from '#core/job/job.schema'
import { shopOut, type Damaged } from '#core/job/out'
import type { PictureSize } from '~/db/file-checks'
import { bundledFiles, soundFiles } from '~/db/files'
import { filesBench, within } from './files-bench'

export interface ShopOut {
  blob: Blob
  zipped: boolean
  /** How many are in it. */
  jobs: number
  damaged: readonly Damaged[]
  /** Pictures that are damaged and stayed behind. */
  left: string[]
}

/** A picture's size, decoded; null where it cannot be. */
async function sizeOf(file: BundledFile): Promise<PictureSize | null> {
  try {
    const bitmap = await createImageBitmap(new Blob([file.bytes.slice()], { type: file.type }))
    const size = { wide: bitmap.width, high: bitmap.height }
    bitmap.close()
    return size
  } catch {
    return null
  }
}

const bench = filesBench(sizeOf)

/**
 * The whole shop of a database as a file. It is read, checked and packed here: ten thousand jobs are not carried across
 * to the page and back.
 */
const shopFile = (database: string, kit: Kit, exportedAt: string): Promise<ShopOut> =>
  within(database, async store => {
    const { text, jobs, damaged } = shopOut(await store.jobs.toArray(), kit, exportedAt)
    const { files, left } = soundFiles(await bundledFiles(jobs, store))
    const zipped = files.length > 0
    return {
      blob: new Blob([zipped ? bench.pack(text, files).slice() : text]),
      zipped,
      jobs: jobs.length,
      damaged,
      left,
    }
  })

const wholeBench = {
  ...bench,
  shopFile,
  pack: (text: string, files: readonly BundledFile[]) => {
    const packed = bench.pack(text, files)
    return transfer(packed, [packed.buffer])
  },
}
export type FilesWorker = typeof wholeBench

/** Files in and out, off the page's thread. */
expose(wholeBench)
