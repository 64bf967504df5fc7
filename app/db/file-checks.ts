import type { BundledFile, ReadBundle } from '#core/job/bundle'

export type ReadAny = ReadBundle
export interface PictureSize {
  wide: number
  high: number
}

/**
 * Looks at every picture of a file that is otherwise sound: it must decode, and be as large as the job says it is. The
 * first that is not refuses the whole.
 */
export async function fileChecks(
  bundle: Extract<ReadBundle, { ok: true }>,
  sizeOf: (file: BundledFile) => Promise<PictureSize | null>,
): Promise<ReadAny> {
  for (const file of bundle.files.filter(each => each.kind === 'picture')) {
    const refuse = (message: string): ReadAny => ({ ok: false, issues: [{ path: file.name || file.id, message }] })
    const size = await sizeOf(file)
    if (!size) return refuse('is not a picture this browser can read')
    const picture = bundle.jobs.find(job => job.id === file.jobId)?.pictures.find(each => each.id === file.id)
    if (picture && (picture.widthPx !== size.wide || picture.heightPx !== size.high))
      return refuse(`is ${size.wide} × ${size.high} pixels where the job says ${picture.widthPx} × ${picture.heightPx}`)
  }
  return bundle
}
