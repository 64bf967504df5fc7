import type { ArcProcess } from '../process/registry'
import { mainsLimitA } from './mains'

export interface MachineRating {
  process: ArcProcess
  highA: number
  torchA: number
  ratedA: number
  ratedPct: number
  supplyV?: number | null | undefined
  breakerA?: number | null | undefined
}

/** The machine of a process that gives most current; null where there is none. */
export const strongest = <M extends MachineRating>(machines: readonly M[], process: string): M | null =>
  machines.filter(entry => entry.process === process).toSorted((a, b) => mostCurrent(b).a - mostCurrent(a).a)[0] ?? null

/** Most current a machine gives, A, and what stops it there: itself, its torch, or the mains it hangs on. */
export function mostCurrent(machine: MachineRating): { a: number; by: 'machine' | 'torch' | 'mains' } {
  const { highA, torchA, supplyV, breakerA } = machine
  const mains = supplyV && breakerA ? mainsLimitA({ ...machine, supplyV, breakerA }) : Infinity
  const a = Math.min(highA, torchA, mains)
  return { a, by: a === highA ? 'machine' : a === torchA ? 'torch' : 'mains' }
}

/** What alone keeps a machine from a current, A; the machine itself where more than its torch or its mains does. */
export function heldBackBy(machine: MachineRating, a: number): 'machine' | 'torch' | 'mains' {
  const without = (change: Partial<MachineRating>) => mostCurrent({ ...machine, ...change }).a >= a
  if (without({ supplyV: null })) return 'mains'
  return without({ torchA: Infinity }) ? 'torch' : 'machine'
}
