import { dialForBalance, type DialReads } from './balance'
import { dutyAt } from './duty'
import { dialFor, readRanges, type Range } from './ranges'

export interface ScaledMachine {
  lowA: number
  highA: number
  ratedA: number
  ratedPct: number
  torchA: number
  ranges: string
  currentDial: 'amps' | 'percent'
  dialReads: DialReads
}
export interface CurrentScale {
  /** Its ranges, or the one it has. */
  ranges: Range[]
  ticks: { a: number; dial: string }[]
  /** The most that it gives without a rest, A. */
  restlessA: number
  dutyAtHighPct: number
  /** The torch bears less than the machine gives: from here on, A; null where it bears all. */
  torchFromA: number | null
}
export interface BalanceScale {
  ticks: { enPct: number; dial: number }[]
}

const STEPS_A = [1, 2, 5, 10, 20, 25, 50, 100, 200, 500]
const MOST_TICKS = 10
const shown = (value: number) => `${Math.round(value)}`

/** Round currents from a machine's least to its most, at most ten or so. */
function roundAmps(lowA: number, highA: number): number[] {
  const step = STEPS_A.find(each => (highA - lowA) / each <= MOST_TICKS) ?? STEPS_A.at(-1)!
  const first = Math.ceil(lowA / step) * step
  return [
    ...new Set([
      lowA,
      ...Array.from({ length: Math.max(0, Math.floor((highA - first) / step) + 1) }, (_, n) => first + n * step),
      highA,
    ]),
  ]
}

/**
 * A machine's current as its dial reads it: round currents with what the dial says at each, where it must begin to rest
 * and where the torch has had enough. The dial in percent is linear within its range (common practice, no source); duty
 * by IEC 60974-1.
 */
export function currentScale(machine: ScaledMachine): CurrentScale {
  const { lowA, highA, ratedA, ratedPct, torchA, currentDial } = machine
  const written = readRanges(machine.ranges) ?? []
  const ranges = written.length ? written : [{ lowA, highA }]
  const dial = (a: number) => (currentDial === 'amps' ? shown(a) : `${shown(dialFor(ranges, a)!.dialPct)} %`)
  return {
    ranges,
    ticks: roundAmps(lowA, Math.max(lowA, highA)).map(a => ({ a, dial: dial(a) })),
    restlessA: Math.min(highA, ratedA * Math.sqrt(ratedPct / 100)),
    dutyAtHighPct: dutyAt(ratedA, ratedPct, highA, 10).dutyPct,
    torchFromA: torchA < highA ? Math.max(lowA, torchA) : null,
  }
}

/** What the balance dial reads from half and half to nine tenths electrode negative. */
export const balanceScale = (reads: DialReads): BalanceScale => ({
  ticks: [50, 60, 65, 70, 75, 80, 90].map(enPct => ({ enPct, dial: dialForBalance(enPct, reads) })),
})
