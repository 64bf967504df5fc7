/**
 * Rod across that suits a wall, mm, by the straight line between; the ends hold beyond. Common practice, no source.
 */
export const ROD_FOR_WALL: readonly (readonly [wallMm: number, rodMm: number])[] = [
  [2.2, 1.6],
  [2.8, 2.4],
  [6.5, 2.4],
  [7.5, 3.2],
]
/** Rods as they are sold, mm across. */
export const SOLD_RODS_MM = [1.6, 2.4, 3.2] as const
export const WIRE_MM = 0.9
/** Of what is fed, the share that lands: rod ends and spatter. Common practice, no source. */
export const LANDS_SHARE = { rod: 0.9, wire: 0.95, flame: 0.9 } as const
/** A gun travels about so fast, mm/min. Common practice, no source. */
export const GUN_TRAVEL_MM_MIN = 550
/** Walls over which a gun run cold in stitches goes over to a spray, mm. Common practice, no source. */
export const COLD_TO_SPRAY_MM = [4, 6] as const
/** How far up the metal each lay goes, as a share of it. Judgement. */
export const UP_TO = { root: 0.2, border: 0.15, fill: 0.8, cap: 1 } as const
export type UpTo = keyof typeof UP_TO
