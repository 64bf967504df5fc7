import type { gasUseQuestion } from '../../arc/question'
import type { AnswerTo } from '../../ask/question'
import type { DialReads } from '../../arc/balance'
import type { ProcessId } from '../../call/process.table'
import { layWords } from '../../lay/laid-with'
import type { LogEntry } from '../../job/fields/weld'
import type { UnitKey } from '../../quantity/units.table'
import type { MendRow } from '../mends/mend-row'
import type { MendSetUp } from '../mends/mend-set-up'
import type { MendFlame } from './flame-of-mend'
import type { WeldSettings } from './weld-settings'

export interface WeldPass {
  number: number
  side: 1 | 2
  kind: 'root' | 'fill' | 'cap'
  process: ProcessId
  filler: string
  /** What lays it, in words. */
  by: string
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

export interface WeldData {
  /** What is set on the machine for the first mend that an arc lays; null where none does. */
  setUp: MendSetUp | null
}

/**
 * What one mend is laid with and what stands on the machine or at the torch, in a line: for the log, the bench and the
 * record. `text` writes a value in the reader's units.
 */
export function settingsLine(
  { planned, flame, setUps }: Pick<MendRow, 'planned' | 'flame' | 'setUps'>,
  text: (value: number, unit: UnitKey) => string,
): string {
  if (!planned?.process) return ''
  return [layWords(planned.process, planned.filler), flame ? atTorch(flame, text) : onMachine(setUps[0], text)]
    .filter(Boolean)
    .join(', ')
}

function atTorch({ flame, braze }: MendFlame, text: (value: number, unit: UnitKey) => string): string {
  if (flame) return `${flame.torch.name}, part from ${text(Math.ceil(flame.plan.fromC), 'c')}`
  return braze ? `${braze.torch.name}, worked at ${text(braze.plan.workingC, 'c')}` : ''
}

function onMachine(setUp: MendSetUp | undefined, text: (value: number, unit: UnitKey) => string): string {
  if (!setUp) return ''
  const { mig, machine, setA, enPct, frequencyHz } = setUp.set
  if (mig) return `${text(Math.round(mig.a), 'a')}, wire ${text(mig.wireMMin, 'mMin')}, ${text(mig.v, 'v')}`
  return machine ? `${text(Math.round(setA), 'a')}, EN ${Math.round(enPct)} %, ${Math.round(frequencyHz)} Hz` : ''
}

export const DIAL_WORDS: Readonly<Record<DialReads, string>> = {
  'en-share': 'share electrode negative',
  'cleaning-share': 'share cleaning',
  'ep-minus-en': 'positive less negative',
}
