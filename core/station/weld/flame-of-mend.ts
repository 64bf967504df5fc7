import { brazeRodOf, isFusionFlame, type ProcessId } from '../../process/registry'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import type { NoArcStation } from '../parts'
import type { Body } from '../take-in/body'
import type { WarmData } from '../warm/warm'
import { brazeOf, brazeStation, type BrazeData } from './braze'
import { flameOf, flameStation, type FlameData } from './flame'
import type { FlamePlace } from './flame-place'

/** Rod and flame at a mend: what is worked out, and what is said of it. */
export interface MendFlame {
  braze: BrazeData | null
  flame: FlameData | null
  says: NoArcStation
}

/** A mend that is brazed, or welded with a flame; null where an arc lays it. */
export function flameOfMend(
  job: Job,
  kit: Kit,
  body: Body | null,
  alloy: Alloy,
  warm: Pick<WarmData, 'startC' | 'reachC'>,
  process: ProcessId,
  place: FlamePlace,
): MendFlame | null {
  if (brazeRodOf(process)) {
    const found = brazeOf(job, kit, body, alloy, warm, process, place)!
    return { braze: 'plan' in found ? found : null, flame: null, says: brazeStation(found) }
  }
  if (!isFusionFlame(process)) return null
  const found = flameOf(job, kit, body, alloy, warm, warm.reachC, place)
  return { braze: null, flame: 'plan' in found ? found : null, says: flameStation(found) }
}
