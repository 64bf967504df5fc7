import { PROCESSES } from '../../process/registry'
import { CHECK_ORDER, partChecks } from '../checks.table'
import type { JobGiven } from '../job-given'
import type { Readied } from '../readied'
import { faceOf } from '../run'
import { sum } from '../sum'

/** What one mend asks to be proved, with what its process and the stakes add. */
export function mendChecks(
  { work, lays }: Pick<Readied, 'work' | 'lays'>,
  { part: { stakes }, doing }: JobGiven,
): string[] {
  const processes = lays.map(({ lay }) => PROCESSES[lay.process])
  return [
    ...new Set([
      ...work.checks,
      ...(stakes === 'person' && lays.length ? ['dye'] : []),
      ...(processes.some(({ fusion }) => !fusion) ? ['wetted'] : []),
      ...(processes.some(({ flux }) => flux) ? ['flux'] : []),
    ]),
  ].filter(code => !doing?.leftOut.includes(code))
}

/** A check with how many mends ask it, and the face of their welds. */
export interface AskedCheck {
  code: string
  mends: number
  weldMm2: number
}

/** Checks that are asked, by the part or by so many mends, in the order they are done: each once. */
export function checksOf(job: JobGiven, mends: readonly Readied[]): AskedCheck[] {
  const asked = mends.map(mend => ({ codes: mendChecks(mend, job), weldMm2: mend.lays.length ? faceOf(mend.work) : 0 }))
  return [...new Set([...asked.flatMap(({ codes }) => codes), ...partChecks(job.part)])]
    .filter(code => !job.doing?.leftOut.includes(code))
    .toSorted((a, b) => CHECK_ORDER.indexOf(a) - CHECK_ORDER.indexOf(b))
    .map(code => {
      const asking = asked.filter(({ codes }) => codes.includes(code))
      return { code, mends: asking.length, weldMm2: sum(asking.map(one => one.weldMm2)) }
    })
}
