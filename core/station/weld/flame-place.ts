import type { StoredMend } from '../../job/mend.schema'
import type { PlannedMend } from '../../job-plan/job-planned'
import { MOST_RUN_MM } from '../../warm/torch-reach'

/** Where rod and flame are at work: what they fill, and how it lies to the flame. */
export interface FlamePlace {
  /** The mend it is, by its id. */
  mend: string
  wallMm: number | null
  volumeMm3: number
  faceMm2: number
  /** How long a run the flame is swept along. */
  runMm: number
  /** An edge, from which heat runs off one way only. */
  atEdge: boolean
  /** How far out it is on a part that turns; null where it does not. */
  turnsAtMm: number | null
}

/** A mend, where it is laid with rod and flame. */
export const placeOfMend = (
  { id, kind }: StoredMend,
  { wallMm, volumeMm3, faceMm2, run }: PlannedMend,
  { turnedMm }: Readonly<Record<string, unknown>>,
): FlamePlace => ({
  mend: id,
  wallMm,
  volumeMm3,
  faceMm2,
  runMm: Math.min(MOST_RUN_MM, run?.longMm ?? 0),
  atEdge: kind === 'edge',
  turnsAtMm: kind === 'turned' && typeof turnedMm === 'number' ? turnedMm / 2 : null,
})
