import { isGun } from '../../process/registry'
import { layWords } from '../../lay/laid-with'
import type { LogEntry } from '../../job/fields/weld'
import type { Job } from '../../job/job.schema'
import { passStep } from '../../job/mend-steps'
import type { StoredMend } from '../../job/mend.schema'
import { groundOutPasses, nextMove, type NextMove } from '../../puddle/next-move'
import type { Made } from '../../job-plan/step'
import type { WeldPass } from './weld-pass'

/** What was seen in one mend, as it came. */
export const logOf = (job: Job, mend: string): LogEntry[] => job.weld.log.filter(entry => entry.mend === mend)

/** A mend's passes as they are laid, what was seen in them, and what that asks for. */
export interface MendLog {
  passes: WeldPass[]
  /** Arc without rod that boils dirt out before the first of them, min. */
  boilMin: number
  /** What was seen last. */
  last: LogEntry | null
  nextMove: NextMove | null
  /** What the puddle had ground out, to be laid again: passes, their share of all, and what they take. */
  again: { passes: number; share: number; minutes: number; rods: number }
}

export const NO_LOG: MendLog = {
  passes: [],
  boilMin: 0,
  last: null,
  nextMove: null,
  again: { passes: 0, share: 0, minutes: 0, rods: 0 },
}

const minutesOf = (steps: readonly Made[]) => steps.reduce((sum, { minutes }) => sum + minutes, 0)

/**
 * The passes of a mend as its plan's steps have them, numbered through, and what was seen in each. The first on each
 * side is its root, the last its cap.
 */
export function mendLog(job: Job, mend: StoredMend, steps: readonly Made[]): MendLog {
  const log = logOf(job, mend.id)
  const seen = new Map<number, LogEntry[]>()
  for (const entry of log) seen.set(entry.pass, [...(seen.get(entry.pass) ?? []), entry])
  const done = new Set(mend.done)
  const passes = steps.flatMap((step): WeldPass[] => {
    const { pass, process, filler, set, easedA } = step
    if (pass === undefined || !process || !filler) return []
    return [
      {
        number: pass,
        side: step.side ?? 1,
        kind: step.code === 'root' || step.code === 'cap' ? step.code : 'fill',
        process,
        filler,
        by: layWords(process, filler),
        done: done.has(passStep(pass)),
        log: seen.get(pass) ?? [],
        // A gun is not eased by a pedal: its current stands at its set-up.
        ease: isGun(process) || !set ? null : { fromA: set.a, toA: easedA ?? set.a },
      },
    ]
  })
  const again = steps.filter(({ code }) => code === 'lay-again')
  const ground = groundOutPasses(log)
  return {
    passes,
    boilMin: minutesOf(steps.filter(({ code }) => code === 'boil-out')),
    last: log.at(-1) ?? null,
    nextMove: nextMove(log),
    again: {
      passes: ground,
      share: passes.length ? Math.min(1, ground / passes.length) : 0,
      minutes: minutesOf(again),
      rods: again.reduce((sum, { uses }) => sum + (uses?.rods.reduce((total, { count }) => total + count, 0) ?? 0), 0),
    },
  }
}
