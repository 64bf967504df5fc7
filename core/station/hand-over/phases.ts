import type { Job, Kit } from '../../job/job.schema'
import { kindPhase, ratioOf } from '../../job-plan/steps/maker'
import type { Made } from '../../job-plan/step'
import { inTurn, type MendsData } from '../mends/mend-row'
import { capital } from '../parts'

export interface Phase {
  id: string
  /** What it is learnt under: itself, or for a mend its kind. */
  learntAs: string
  name: string
  /** The mend it is of, where it is of one. */
  mend?: string
  minutes: number
  actualMin: number | null
  unattendedMin: number
  /** Before this shop's own records moved it, and from how many jobs they did. */ startingMin: number
  fromJobs: number
}

/** A phase's id is a key of the job's file. */
const LONGEST_ID = 64

/** A phase's row, as the steps have it. */
interface Row {
  id: string
  name: string
  mend?: string
  learntAs: string
  steps: readonly Made[]
  /** What goes by itself after it, min. */
  unattendedMin: number
}

const PHASES = [
  { id: 'open', name: 'Open up and clean' },
  // Rod, earth and gas stand ready before the flame: a warmed place is soon cold again.
  { id: 'set-up', name: 'Set up for the mends' },
  { id: 'warm', name: 'Warm' },
] as const

/** Phases that version 4 had of its own for the first crack; a job that noted what one took still shows it. */
const ONCE_PHASES: readonly { id: string; name: string }[] = [
  { id: 'weld', name: 'Weld' },
  { id: 'rebuild', name: 'Rebuild, face and dress' },
]
/** What waits by itself for nothing that the day plans apart. */
const APART: ReadonlySet<string> = new Set(['freeze-slug'])

const waitsOf = (steps: readonly Made[]) =>
  steps.reduce((sum, { kind, code, minutes }) => sum + (kind === 'wait' && !APART.has(code) ? minutes : 0), 0)
const workedOf = (steps: readonly Made[], of: 'minutes' | 'usualMin') =>
  steps.reduce((sum, step) => sum + (step.kind === 'wait' || step.kind === 'elsewhere' ? 0 : step[of]), 0)

/** The mends in their turn, each with all its hands, arc and machine; the part cools after the last that is welded. */
function mendRows({ rows, coolMin }: MendsData, steps: readonly Made[]): Row[] {
  const planned = inTurn(rows).filter(row => row.planned)
  const last = planned.findLast(row => row.planned?.lays.length)
  return planned.map(row => {
    const own = steps.filter(step => step.mend === row.id)
    return {
      id: `mend-${row.id}`.slice(0, LONGEST_ID),
      mend: row.id,
      learntAs: kindPhase(row.kind),
      name: capital(row.name),
      steps: own,
      unattendedMin: waitsOf(own) + (row === last ? coolMin : 0),
    }
  })
}

/**
 * Planned minutes of hand work by phase: sums over the plan's steps, moved by what the shop has learnt, with what was
 * really taken where it has noted it.
 */
export function phasesOf(job: Job, { learnt }: Kit, mends: MendsData, steps: readonly Made[]): Phase[] {
  const shared = (id: string) => steps.filter(step => step.mend === undefined && step.phase === id)
  const rows: Row[] = [
    ...PHASES.map(({ id, name }) => ({
      id,
      name,
      learntAs: id,
      steps: shared(id),
      unattendedMin: waitsOf(shared(id)),
    })),
    ...mendRows(mends, steps),
    ...ONCE_PHASES.map(row => ({ ...row, learntAs: row.id, steps: [], unattendedMin: 0 })),
    { id: 'prove', name: 'Prove', learntAs: 'prove', steps: shared('prove'), unattendedMin: 0 },
  ]
  return rows.flatMap(({ steps: own, ...row }): Phase[] => {
    const actualMin = job.handOver.actualMin[row.id] ?? null
    const minutes = workedOf(own, 'minutes')
    if (!minutes && !row.unattendedMin && actualMin === null) return []
    const found = ratioOf(learnt, row.learntAs)
    return [{ ...row, minutes, startingMin: workedOf(own, 'usualMin'), fromJobs: found?.jobs ?? 0, actualMin }]
  })
}
