import type { Alloy } from '../../metal/alloys.table'
import { currentByPass, type Current } from '../../warm/current'
import type { JobPlanned, PlannedMend } from '../../whole/job-planned'
import type { ArcSet } from './weld-data'

/** More passes than this are not listed, and nobody lays them by hand. */
export const MOST_PASSES = 1000

/**
 * TIG's current of each pass of a mend, from what stands on its machine: what it begins with on the part as those
 * before it left it, and what it is eased to. Empty where no TIG lays it.
 */
export function passCurrents(
  { wallMm, joint, foundC, arcMin, passes, process }: PlannedMend,
  set: ArcSet | undefined,
  { massG, skinMm2 }: JobPlanned['part'],
  alloy: Alloy,
  zoneWallMm: number,
): Current[] {
  if (process !== 'ac-tig' || !set || set.setA <= 0 || passes < 1 || passes > MOST_PASSES) return []
  const { setA } = set
  return currentByPass(
    { wallMm, joint, process, startC: foundC, arcMin, passes, massG, skinMm2, alloy, zoneWallMm, limitA: setA },
    setA,
  )
}
