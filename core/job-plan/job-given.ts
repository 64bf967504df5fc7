import type { EARLIER_POINTS, SafetyCritical } from '../call/judge.table'
import type { ProcessId } from '../process/registry'
import type { Soak } from '../call/process.table'
import type { Kit } from '../job/job.schema'
import type { Order, WantedLay } from '../lay/lays'
import type { KindId } from '../mend/registry'
import type { BodyGiven } from '../part/bodies'
import type { PartSizes } from '../part/mass'
import type { Does, Mind, Moves, Stakes } from '../part/words.table'
import type { WarmAsk, Warmth } from '../warm/decide'
import type { Doing } from './doing'

/** What stays on the part while it is mended, and what it stands. */
export interface KeptOn {
  id: string
  limitC: number
  atMm?: readonly number[] | undefined
}
export interface PartGiven extends PartSizes {
  does: Does
  moves: Moves
  soak: Soak
  earlierRepair: keyof typeof EARLIER_POINTS
  coating?: string | undefined
  cause?: string | undefined
  /** Whether something is done about the cause; left out, that does not count. */
  causeCured?: boolean | undefined
  safetyCritical: SafetyCritical
  stakes: Stakes
  minds: readonly Mind[]
  /** Parts alike that are mended together. */
  alike: number
  pressureMPa?: number | undefined
  hotC: number
  saltWater: boolean
  mustNotMove: readonly string[]
  protect: readonly string[]
  keptOn: readonly KeptOn[]
  finishAfter?: string | undefined
  newPrice?: number | undefined
  newWeeks?: number | undefined
  bodies: readonly BodyGiven[]
}
export interface MendGiven {
  id: string
  kind: KindId
  bodies?: readonly string[] | undefined
  opened: boolean
  order: Order
  lays?:
    | readonly { process?: ProcessId | undefined; filler?: string | undefined; upTo: WantedLay['upTo'] }[]
    | undefined
  atMm?: readonly number[] | undefined
  values: Record<string, unknown>
}
export interface JobGiven {
  kit: Kit
  part: PartGiven
  warm: WarmAsk['wanted']
  /** How it is decided where nothing is wanted, and what it is at now. */
  warmSchool?: WarmAsk['school']
  startC?: number | undefined
  /** How its fillers are ranked: base in the bead, and which of them goes first on castings. */
  fillers?: { dilutionPct: number; magnesiumFirst: boolean }
  /** How well a hand and a torch get to it. */
  access?: 'open' | 'tight'
  mends: readonly MendGiven[]
  /** What a stored job has beside its readings: its own word on it, what was done, what is set and bought. */
  doing?: Doing
  /** What the part's own cells make of its warming, where it has a shape. */
  onCells?: (warm: Warmth, hot: readonly string[]) => Warmth
}
