import type { Joint } from '../arc/amps'
import type { WaysCompared } from '../mend/thread/ways'
import type { Step } from '../ask/question'
import type { RankedFiller } from '../call/filler'
import type { JudgeInput, JudgeVerdict } from '../call/judge'
import type { RankedProcess } from '../call/process'
import type { ProcessId } from '../process/registry'
import type { Goes } from '../mend/kind'
import type { KindId } from '../mend/registry'
import type { Warmth } from '../warm/decide'
import type { RodsOut } from './rods'
import type { Decision } from './decision'
import type { Ordered } from './decide/order'
import type { Made, PlanStep } from './step'

export interface PlannedLay {
  process: ProcessId
  filler: string
  side: 1 | 2
  passes: number
}
/** A step of opening or rebuilding as it is ticked off: hand and machine of one code together. */
export interface PlannedWork {
  code: string
  handMin: number
  machineMin: number
}
/** One mend, as its decisions and steps have it. */
export interface PlannedMend {
  id: string
  kind: KindId
  decision: JudgeVerdict
  chancePct: number
  because: string[]
  process: ProcessId | null
  /** What was to lay it, where it is declined too. */
  tried: ProcessId | null
  filler: string | null
  way: string | null
  ruledOut: { way: string; why: string }[]
  /** Ways of giving a thread back, compared; null where it is no thread. */
  ways: WaysCompared | null
  lays: PlannedLay[]
  /** How its longest run goes about its place, and how long that is; nothing where nothing is laid. */
  run: { goes: Goes | 'straight'; longMm: number } | null
  passes: number
  depositG: number
  /** Metal laid, before any is lost, and the face it leaves. */
  volumeMm3: number
  faceMm2: number
  /** Rods, not rounded: whole ones are counted for the job. */
  rods: number
  rodMm: number | null
  wireM: number
  /** The wall that the current goes by, in which joint, and how warm the mends before it have left the part. */
  wallMm: number
  joint: Joint
  foundC: number
  startA: number | null
  easedA: number | null
  arcMin: number
  /** What is waited for between its passes. */
  restMin: number
  handMin: number
  machineMin: number
  gasL: number
  opening: PlannedWork[]
  rebuild: PlannedWork[]
  checks: string[]
  cautions: string[]
  price: number
}
/** What a mend's process, filler and chance were chosen and judged by. */
export interface Asked {
  processes: readonly RankedProcess[]
  processWorking: readonly Step[]
  fillers: readonly RankedFiller[]
  fillerWorking: readonly Step[]
  /** By the name that it is ranked by. */
  filler: string
  judged: JudgeInput
  /** Mended, this is what it would come to, where the part is declined for its price. */
  dearPrice: number | null
}
export interface JobPlanned {
  decision: JudgeVerdict
  chancePct: number
  part: { massG: number; skinMm2: number; from: string }
  warm: Warmth
  mends: PlannedMend[]
  /** The order they are taken on in, each with its reason. */
  order: Ordered[]
  checks: string[]
  steps: Made[]
  decisions: Decision[]
  totals: {
    arcMin: number
    handMin: number
    machineMin: number
    waitMin: number
    elapsedMin: number
    gasL: number
    fuelL: number
    kWh: number
    /** Whole rods for the job, and by what they are. */
    rods: number
    rodsOut: RodsOut[]
    wireM: number
    price: number
    ofNewPct: number | null
    shared: { code: string; minutes: number }[]
  }
  cautions: string[]
  working: Step[]
  /** What each mend's call was made by, for whoever shows what else was open; no part of the answer. */
  asked: ReadonlyMap<string, Asked>
}
export type { PlanStep }
