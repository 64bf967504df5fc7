import type { ProcessId } from '../call/process.table'

/** How each process lays metal: by a rod in the hand, by a gun's wire, or by a rod and a flame. */
export const LAYS_BY: Readonly<Record<ProcessId, 'rod' | 'wire' | 'flame'>> = {
  'ac-tig': 'rod',
  'mig-pulse': 'wire',
  'mig-spool': 'wire',
  'zinc-rod-braze': 'flame',
  'al-si-braze': 'flame',
  'oxy-fuel': 'flame',
}

/** Rod across for a wall up to this, mm. Common practice, no source. */
export const ROD_FOR_WALL: readonly (readonly [toMm: number, rodMm: number])[] = [
  [2.5, 1.6],
  [7, 2.4],
  [Infinity, 3.2],
]
export const WIRE_MM = 0.9
/** Of what is fed, the share that lands: rod ends and spatter. Common practice, no source. */
export const LANDS_SHARE = { rod: 0.9, wire: 0.95, flame: 0.9 } as const
/** A gun travels about so fast, mm/min. Common practice, no source. */
export const GUN_TRAVEL_MM_MIN = 550
/** A rod laid with a flame, cm³ a minute: the rod melts as fast as the part lets it. Judgement. */
export const FLAME_CM3_MIN = { 'zinc-rod-braze': 1.2, 'al-si-braze': 0.7, 'oxy-fuel': 0.6 } as const

/** How far up the metal each lay goes, as a share of it. Judgement. */
export const UP_TO = { root: 0.2, border: 0.15, fill: 0.8, cap: 1 } as const
export type UpTo = keyof typeof UP_TO
