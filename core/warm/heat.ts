import { mostPreheatC, ROOM_C } from '../arc/least-preheat'
import type { Alloy } from '../metal/alloys.table'
import { CHILL_C, type WarmAsk } from './decide'
import { BRAZED_RUN_MM, soonest, type Torch, type Warmed } from './torch-reach'

/** What the torches there are can do for a machine that is too small cold. */
export interface Heat {
  /** No hotter than this before an arc, °C. */
  mostC: number
  /** The torch that brings the part or the zone to a temperature soonest; null where none does. */
  reach(toC: number): Reached | null
  /** The same held on one spot, as for a rod that must flow there. */
  spot(toC: number): Reached | null
}
interface Reached {
  minutes: number
  where: 'whole' | 'zone'
  torch: string
}

/** The heat that these torches bring to a wall of this part. */
export const heatOf = (
  torches: readonly Torch[],
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  { runMm = 0, capC = Infinity, atEdge = false }: { runMm?: number; capC?: number | undefined; atEdge?: boolean } = {},
): Heat => {
  const by = (held: boolean) => {
    const known = new Map<number, Reached | null>()
    return (toC: number): Reached | null => {
      const before = known.get(toC)
      if (before !== undefined) return before
      const found = soonest(torches, part, alloy, wallMm, toC, {
        runMm: held ? Math.min(BRAZED_RUN_MM, runMm) : runMm,
        atEdge,
        held,
      })
      const reach = found && { minutes: found.minutes, where: found.where, torch: found.torch.name }
      known.set(toC, reach)
      return reach
    }
  }
  return { mostC: Math.min(mostPreheatC(alloy), capC), reach: by(false), spot: by(true) }
}

/** No hotter than this by what somebody said or by their school, °C; nothing stands in the way otherwise. */
export function capOf({ wanted, school, startC = ROOM_C }: Pick<WarmAsk, 'wanted' | 'school' | 'startC'>): number {
  if (wanted === 'none') return startC
  if (typeof wanted === 'object') return Math.max(startC, wanted.toC)
  if (school === 'never') return startC
  return school === 'chill' ? Math.max(startC, CHILL_C) : Infinity
}

/** Both sides of a plate of this mass and wall, mm²: the skin of a part whose shape nobody has told. */
export const plateSkinMm2 = (massG: number, densityGcm3: number, wallMm: number): number =>
  (2 * massG * 1000) / densityGcm3 / wallMm
