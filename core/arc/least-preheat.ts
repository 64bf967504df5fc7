import type { ArcProcess } from '../process/registry'
import type { Alloy } from '../metal/alloys.table'
import { ampsNeed, MELTING_C, type Joint } from './amps'
import { INTERPASS_C } from './interpass.table'

/** The part as it lies on the bench, and a usual preheat, °C. Common practice, no source. */
export const ROOM_C = 20
export const PREHEAT_C = 110

/** Heat at which a current that is cold too small is just enough: `amps.need` turned about, the power of a puddle. */
const heatFor = (coldA: number, maxA: number): number =>
  coldA <= maxA ? ROOM_C : MELTING_C - ((MELTING_C - ROOM_C) * maxA) / coldA

/**
 * The least temperature at which a current melts in on a wall if one waits, °C; room where it does so cold.
 * Source: `amps.need`'s own least current, power with (melting − start), Rosenthal (1946). Accuracy: as `amps.need`.
 */
export const leastPreheatC = (wallMm: number, maxA: number, process: ArcProcess, joint: Joint): number =>
  heatFor(ampsNeed(wallMm, ROOM_C, process, joint).lowA, maxA)

/** The temperature at which a current is the usual one for a wall, °C; room where it is so cold. */
export const easyPreheatC = (wallMm: number, maxA: number, process: ArcProcess, joint: Joint): number =>
  heatFor(ampsNeed(wallMm, ROOM_C, process, joint).a, maxA)

/** Highest heat that a metal is taken to before an arc, °C. */
export const mostPreheatC = (alloy: Alloy): number => Math.max(PREHEAT_C, INTERPASS_C[alloy.family].mostC)
