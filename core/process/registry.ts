import type { BrazeRod } from '../braze/rods.table'
import { acTig } from './ac-tig'
import { alSiBraze } from './al-si-braze'
import { migPulse } from './mig-pulse'
import { migSpool } from './mig-spool'
import { oxyFuel } from './oxy-fuel'
import type { Arc, Process } from './process'
import { zincRodBraze } from './zinc-rod-braze'

/** Those with an arc, which need a machine's current. */
const ARC_ROWS = { 'ac-tig': acTig, 'mig-pulse': migPulse, 'mig-spool': migSpool } as const
const ROWS = { ...ARC_ROWS, 'zinc-rod-braze': zincRodBraze, 'al-si-braze': alSiBraze, 'oxy-fuel': oxyFuel } as const

export type ArcProcess = keyof typeof ARC_ROWS
export type ProcessId = keyof typeof ROWS
const idsOf = <Id extends string>(rows: Readonly<Record<Id, unknown>>) => Object.keys(rows) as [Id, ...Id[]]
export const ARC_IDS = idsOf(ARC_ROWS)
export const PROCESS_IDS = idsOf(ROWS)
export const PROCESSES: Readonly<Record<ProcessId, Process>> = ROWS
export const PROCESS_NAMES = Object.fromEntries(PROCESS_IDS.map(id => [id, PROCESSES[id].name])) as Readonly<
  Record<ProcessId, string>
>

/** What is taken where nothing is said: its arc can sit on the metal and boil dirt out before any rod goes in. */
export const USUAL_ARC: ArcProcess = 'ac-tig'

export const arcOf = (process: ArcProcess): Arc => ARC_ROWS[process].arc
export const isArc = (process: ProcessId): process is ArcProcess => PROCESSES[process].arc !== null
/** An arc with a rod beside it: a tungsten, a balance and a frequency to set. */
export const isTig = (process: string): boolean => ARC_IDS.some(id => id === process && ARC_ROWS[id].lays === 'rod')
export const isGun = (process: ProcessId): boolean => PROCESSES[process].lays === 'wire'
/** A gun whose current is pulsed. */
export const isPulsed = (process: string): boolean =>
  ARC_IDS.some(id => id === process && ARC_ROWS[id].arc.gun === 'pulsed')
/** A gun that is run cold in stitches where the metal is thin. */
export const STITCHED: ArcProcess = 'mig-spool'
/** The rod that a brazing process lays; null of all others. */
export const brazeRodOf = (process: ProcessId): BrazeRod | null => PROCESSES[process].flame?.rod ?? null
/** A flame that melts the metal itself. */
export const isFusionFlame = (process: ProcessId): boolean => PROCESSES[process].flame?.rod === null
