import { LEAST_RATIO, MOST_RATIO, type Job, type Kit } from '../job/job.schema'
import { PROCESSES } from '../call/process.table'
import { COMEBACKS } from '../job/words.table'
import { learn, timeRatio, type FinishedJob, type Group, type Ratio } from '../shop/learn'
import { planJob } from './plan-job'

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
  all: Group | null
  groups: Group[]
  learnt: Learnt[]
  comebacks: { why: string; jobs: number }[]
  /** What each machine with a price has brought in, over what it cost. */
  machines: { name: string; paid: number; earned: number; jobs: number }[]
  torches: { name: string; efficiencyPct: number; absorbedW: number; errorW: number }[]
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
  const records = finished.map((job): FinishedJob => {
    const plan = planJob(job, plain)
    const { phases, quote } = plan['hand-over'].data
    for (const phase of phases) put(phase.id, phase.actualMin, phase.minutes)
    put('rods', job.handOver.usedRods, plan.open.data.groove?.rods ?? 0)
    put('gas', job.handOver.usedGasL, plan.weld.data.gas?.litres ?? 0)
    const machine = plan.weld.data.machine
    if (machine && quote) {
      const before = earned.get(machine.id) ?? { earned: 0, jobs: 0 }
      earned.set(machine.id, { earned: before.earned + quote.total - quote.materials, jobs: before.jobs + 1 })
    }
    const timed = phases.filter(phase => phase.actualMin !== null)
    const [plannedMin, actualMin] = [
      timed.reduce((sum, phase) => sum + phase.minutes, 0),
      timed.reduce((sum, phase) => sum + phase.actualMin!, 0),
    ]
    const family = plan.know.data.families[0]?.name
    return {
      success: !returned.has(job.id),
      family,
      process: PROCESSES[plan.weld.data.process].name,
      filler: plan.call.data.filler,
      soak: job.takeIn.soak ?? undefined,
      ...(plannedMin > 0 && actualMin > 0 ? { plannedMin, actualMin } : {}),
    }
  })
  const { all, groups } = learn(records)
  const why = jobs.flatMap(job =>
    job.takeIn.comebackOf && job.takeIn.comebackWhy ? [COMEBACKS[job.takeIn.comebackWhy]] : [],
  )
  return {
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
