import type { StoredMend } from '../../job/mend.schema'
import type { PlannedMend } from '../../job-plan/job-planned'
import type { Made } from '../../job-plan/step'
import { kindOf } from '../../mend/registry'
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
  /** What the plan has for it: minutes until the place is hot, minutes of laying, fuel burnt. */
  heatMin: number
  layMin: number
  fuelL: number
  /** How far out it is on a part that turns; null where it does not. */
  turnsAtMm: number | null
}

const flameMin = (steps: readonly Made[], is: (step: Made) => boolean) =>
  steps.reduce((sum, step) => sum + (step.kind === 'flame' && is(step) ? step.minutes : 0), 0)

/** A mend, where it is laid with rod and flame. */
export const placeOfMend = (
  { id, kind }: StoredMend,
  { wallMm, volumeMm3, faceMm2, run }: PlannedMend,
  { turnedMm }: Readonly<Record<string, unknown>>,
  steps: readonly Made[],
): FlamePlace => ({
  mend: id,
  wallMm,
  volumeMm3,
  faceMm2,
  runMm: Math.min(MOST_RUN_MM, run?.longMm ?? 0),
  atEdge: kindOf(kind).atEdge ?? false,
  heatMin: flameMin(steps, ({ code }) => code === 'flame-heat'),
  layMin: flameMin(steps, ({ pass }) => pass !== undefined),
  fuelL: steps.reduce((sum, { uses }) => sum + (uses?.fuelL ?? 0), 0),
  turnsAtMm: typeof turnedMm === 'number' ? turnedMm / 2 : null,
})
