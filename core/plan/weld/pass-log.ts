import { layWords } from '../../lay/laid-with'
import { LAYS_BY } from '../../lay/process.table'
import type { LogEntry } from '../../job/fields/weld'
import type { Job } from '../../job/job.schema'
import { passStep } from '../../job/mend-steps'
import type { StoredMend } from '../../job/mend.schema'
import { groundOutPasses, nextMove, type NextMove } from '../../puddle/next-move'
import type { PlannedMend } from '../../whole/job-planned'
import type { WeldPass } from './weld-data'

/** What was seen in one mend, or with none named in the opening, as it came. */
export const logOf = (job: Job, mend: string | null): LogEntry[] =>
  job.weld.log.filter(entry => (entry.mend ?? null) === mend)

/** A mend's passes as they are laid, what was seen in them, and what that asks for. */
export interface MendLog {
  passes: WeldPass[]
  nextMove: NextMove | null
  /** What the puddle had ground out, to be laid again: passes, and what they take. */
  again: { passes: number; minutes: number; rods: number }
}

export const NO_LOG: MendLog = { passes: [], nextMove: null, again: { passes: 0, minutes: 0, rods: 0 } }

/** More passes than a log numbers are not listed: nobody lays them by hand. */
const MOST_PASSES = 1000

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
 * side is its root, the last its cap; TIG's current falls evenly from where it starts to what it is eased to. At most
 * a thousand are listed.
 */
export function mendLog(job: Job, mend: StoredMend, planned: PlannedMend): MendLog {
  const log = logOf(job, mend.id)
  const laid = passByPass(planned.lays, mend.order)
  const [first, last] = [new Map<1 | 2, number>(), new Map<1 | 2, number>()]
  laid.forEach(({ side }, n) => {
    if (!first.has(side)) first.set(side, n)
    last.set(side, n)
  })
  const { startA, easedA } = planned
  const ease = (n: number) => {
    if (startA === null || easedA === null) return null
    const at = (step: number) => startA + ((easedA - startA) * step) / laid.length
    return { fromA: at(n), toA: at(n + 1) }
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
    nextMove: nextMove(log),
    again: { passes: again, minutes: share * planned.arcMin, rods: Math.ceil(share * planned.rods - 1e-9) },
  }
}
