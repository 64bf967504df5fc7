import type { Job } from '../../job/job.schema'
import { readingAt } from '../../matters/readings'
import type { JobGiven } from '../../job-plan/job-given'
import { fields as partFields } from '../../part/fields'

const isTyped = (held: unknown): boolean =>
  typeof held === 'object' && held !== null && 'value' in held && typeof held.value === 'number'

/** Whether somebody put a number into a stored job at a path of the plan: what is taken unasked does not count. */
export const standsInJob =
  (job: Job, given: JobGiven) =>
  (path: string): boolean => {
    const ofMend = /^mends\[(\d+)\]\.(\w+)$/.exec(path)
    if (ofMend) {
      const id = given.mends[Number(ofMend[1])]?.id
      return isTyped(job.mends.find(mend => mend.id === id)?.readings[ofMend[2]!])
    }
    const key = path.slice('part.'.length)
    if (key === 'bodies[0].wallMm') return isTyped(job.takeIn.wallMm)
    const second = /^bodies\[(\d+)\]\.wallMm$/.exec(key)
    if (second) {
      const id = given.part.bodies[Number(second[1])]?.id
      return isTyped(job.mends.find(mend => mend.id === id)?.other.wallMm)
    }
    if (key === 'massG') return isTyped(job.warm.massG) || isTyped(job.know.dryG)
    if (key === 'newPrice') return job.takeIn.newPrice !== null
    const now = readingAt(given, path)?.now
    const usual = Object.entries(partFields).find(([name]) => name === key)?.[1].usual
    return now !== undefined && now !== null && now !== usual
  }
