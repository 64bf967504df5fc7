import { looksZipped, packBundle, readBundle, type BundledFile } from '#core/job/bundle'
import { readFile, type JobCorrected } from '#core/job/files'
import { jobOut, sorted } from '#core/job/out'
import { BenchDatabase } from '~/db/database'
import { fileChecks, type PictureSize, type ReadAny } from '~/db/file-checks'
import { takeInFile, type Imported } from '~/db/shelf'

export type Taken =
  | { ok: true; report: Imported & { corrected: readonly JobCorrected[] } }
  | { ok: false; issues: { path: string; message: string }[] }

/** Opens a database for one piece of work. */
export async function within<T>(database: string, work: (store: BenchDatabase) => Promise<T>): Promise<T> {
  const store = new BenchDatabase(database)
  try {
    return await work(store)
  } finally {
    store.close()
  }
}

/** Files in and out: unpacking, parsing, checking, packing and storing. `sizeOf` decodes a picture. */
export function filesBench(sizeOf: (file: BundledFile) => Promise<PictureSize | null>) {
  async function read(bytes: Uint8Array): Promise<ReadAny> {
    if (!looksZipped(bytes)) {
      const file = readFile(new TextDecoder().decode(bytes))
      return file.ok ? { ...file, files: [] } : file
    }
    const bundle = readBundle(bytes)
    return bundle.ok ? fileChecks(bundle, sizeOf) : bundle
  }
  /** Nothing changes unless all of it is sound. */
  async function store(file: ReadAny, database: string): Promise<Taken> {
    if (!file.ok) return { ok: false, issues: [...file.issues] }
    const imported = await within(database, into => takeInFile(file.jobs, file.kit, file.files, into))
    return { ok: true, report: { ...imported, corrected: file.corrected } }
  }
  return {
    read,
    /**
     * Takes a file of either kind (a zip with pictures, or plain text) into a database. What it holds is stored from
     * here: ten thousand jobs are not carried across to the page.
     */
    takeIn: async (bytes: Uint8Array, database: string): Promise<Taken> => store(await read(bytes), database),
    takeInText: async (text: string, files: readonly BundledFile[], database: string): Promise<Taken> => {
      const file = readFile(text)
      return store(file.ok ? await fileChecks({ ...file, files: [...files] }, sizeOf) : file, database)
    },
    jobOut,
    sorted,
    pack: (text: string, files: readonly BundledFile[]): Uint8Array => packBundle(text, files),
  }
}
