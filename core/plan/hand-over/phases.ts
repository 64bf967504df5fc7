import type { Job, Kit } from '../../job/job.schema'
import { COOL_MIN, DRESS_MIN, FACE_MIN_PER_CUT, FACE_SET_UP_MIN, SET_UP_WELD_MIN } from '../minutes.table'
import { sharedMin } from './set-up'
import { inTurn, rowMinutes, type MendsData } from '../mends/mend-row'
import type { OpenData } from '../open/open'
import type { KindId } from '../../mend/registry'
import { capital } from '../parts'
import type { ProveData } from '../prove/prove'
import type { RebuildData } from '../rebuild/rebuild'
import type { WarmData } from '../warm/warm'
import type { WeldData } from '../weld/weld-data'

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

/**
 * Planned minutes of hand work by phase, moved by what the shop has learnt, with what was really taken where it has
 * noted it.
 */
export function phasesOf(
  job: Job,
  kit: Kit,
  open: OpenData,
  warm: WarmData,
  weld: WeldData,
  rebuild: RebuildData,
  prove: ProveData,
  mends: MendsData,
): Phase[] {
  const attended = open.steps.filter(step => !step.unattended).reduce((sum, step) => sum + step.minutes, 0)
  const unattended = open.steps.filter(step => step.unattended).reduce((sum, step) => sum + step.minutes, 0)
  const rows: (Pick<Phase, 'id' | 'name' | 'mend' | 'minutes' | 'unattendedMin'> & { learntAs?: string })[] = [
    { id: 'open', name: 'Open up and clean', minutes: attended, unattendedMin: unattended },
    { id: 'warm', name: 'Warm', minutes: warm.warmth.minutes > 0 ? warm.warmth.minutes + 2 : 0, unattendedMin: 0 },
    {
      id: 'weld',
      name: 'Weld',
      minutes: open.groove ? SET_UP_WELD_MIN + weld.elapsedMin : 0,
      unattendedMin: open.groove ? (weld.braze?.plan.coolMin ?? COOL_MIN) : 0,
    },
    ...(mends.rows.some(row => row.planned)
      ? [{ id: 'set-up', name: 'Set up for the mends', minutes: sharedMin(job, open, mends), unattendedMin: 0 }]
      : []),
    ...inTurn(mends.rows).flatMap(row =>
      row.planned
        ? [
            {
              id: `mend-${row.id}`.slice(0, LONGEST_ID),
              mend: row.id,
              learntAs: kindPhase(row.kind),
              name: capital(row.name),
              minutes: rowMinutes(row),
              unattendedMin: 0,
            },
          ]
        : [],
    ),
    {
      id: 'rebuild',
      name: 'Rebuild, face and dress',
      minutes:
        job.open.work === 'none'
          ? 0
          : rebuild.machined
            ? FACE_SET_UP_MIN + rebuild.cutsMm.length * FACE_MIN_PER_CUT
            : DRESS_MIN,
      unattendedMin: 0,
    },
    {
      id: 'prove',
      name: 'Prove',
      minutes: prove.checks.reduce((sum, check) => sum + check.minutes, 0),
      unattendedMin: 0,
    },
  ]
  const opening = job.open.work !== 'none'
  return rows.flatMap(row => {
    const actualMin = job.handOver.actualMin[row.id] ?? null
    // A job of mends alone has no opening of its own to open, weld or dress; beside one, nothing may be left to set up.
    if ((!opening || row.id === 'set-up') && !row.minutes && !row.unattendedMin && actualMin === null) return []
    const learntAs = row.learntAs ?? row.id
    const learnt = kit.learnt?.ratios[learntAs]
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
