import { transfer, wrap } from 'comlink'
import type { BundledFile } from '#core/job/bundle'
import type { PictureSize } from '~/db/file-checks'
import { filesBench, filesHand, type FilesHand } from './files-bench'

/** Fewer pieces are done here before another worker has read its script. */
const WORTH_A_HAND = 3
/** So many of the machine's cores help; each reads the whole script, and the page wants one for itself. */
const MOST_HANDS = 3

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

const started: FilesHand[] = []
/** Another worker of this kind; one that breaks lets fall all that it was given. */
function startHand(): FilesHand {
  const worker = new Worker(self.location.href, { type: 'module', name: 'files' })
  const hand = wrap<FilesHand>(worker)
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('a worker broke')))
  })
  broken.catch(() => started.splice(started.indexOf(entry), 1))
  const entry: FilesHand = {
    check: found => Promise.race([hand.check(found), broken]),
    write: (database, ids) => Promise.race([hand.write(database, ids), broken]),
  }
  return entry
}

function hands(pieces: number): readonly FilesHand[] {
  if (pieces < WORTH_A_HAND) return []
  const most = Math.min(MOST_HANDS, Math.max(1, navigator.hardwareConcurrency - 1))
  while (started.length < most) started.push(startHand())
  return started
}

const here = filesBench(sizeOf, hands)
/** Files in and out, off the page’s thread. */
export const bench = {
  ...here,
  ...filesHand,
  pack: (text: string, files: readonly BundledFile[]) => {
    const packed = here.pack(text, files)
    return transfer(packed, [packed.buffer])
  },
}
