import type { AnswerTo } from '../../ask/question'
import type { ProcessId } from '../../process/registry'
import type { bendStraighten } from '../../face/question'
import type { groovePlan } from '../../groove/question'
import type { DrawnGroove } from '../../groove/drawn'
import type { StoredMend } from '../../job/mend.schema'
import type { Section } from '../../mend/section/shapes'
import type { JobPlanned, PlannedMend } from '../../job-plan/job-planned'
import type { Found } from '../rebuild/found'
import type { ShownDecision } from '../decision-words'
import type { ShownStep } from '../step-words'
import type { Stiffened } from './plate-of-mend'
import type { Outline } from '../rebuild/drawings'
import type { ThreadBack } from '../rebuild/thread-back'
import type { MendFlame } from '../weld/flame-of-mend'
import type { FlamePlace } from '../weld/flame-place'
import type { Interpass } from '../weld/soak-up'
import type { MendLog } from '../weld/pass-log'
import type { MendSetUp } from './mend-set-up'
import type { Shown, StationSays } from './said'

/** A weld built up proud, and the cuts that bring it down, one after the other. */
export interface Facing {
  proudMm: number
  cutsMm: readonly number[]
  wideMm: number
}

export interface MendRow {
  id: string
  kind: StoredMend['kind']
  /** Its own name, else what its kind is called. */
  name: string
  /** What it still wants, in the words of its fields. */
  wants: string[]
  /** Why it can't be worked out, where something said is not understood. */
  reason: string | null
  planned: PlannedMend | null
  /** Open already, or laid over as it is. */
  opened: boolean
  /** It in section, to scale; null while it wants something. */
  section: Section | null
  /** The groove it is opened to, bead by bead; null where it is opened to none. */
  groove: DrawnGroove | null
  /** That groove and what a rod fills it with, by the question that reckons it; null where it is opened to none. */
  cutting: Found<AnswerTo<typeof groovePlan>>
  /** Across the rod that fills it, mm. */
  rodMm: number
  /** Whether the middle of its break is kept as the locator; null where its kind has no break. */
  keepsBreak: boolean | null
  /** Metal it would take from both sides, where it is grooved from one, g. */
  bothSidesG: number | null
  /** How it is faced at the mill; null where it is not. */
  facing: Facing | null
  /** Where it comes among the mends, counted from 1, and why there; null where it can't be planned. */
  turn: { place: number; of: number; why: string } | null
  /** Its thread at the bench, where it gives one back by drill or tap. */
  back: ThreadBack | null
  /** The outline of a patch that is let in, to cut it by; null where none is. */
  patch: Outline[] | null
  /** How it is pressed back, where it is bent. */
  bend: Found<AnswerTo<typeof bendStraighten>>
  /** What a plate over an arm does to it; null where it is none, or nobody told the arm. */
  plated: Found<Stiffened>
  /** Where rod and flame lay it; null where an arc does, or nothing is laid. */
  place: FlamePlace | null
  flame: MendFlame | null
  /** Under what its next pass may begin; null where that is no question. */
  interpass: Interpass | null
  /** What is set on the machine for it, process by process. */
  setUps: MendSetUp[]
  /** Its passes, and what was seen in them. */
  log: MendLog
  /** What each station that shows it says of it. */
  says: Readonly<Record<Shown, StationSays>>
}
export interface MendsData {
  rows: MendRow[]
  /** What was decided of warming, of the part, and what all of it comes to; null where nothing can be planned. */
  warm: JobPlanned['warm'] | null
  decision: JobPlanned['decision'] | null
  totals: JobPlanned['totals'] | null
  /** All that is done, in its order, and all that was decided, in words. */
  steps: ShownStep[]
  decisions: ShownDecision[]
  /** What goes by itself: the bake before the heat, the cooling after it, min. */
  bakeMin: number
  coolMin: number
  /** Taken for its mass, g, where nobody weighed or measured it. */ assumedG: number | null
}

/** What one mend takes at the bench, min. */
export const minutesOf = ({ handMin, arcMin, machineMin }: PlannedMend): number => handMin + arcMin + machineMin

/** The mend that is laid next: the first in turn with a pass still to lay. */
export const firstToLay = ({ mends }: { mends: MendsData }): MendRow | undefined =>
  inTurn(mends.rows).find(({ log }) => log.passes.some(pass => !pass.done)) ??
  inTurn(mends.rows).find(({ log }) => log.passes.length)

/** The processes that lay metal on the part, each once. */
export const processesOf = ({ rows }: MendsData): ProcessId[] => [
  ...new Set(rows.flatMap(({ planned }) => planned?.lays.map(({ process }) => process) ?? [])),
]

/** The mends as they are taken on, those that can't be planned last. */
export const inTurn = (rows: readonly MendRow[]): MendRow[] =>
  rows.toSorted((a, b) => (a.turn?.place ?? Infinity) - (b.turn?.place ?? Infinity) || 0)
