import type { JudgeVerdict } from '../call/judge'
import type { Body } from '../part/bodies'
import type { PartMass } from '../part/mass'
import type { Warmth } from '../warm/decide'
import type { AskedCheck } from './decide/checks'
import type { MendDecided } from './decide/mend-or-not'
import type { Ordered } from './decide/order'
import type { JobGiven } from './job-given'
import type { Readied } from './readied'
import type { Made } from './step'

/** What is settled of a job, and the steps that follow. */
export interface Settled {
  job: JobGiven
  bodies: readonly Body[]
  mass: PartMass
  mends: readonly Readied[]
  decided: ReadonlyMap<string, MendDecided>
  warm: Warmth
  order: readonly Ordered[]
  checks: readonly AskedCheck[]
  steps: readonly Made[]
  decision: JudgeVerdict
  /** What turned the part as a whole; null where its mends decide. */
  turnedBy: { code: string; figures: Record<string, number> } | null
  hazards: readonly string[]
}
