import type { Joint } from '../arc/amps'
import type { WaysCompared } from '../mend/thread/ways'
import type { Step } from '../ask/question'
import type { JudgeVerdict } from '../call/judge'
import type { ProcessId } from '../call/process.table'
import type { Goes, Work } from '../mend/kind'
import type { KindId } from '../mend/registry'
import type { Warmth } from '../warm/decide'
import type { Ordered } from './order'

export interface PlannedLay {
  process: ProcessId
  filler: string | null
  side: 1 | 2
  passes: number
}
export interface PlannedMend {
  id: string
  kind: KindId
  decision: JudgeVerdict
  chancePct: number
  because: string[]
  process: ProcessId | null
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
  rods: number
  wireM: number
  /** The wall that the current goes by, in which joint, and how warm the mends before it have left the part. */
  wallMm: number
  joint: Joint
  foundC: number
  startA: number | null
  easedA: number | null
  arcMin: number
  /** What the machine rests for its duty beyond the pauses between passes. */
  restMin: number
  handMin: number
  machineMin: number
  gasL: number
  opening: Work[]
  rebuild: Work[]
  checks: string[]
  cautions: string[]
  price: number
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
  totals: {
    arcMin: number
    handMin: number
    machineMin: number
    waitMin: number
    elapsedMin: number
    gasL: number
    rods: number
    wireM: number
    price: number
    ofNewPct: number | null
    shared: { code: string; minutes: number }[]
  }
  cautions: string[]
  working: Step[]
}
