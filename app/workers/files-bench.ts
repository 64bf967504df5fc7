import { looksZipped, packBundle, readBundle, type BundledFile } from '#core/job/bundle'
import { readFile } from '#core/job/files'
import { jobOut, sorted } from '#core/job/out'
import { fileChecks, type PictureSize, type ReadAny } from '~/db/file-checks'

/** Files in and out: unpacking, parsing, checking and packing. `sizeOf` decodes a picture. */
export const filesBench = (sizeOf: (file: BundledFile) => Promise<PictureSize | null>) => ({
  read: async (bytes: Uint8Array): Promise<ReadAny> => {
    if (!looksZipped(bytes)) {
      const file = readFile(new TextDecoder().decode(bytes))
      return file.ok ? { ...file, files: [] } : file
    }
    const bundle = readBundle(bytes)
    return bundle.ok ? fileChecks(bundle, sizeOf) : bundle
  },
  readText: async (text: string, files: readonly BundledFile[]): Promise<ReadAny> => {
    const file = readFile(text)
    return file.ok ? fileChecks({ ...file, files: [...files] }, sizeOf) : file
  },
  jobOut,
  sorted,
  pack: (text: string, files: readonly BundledFile[]): Uint8Array => packBundle(text, files),
})
