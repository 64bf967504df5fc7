import { layWords } from '../../lay/laid-with'
import { LAYS_BY } from '../../lay/process.table'
import type { LogEntry } from '../../job/fields/weld'
import type { Job } from '../../job/job.schema'
import { passStep } from '../../job/mend-steps'
import type { Current } from '../../warm/current'
import type { StoredMend } from '../../job/mend.schema'
import { groundOutPasses, nextMove, type NextMove } from '../../puddle/next-move'
import type { PlannedMend } from '../../job-plan/job-planned'
import { MOST_PASSES } from './pass-currents'
import type { WeldPass } from './weld-data'

/** What was seen in one mend, as it came. */
export const logOf = (job: Job, mend: string): LogEntry[] => job.weld.log.filter(entry => entry.mend === mend)

/** A mend's passes as they are laid, what was seen in them, and what that asks for. */
export interface MendLog {
  passes: WeldPass[]
  /** What was seen last. */
  last: LogEntry | null
  nextMove: NextMove | null
  /** What the puddle had ground out, to be laid again: passes, their share of all, and what they take. */
  again: { passes: number; share: number; minutes: number; rods: number }
}

export const NO_LOG: MendLog = {
  passes: [],
  last: null,
  nextMove: null,
  again: { passes: 0, share: 0, minutes: 0, rods: 0 },
}

type PlannedLay = PlannedMend['lays'][number]

/**
 * The lay of each pass in the order they are laid. Turn about, what both sides are laid with goes pass by pass from one
 * side to the other; else each lay is laid out before the next.
 */
function passByPass(lays: readonly PlannedLay[], order: StoredMend['order']): PlannedLay[] {
  const together: PlannedLay[][] = []
  for (const lay of lays) {
    if (lay.filler === null) continue
    const [before] = together.slice(-1)
    const pairs =
      order === 'alternate' &&
      before?.every(one => one.process === lay.process && one.filler === lay.filler && one.side !== lay.side)
    if (pairs) before!.push(lay)
    else together.push([lay])
  }
  const laid: PlannedLay[] = []
  for (const pair of together)
    for (let n = 0; laid.length < MOST_PASSES && pair.some(lay => n < lay.passes); n++)
      laid.push(...pair.filter(lay => n < lay.passes))
  return laid.slice(0, MOST_PASSES)
}

/**
 * The passes of a mend in the order of its lays, numbered through: boil-out without rod is no pass. The first on each
 * side is its root, the last its cap; `currents` are those of TIG, pass by pass. At most a thousand are listed.
 */
export function mendLog(job: Job, mend: StoredMend, planned: PlannedMend, currents: readonly Current[]): MendLog {
  const log = logOf(job, mend.id)
  const laid = passByPass(planned.lays, mend.order)
  const [first, last] = [new Map<1 | 2, number>(), new Map<1 | 2, number>()]
  laid.forEach(({ side }, n) => {
    if (!first.has(side)) first.set(side, n)
    last.set(side, n)
  })
  const ease = (n: number) => {
    const current = currents[n]
    return current ? { fromA: current.startA, toA: current.easedA } : null
  }
  const seen = new Map<number, LogEntry[]>()
  for (const entry of log) seen.set(entry.pass, [...(seen.get(entry.pass) ?? []), entry])
  const done = new Set(mend.done)
  const passes = laid.map((lay, n): WeldPass => {
    const opens = first.get(lay.side) === n
    return {
      number: n + 1,
      side: lay.side,
      kind: opens ? 'root' : last.get(lay.side) === n ? 'cap' : 'fill',
      process: lay.process,
      filler: lay.filler!,
      by: layWords(lay.process, lay.filler),
      done: done.has(passStep(n + 1)),
      log: seen.get(n + 1) ?? [],
      // A gun is not eased by a pedal: its current stands at its set-up.
      ease: LAYS_BY[lay.process] === 'wire' ? null : ease(n),
    }
  })
  const again = groundOutPasses(log)
  const share = passes.length ? again / passes.length : 0
  return {
    passes,
    last: log.at(-1) ?? null,
    nextMove: nextMove(log),
    again: { passes: again, share, minutes: share * planned.arcMin, rods: Math.ceil(share * planned.rods - 1e-9) },
  }
}
