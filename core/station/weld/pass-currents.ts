import type { Alloy } from '../../metal/alloys.table'
import { currentByPass, type Current } from '../../warm/current'
import type { JobPlanned, PlannedMend } from '../../job-plan/job-planned'
import type { ArcSet } from './weld-data'

/** More passes than this are not listed, and nobody lays them by hand. */
export const MOST_PASSES = 1000

/**
 * TIG's current of each pass of a mend, from what stands on its machine: what it begins with on the part as those
 * before it left it, and what it is eased to. Empty where no TIG lays it.
 */
export function passCurrents(
  { wallMm, joint, foundC, arcMin, lays, passes, process }: PlannedMend,
  set: ArcSet | undefined,
  { massG, skinMm2 }: JobPlanned['part'],
  alloy: Alloy,
  zoneWallMm: number,
): Current[] {
  if (process !== 'ac-tig' || !set || set.setA <= 0 || passes < 1 || passes > MOST_PASSES) return []
  const { setA } = set
  // An arc that boils it out first is a pass of its own to the heat, though none is laid.
  const all = lays.reduce((sum, lay) => sum + lay.passes, 0)
  return currentByPass(
    { wallMm, joint, process, startC: foundC, arcMin, passes: all, massG, skinMm2, alloy, zoneWallMm, limitA: setA },
    setA,
  ).slice(all - passes)
}
