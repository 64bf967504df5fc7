import type { Job } from '#core/job/job.schema'
import { markName } from '#core/station/take-in/on-the-part'
import { pathOf } from '#core/solid/stored/to-shape'
import type { DrawnMark } from './marks'

/** A job's marks that are on the part, as they are drawn on it. */
export const placedMarks = (
  job: Job,
  numberOf: (id: string, place: number) => number | null,
  laid: ReadonlySet<string> = new Set(),
): DrawnMark[] =>
  job.shape.marks.flatMap((mark, n) => {
    const path = pathOf(mark)
    if (!path) return []
    return [
      {
        id: mark.id,
        number: numberOf(mark.id, n + 1),
        name: markName(job, mark),
        path,
        acrossMm: mark.acrossMm.value,
        role: mark.kind === 'mend' ? 'mend' : mark.kind === 'clamp' || mark.kind === 'earth' ? 'plain' : 'guard',
        laid: laid.has(mark.id),
      } satisfies DrawnMark,
    ]
  })
