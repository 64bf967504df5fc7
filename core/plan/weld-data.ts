import type { DialReads } from '../arc/balance'
import type { GasUse } from '../arc/gas'
import type { ProcessId } from '../call/process.table'
import type { TurnDownPoint } from '../heat/turn-down'
import type { LogEntry } from '../job/job.schema'
import type { NextMove } from '../puddle/next-move'
import type { BrazeData } from './braze'
import type { Interpass } from './soak-up'
import type { WeldSettings } from './weld-settings'

export interface WeldPass { number: number, side: 1 | 2, kind: 'root' | 'fill' | 'cap', done: boolean, log: LogEntry[] }
export interface WeldData extends Omit<WeldSettings, 'workings'> {
  process: ProcessId
  gas: GasUse | null
  arcMin: number
  elapsedMin: number
  passes: WeldPass[]
  nextMove: NextMove | null
  interpass: Interpass | null
  /** Output over the arc time: the share, and what that is on this gun. */
  turnDown: (TurnDownPoint & { a: number, wireMMin: number })[] | null
  braze: BrazeData | null
}

export const DIAL_WORDS: Readonly<Record<DialReads, string>> = {
  'en-share': 'share electrode negative', 'cleaning-share': 'share cleaning', 'ep-minus-en': 'positive less negative',
}
export const MIG_MODE_WORDS = { 'spray': 'spray', 'pulse': 'pulsed', 'double-pulse': 'double pulse', 'cold': 'cold stitches' } as const
