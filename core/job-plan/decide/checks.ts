import { PROCESSES } from '../../call/process.table'
import { CHECK_ORDER, partChecks } from '../checks.table'
import type { JobGiven } from '../job-given'
import type { Readied } from '../readied'

/** What one mend asks to be proved, with what its process and the stakes add. */
export function mendChecks({ work, lays }: Pick<Readied, 'work' | 'lays'>, { stakes }: JobGiven['part']): string[] {
  const processes = lays.map(({ lay }) => PROCESSES[lay.process])
  return [
    ...new Set([
      ...work.checks,
      ...(stakes === 'person' && lays.length ? ['dye'] : []),
      ...(processes.some(({ fusion }) => !fusion) ? ['wetted'] : []),
      ...(processes.some(({ flux }) => flux) ? ['flux'] : []),
    ]),
  ]
}

/** Checks that are asked, by the part or by so many mends, in the order they are done: each once. */
export function checksOf({ part }: JobGiven, mends: readonly Readied[]): { code: string; mends: number }[] {
  const asked = mends.map(mend => mendChecks(mend, part))
  return [...new Set([...asked.flat(), ...partChecks(part)])]
    .toSorted((a, b) => CHECK_ORDER.indexOf(a) - CHECK_ORDER.indexOf(b))
    .map(code => ({ code, mends: asked.filter(codes => codes.includes(code)).length }))
}
