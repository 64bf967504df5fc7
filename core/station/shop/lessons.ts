import { LEAST_RATIO, MOST_RATIO, type Job, type Kit } from '../../job/job.schema'
import { PROCESSES } from '../../process/registry'
import { COMEBACKS, type Comeback } from '../../job/words.table'
import { learn, oddsOf, timeRatio, type FinishedJob, type Group, type Ratio } from '../../shop/learn'
import { KIND_IDS, kindOf } from '../../mend/registry'
import { BOW, bowOf } from '../rebuild/foretold-face'
import type { Phase } from '../hand-over/phases'
import { kindPhase } from '../../job-plan/steps/maker'
import { planJob } from '../plan-job'

/** Whether plans can go by what was learnt: past this something was noted wrong. */
export const plannable = (ratio: number) => ratio >= LEAST_RATIO && ratio <= MOST_RATIO

/** What was taken over what was planned, by phase and for rods and gas. */
export interface Learnt {
  key: string
  name: string
  ratio: Ratio
}
export interface Lessons {
  finished: number
  /** What came out over what was foretold, drawn towards nothing by ten jobs' worth. */
  odds: { points: number; jobs: number } | null
  all: Group | null
  groups: Group[]
  learnt: Learnt[]
  comebacks: { why: string; jobs: number }[]
  /** Each part that came back, with how it was mended the first time. */
  traced: TracedComeback[]
  /** How those were mended that held. */
  held: FinishedJob[]
  /** What each machine with a price has brought in, over what it cost. */
  machines: { name: string; paid: number; earned: number; jobs: number }[]
  torches: { name: string; efficiencyPct: number; absorbedW: number; errorW: number }[]
}

/** A part that came back: both of its jobs, why, and how it was mended the first time. */
export interface TracedComeback {
  id: string
  firstId: string
  title: string
  why: Comeback | null
  first: FinishedJob
}

/** Newest finished jobs that lessons are drawn from: a plan is worked out for each. */
const MOST_JOBS = 400

const PHASE_NAMES: Readonly<Record<string, string>> = {
  open: 'Open up and clean',
  warm: 'Warm',
  weld: 'Weld',
  rebuild: 'Rebuild, face and dress',
  prove: 'Prove',
  rods: 'Rods',
  gas: 'Gas',
  [BOW]: 'Bow of a face, measured over foretold',
  ...Object.fromEntries(KIND_IDS.map(kind => [kindPhase(kind), `A ${kindOf(kind).name}`])),
}

/**
 * What a shop's own finished jobs teach: success by kind with honest intervals, time and material taken over planned,
 * why parts came back.
 * Plans are worked out with the starting values, never with what was learnt before, so that nothing is counted twice.
 */
