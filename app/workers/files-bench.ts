import { looksZipped, packBundle, readBundle, type BundledFile } from '#core/job/bundle'
import {
  checkJob,
  gathered,
  openFile,
  shopFrame,
  type CheckedJob,
  type JobCorrected,
  type ReadFile,
} from '#core/job/files'
import { MOST_JOBS, type Kit } from '#core/job/job.schema'
import { jobOut, kitOut, partOut, sorted, type Damaged } from '#core/job/out'
import { BenchDatabase } from '~/db/database'
import { fileChecks, type PictureSize, type ReadAny } from '~/db/file-checks'
import { filesAt, placesOf, soundFiles, type FilePlace } from '~/db/files'
import { takeInFile, type Imported } from '~/db/shelf'
import { inPieces, manyHands } from './many-hands'

export type Taken =
  | { ok: true; report: Imported & { corrected: readonly JobCorrected[] } }
  | { ok: false; issues: { path: string; message: string }[] }

export interface ShopOut {
  blob: Blob
  zipped: boolean
  /** How many are in it. */
  jobs: number
  damaged: readonly Damaged[]
  /** Pictures that are damaged and stayed behind. */
  left: string[]
}

/** Some of a shop's jobs, written. */
interface WrittenPart {
  lines: Blob
  jobs: number
  damaged: readonly Damaged[]
  places: readonly FilePlace[]
}

/** What another worker of this kind does of a large file. */
export interface FilesHand {
  /** Checks jobs; nothing for those that are sound as they stand. */
  check: (found: readonly unknown[]) => Promise<(CheckedJob | null)[]>
  write: (database: string, ids: readonly string[]) => Promise<WrittenPart>
}

/** Jobs that are checked or written in one go: some tenth of a second. */
const PIECE = 200

/** Opens a database for one piece of work. */
async function within<T>(database: string, work: (store: BenchDatabase) => Promise<T>): Promise<T> {
  const store = new BenchDatabase(database)
  try {
    return await work(store)
  } finally {
    store.close()
  }
}

/** The part of a large file's work that can be given to another worker. */
export const filesHand = {
  check: (found: readonly unknown[]): (CheckedJob | null)[] =>
    found.map(each => {
      const checked = checkJob(each)
      const asItStands = checked.ok && !checked.corrected.length && JSON.stringify(checked.job) === JSON.stringify(each)
      return asItStands ? null : checked
    }),
  write: (database: string, ids: readonly string[]): Promise<WrittenPart> =>
    within(database, async store => {
      const stored = (await store.jobs.bulkGet([...ids])).filter(job => job !== undefined)
      const { text, jobs, damaged } = partOut(stored)
      return { lines: new Blob([text]), jobs: jobs.length, damaged, places: jobs.flatMap(placesOf) }
    }),
}

/**
 * Files in and out: unpacking, parsing, checking, packing and storing.
 * @param sizeOf decodes a picture
 * @param hands other workers for so many pieces of work; ten thousand jobs are shared among them
 */
export function filesBench(
  sizeOf: (file: BundledFile) => Promise<PictureSize | null>,
  hands: (pieces: number) => readonly FilesHand[] = () => [],
) {
  async function readText(text: string): Promise<ReadFile> {
    const opened = openFile(text)
    if (!opened.ok) return opened
    const pieces = inPieces(opened.jobs, PIECE)
    const checked = await manyHands(
      pieces,
      piece => piece.map(checkJob),
      hands(pieces.length).map(hand => async piece => {
        const found = await hand.check(piece)
        return found.map((each, n): CheckedJob => each ?? { ok: true, job: piece[n] as never, corrected: [] })
      }),
    )
    return gathered(opened, checked.flat())
  }
  async function read(bytes: Uint8Array): Promise<ReadAny> {
    if (!looksZipped(bytes)) {
      const file = await readText(new TextDecoder().decode(bytes))
      return file.ok ? { ...file, files: [] } : file
    }
    const bundle = await readBundle(bytes, readText)
    return bundle.ok ? fileChecks(bundle, sizeOf) : bundle
  }
  /** Nothing changes unless all of it is sound. */
  async function store(file: ReadAny, database: string): Promise<Taken> {
    if (!file.ok) return { ok: false, issues: [...file.issues] }
    const imported = await within(database, into => takeInFile(file.jobs, file.kit, file.files, into, file.clocks))
    return { ok: true, report: { ...imported, corrected: file.corrected } }
  }
  const pack = (text: string, files: readonly BundledFile[]): Uint8Array => packBundle(text, files)
  return {
    read,
    /**
     * Takes a file of either kind (a zip with pictures, or plain text) into a database. What it holds is stored from
     * here: ten thousand jobs are not carried across to the page.
     */
    takeIn: async (bytes: Uint8Array, database: string): Promise<Taken> => store(await read(bytes), database),
    takeInText: async (text: string, files: readonly BundledFile[], database: string): Promise<Taken> => {
      const file = await readText(text)
      return store(file.ok ? await fileChecks({ ...file, files: [...files] }, sizeOf) : file, database)
    },
    jobOut,
    sorted,
    pack,
    /**
     * The whole shop of a database as a file, each job read back before it is offered. It is read, checked and packed
     * here: ten thousand jobs are not carried across to the page and back.
     */
    shopFile: (database: string, kit: Kit, exportedAt: string): Promise<ShopOut> =>
      within(database, async from => {
        const ids = await from.jobs.toCollection().primaryKeys()
        if (ids.length > MOST_JOBS)
          throw new Error(`a file holds at most ${MOST_JOBS} jobs, and here are ${ids.length}`)
        const pieces = inPieces(ids, PIECE)
        const parts = await manyHands(
          pieces,
          piece => filesHand.write(database, piece),
          hands(pieces.length).map(hand => piece => hand.write(database, piece)),
        )
        const soundKit = kitOut(kit)
        const clocks = (await from.clocks.toArray()).filter(({ endsAt }) => endsAt > Date.parse(exportedAt))
        const [before, after] = shopFrame(soundKit.kit, exportedAt, clocks)
        const lines = parts.filter(part => part.jobs).flatMap((part, n) => (n ? [',\n', part.lines] : [part.lines]))
        const text = new Blob([before, ...lines, after])
        const { files, left } = soundFiles(
          await filesAt(
            parts.flatMap(part => part.places),
            from,
          ),
        )
        return {
          blob: files.length ? new Blob([pack(await text.text(), files).slice()]) : text,
          zipped: files.length > 0,
          jobs: parts.reduce((sum, part) => sum + part.jobs, 0),
          damaged: [...parts.flatMap(part => part.damaged), ...soundKit.damaged],
          left,
        }
      }),
  }
}
