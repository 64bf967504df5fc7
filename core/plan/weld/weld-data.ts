import type { gasUseQuestion } from '../../arc/question'
import type { AnswerTo } from '../../ask/question'
import type { DialReads } from '../../arc/balance'
import type { ProcessId } from '../../call/process.table'
import { layWords } from '../../lay/laid-with'
import type { LogEntry } from '../../job/fields/weld'
import type { NextMove } from '../../puddle/next-move'
import type { PlannedMend } from '../../whole/job-planned'
import type { UnitKey } from '../../quantity/units.table'
import type { BrazeData } from './braze'
import type { FlameData } from './flame'
import type { GunPoint, Interpass } from './soak-up'
import type { WeldSettings } from './weld-settings'

export interface WeldPass {
  number: number
  side: 1 | 2
  kind: 'root' | 'fill' | 'cap'
  /** What lays it, where a mend is laid by several. */
  by?: string
  done: boolean
  log: LogEntry[]
  /**
   * Current it begins with and what it is eased to as the place soaks up heat; null with a gun, a flame or unknown
   * sizes.
   */
  ease: { fromA: number; toA: number } | null
}
/** What is set on a machine, and what its arc takes in all. */
export interface ArcSet extends Omit<WeldSettings, 'workings'> {
  gas: AnswerTo<typeof gasUseQuestion> | null
  elapsedMin: number
}

export interface WeldData extends ArcSet {
  process: ProcessId
  arcMin: number
  passes: WeldPass[]
  /** Rods for the groove and for what was ground out and laid again; a gun takes none. */
  rods: number
  /** Wire that a gun takes for the same, g. */
  wireG: number
  /** Metal that is laid again where it was ground out, g. */
  againG: number
  nextMove: NextMove | null
  interpass: Interpass | null
  /** Where TIG begins and what the last pass is eased to; null where it makes no odds. */
  eased: { fromA: number; toA: number; zoneC: number } | null
  /** How a gun is turned down as the part warms; null where it makes no odds. */
  turnDown: GunPoint[] | null
  braze: BrazeData | null
  flame: FlameData | null
}

/** What one mend is laid with, in a line. */
export const mendSettings = (
  { process, filler, startA }: PlannedMend,
  text: (value: number, unit: UnitKey) => string,
): string =>
  process === null
    ? ''
    : [layWords(process, filler), startA === null ? null : text(Math.round(startA), 'a')]
        .filter(part => part !== null)
        .join(', ')

/**
 * What stands on the machine or at the torch, in a line: for the log, the bench and the record. `text` writes a value
 * in the reader's units.
 */
export function settingsLine(
  { mig, flame, braze, machine, setA, enPct, frequencyHz }: WeldData,
  text: (value: number, unit: UnitKey) => string,
): string {
  if (flame) return `${flame.torch.name}, part from ${text(Math.ceil(flame.plan.fromC), 'c')}`
  if (braze) return `${braze.torch.name}, worked at ${text(braze.plan.workingC, 'c')}`
  if (mig) return `${text(Math.round(mig.a), 'a')}, wire ${text(mig.wireMMin, 'mMin')}, ${text(mig.v, 'v')}`
  return machine ? `${text(Math.round(setA), 'a')}, EN ${Math.round(enPct)} %, ${Math.round(frequencyHz)} Hz` : ''
}

export const DIAL_WORDS: Readonly<Record<DialReads, string>> = {
  'en-share': 'share electrode negative',
  'cleaning-share': 'share cleaning',
  'ep-minus-en': 'positive less negative',
}