export function lessonsOf(jobs: readonly Job[], kit: Kit): Lessons {
  const plain: Kit = { ...kit, learnt: null }
  const returned = new Set(jobs.flatMap(job => job.takeIn.comebackOf ?? []))
  const finished = jobs
    .filter(job => job.handOver.handedAt !== null)
    .toSorted((a, b) => (a.handOver.handedAt! < b.handOver.handedAt! ? 1 : -1))
    .slice(0, MOST_JOBS)
  const ratios = new Map<string, number[]>()
  const put = (key: string, actual: number | null, planned: number) => {
    if (actual !== null && actual > 0 && planned > 0) ratios.set(key, [...(ratios.get(key) ?? []), actual / planned])
  }
  const earned = new Map<string, { earned: number; jobs: number }>()
  const foretold: { chancePct: number; held: boolean }[] = []
  const records = finished.map((job): FinishedJob => {
    const plan = planJob(job, plain)
    const { phases, quote } = plan['hand-over'].data
    // Two mends of a kind on one part were done by the same hand on the same day: together they tell one thing.
    const noted = phases.filter(phase => phase.actualMin !== null)
    for (const key of new Set(noted.map(phase => phase.learntAs))) {
      const like = noted.filter(phase => phase.learntAs === key)
      const sum = (of: (phase: Phase) => number) => like.reduce((total, phase) => total + of(phase), 0)
      put(
        key,
        sum(phase => phase.actualMin!),
        sum(phase => phase.minutes),
      )
    }
    const planned = (name: string) => quote?.lines.find(line => line.name === name)?.quantity ?? 0
    put('rods', job.handOver.usedRods, planned('Filler'))
    put('gas', job.handOver.usedGasL, planned('Gas'))
    const { face } = plan.rebuild.data
    const bow = bowOf(job, face && 'flat' in face ? face.flat.minimumZoneMm : null)
    if (bow) put(BOW, bow.measuredMm, bow.foretoldMm)
    const laid = plan.mends.rows.flatMap(row => row.planned ?? [])
    const by = laid.find(({ process }) => process)?.process
    const machine = plan.weld.data.setUp?.set.machine
    if (machine && quote) {
      const before = earned.get(machine.id) ?? { earned: 0, jobs: 0 }
      earned.set(machine.id, { earned: before.earned + quote.total - quote.materials, jobs: before.jobs + 1 })
    }
    const timed = phases.filter(phase => phase.actualMin !== null && phase.minutes > 0)
    const [plannedMin, actualMin] = [
      timed.reduce((sum, phase) => sum + phase.minutes, 0),
      timed.reduce((sum, phase) => sum + phase.actualMin!, 0),
    ]
    const chancePct = Math.min(...laid.map(mend => mend.chancePct))
    if (Number.isFinite(chancePct)) foretold.push({ chancePct, held: !returned.has(job.id) })
    const family = plan.know.data.families[0]?.name
    return {
      success: !returned.has(job.id),
      family,
      process: by ? PROCESSES[by].name : undefined,
      filler: laid.find(({ filler }) => filler)?.filler ?? undefined,
      mends: [...new Set(job.mends.map(mend => mend.kind))].map(kind => kindOf(kind).name),
      soak: job.takeIn.soak ?? undefined,
      ...(plannedMin > 0 && actualMin > 0 ? { plannedMin, actualMin } : {}),
    }
  })
  const { all, groups } = learn(records)
  const recordOf = new Map(finished.map((job, n) => [job.id, records[n]!]))
  const traced = jobs.flatMap((job): TracedComeback[] => {
    const firstId = job.takeIn.comebackOf
    const first = firstId === null ? undefined : recordOf.get(firstId)
    return first ? [{ id: job.id, firstId: firstId!, title: job.title, why: job.takeIn.comebackWhy, first }] : []
  })
  const why = jobs.flatMap(job =>
    job.takeIn.comebackOf && job.takeIn.comebackWhy ? [COMEBACKS[job.takeIn.comebackWhy]] : [],
  )
  return {
    odds: oddsOf(foretold),
    finished: finished.length,
    all,
    groups,
    learnt: Object.keys(PHASE_NAMES).flatMap(key => {
      const ratio = timeRatio(ratios.get(key) ?? [])
      return ratio ? [{ key, name: PHASE_NAMES[key]!, ratio }] : []
    }),
    comebacks: [...new Set(why)]
      .map(words => ({ why: words, jobs: why.filter(each => each === words).length }))
      .toSorted((a, b) => b.jobs - a.jobs),
    traced,
    held: records.filter(record => record.success),
    machines: kit.machines.flatMap(machine =>
      machine.paid
        ? [{ name: machine.name, paid: machine.paid, ...(earned.get(machine.id) ?? { earned: 0, jobs: 0 }) }]
        : [],
    ),
    torches: kit.torches.flatMap(torch =>
      torch.fitted
        ? [
            {
              name: torch.name,
              efficiencyPct: torch.efficiencyPct,
              absorbedW: torch.fitted.absorbedW,
              errorW: torch.fitted.absorbedErrorW,
            },
          ]
        : [],
    ),
  }
}
