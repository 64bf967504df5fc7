import { expose, transfer } from 'comlink'
import type { BundledFile } from '#core/job/bundle'
import type { PictureSize } from '~/db/file-checks'
import { filesBench } from './files-bench'

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

/** Files in and out, off the page's thread. */
expose({
  ...bench,
  pack: (text: string, files: readonly BundledFile[]) => {
    const packed = bench.pack(text, files)
    return transfer(packed, [packed.buffer])
  },
})
