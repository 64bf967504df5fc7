import type { Job } from '../../job/job.schema'
import { fine, type Sentence } from '../parts'

export interface Compared {
  id: string
  what: string
  movedMm: number | null
  within: boolean | null
  said: Sentence | null
}

/** Each measure that was taken before and again after: how far it has moved, and whether that is within its limit. */
export function comparedOf({ prove }: Job): Compared[] {
  return prove.compared.map(({ id, what, beforeMm, afterMm, limitMm }) => {
    if (beforeMm.value === null || afterMm.value === null) return { id, what, movedMm: null, within: null, said: null }
    const movedMm = afterMm.value - beforeMm.value
    const within = limitMm.value === null ? null : Math.abs(movedMm) <= Math.abs(limitMm.value) + 1e-9
    return {
      id,
      what,
      movedMm,
      within,
      said: [
        `${what || 'A measure'}: `,
        fine(beforeMm.value),
        ' before, ',
        fine(afterMm.value),
        ' after; moved ',
        fine(movedMm),
        within === null ? '.' : within ? ', within its limit.' : ', over its limit.',
      ],
    }
  })
}
