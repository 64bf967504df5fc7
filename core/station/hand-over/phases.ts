import type { Job, Kit } from '../../job/job.schema'
import { firstMin, setUpMin } from './set-up'
import { inTurn, rowMinutes, type MendsData } from '../mends/mend-row'
import type { KindId } from '../../mend/registry'
import { capital } from '../parts'
import type { ProveData } from '../prove/prove'
import type { WarmData } from '../warm/warm'

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

/** What the minutes of a mend of this kind are learnt under. */
export const kindPhase = (kind: KindId) => `mend-of-${kind}`

/** A phase's id is a key of the job's file. */
const LONGEST_ID = 64

/** What a shop has learnt of a phase; of cracks, until they teach it anew, what version 4 learnt of welding. */
function ratioOf({ learnt }: Kit, learntAs: string) {
  const ratios = learnt?.ratios
  return ratios?.[learntAs] ?? (learntAs === kindPhase('crack') ? ratios?.weld : undefined)
}

/** A phase's row before what the shop has learnt moves it. */
type Row = Pick<Phase, 'id' | 'name' | 'mend' | 'minutes' | 'unattendedMin'> & { learntAs?: string }

/** The mends in their turn, each with all its hands, arc and machine; the part cools after the last that is welded. */
function mendRows(mends: MendsData): Row[] {
  const planned = inTurn(mends.rows).filter(row => row.planned)
  const last = planned.findLast(row => row.planned!.lays.length)
  return planned.map(row => ({
    id: `mend-${row.id}`.slice(0, LONGEST_ID),
    mend: row.id,
    learntAs: kindPhase(row.kind),
    name: capital(row.name),
    minutes: rowMinutes(row),
    unattendedMin: row === last ? (row.flame?.braze?.plan.coolMin ?? mends.coolMin) : 0,
  }))
}

/** Phases that version 4 had of its own for the first crack; a job that noted what one took still shows it. */
const ONCE_PHASES: readonly Row[] = [
  { id: 'weld', name: 'Weld', minutes: 0, unattendedMin: 0 },
  { id: 'rebuild', name: 'Rebuild, face and dress', minutes: 0, unattendedMin: 0 },
]

/**
 * Planned minutes of hand work by phase, moved by what the shop has learnt, with what was really taken where it has
 * noted it. What the part shares is done once; everything else stands with its mend.
 */
export function phasesOf(job: Job, kit: Kit, warm: WarmData, prove: ProveData, mends: MendsData): Phase[] {
  const rows: Row[] = [
    { id: 'open', name: 'Open up and clean', minutes: firstMin(mends), unattendedMin: mends.bakeMin },
    // Rod, earth and gas stand ready before the flame: a warmed place is soon cold again.
    { id: 'set-up', name: 'Set up for the mends', minutes: setUpMin(mends), unattendedMin: 0 },
    { id: 'warm', name: 'Warm', minutes: warm.warmth.minutes, unattendedMin: 0 },
    ...mendRows(mends),
    ...ONCE_PHASES,
    {
      id: 'prove',
      name: 'Prove',
      minutes: prove.checks.reduce((sum, check) => sum + check.minutes, 0),
      unattendedMin: 0,
    },
  ]
  return rows.flatMap(row => {
    const actualMin = job.handOver.actualMin[row.id] ?? null
    if (!row.minutes && !row.unattendedMin && actualMin === null) return []
    const learntAs = row.learntAs ?? row.id
    const learnt = ratioOf(kit, learntAs)
    return {
      ...row,
      learntAs,
      minutes: row.minutes * (learnt?.ratio ?? 1),
      startingMin: row.minutes,
      fromJobs: learnt?.jobs ?? 0,
      actualMin,
    }
  })
}
