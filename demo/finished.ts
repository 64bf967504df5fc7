import type { Job } from '../core/job/job.schema'
import { newJob } from '../core/job/new-job'
import { STATION_IDS } from '../core/job/stations.table'
import { planJob } from '../core/station/plan-job'
import { FINISHED, type Finished } from './finished.table'
import { KIT, mend, reading, settle } from './made'

const DAYS_IN_HAND = 3
const at = (on: string, days: number, hour: number) => {
  const moment = new Date(`${on}T00:00:00Z`)
  moment.setUTCDate(moment.getUTCDate() + days)
  moment.setUTCHours(hour)
  return moment.toISOString()
}

/** Jobs whose face was foretold before the weld and measured after it: how far the one came out over the other. */
const BOWED: Readonly<Record<string, number>> = { 'mill-cover': 1.12, 'mill-cover-again': 1.34, 'pump-foot': 0.95 }
/** A face crowned by so much over a length of 1000 mm, its places on an even grid. */
const CROWN_MM = 1.1
const crowned = ([long, wide]: readonly number[], factor: number) =>
  [0, 1, 2, 3, 4].flatMap(i =>
    [0, 1, 2].map((j): [number, number, number] => {
      const rise = factor * (long! / 1000) * CROWN_MM * (1 - ((i - 2) / 2) ** 2)
      return [(i * long!) / 4, (j * wide!) / 2, Number(rise.toFixed(3))]
    }),
  )

/** Minutes that each part of a job took, over what was planned for it. */
export const took = (job: Job, over: number) =>
  Object.fromEntries(
    planJob(job, KIT)['hand-over'].data.phases.map(({ id, minutes }) => [id, Math.max(1, Math.round(minutes * over))]),
  )

/** One finished job: worked through station by station, each settled on what it rested on then. */
function finish(row: Finished): Job {
  const { id, title, customer, on, wallMm, sizesMm, mends, rods, back } = row
  const job = newJob(id, title, customer, at(on, 0, 9))
  Object.assign(job.takeIn, {
    does: row.does,
    soak: row.soak,
    cause: row.cause,
    causeCure: back ? 'cured this time' : '',
    damage: row.damage,
    wallMm: reading(`${wallMm} mm`, 'mm'),
    lengthMm: reading(`${sizesMm[0]} mm`, 'mm'),
    widthMm: reading(`${sizesMm[1]} mm`, 'mm'),
    heightMm: reading(`${sizesMm[2]} mm`, 'mm'),
    newPrice: row.newPrice,
    ...(back ? { comebackOf: back[0], comebackWhy: back[1] } : {}),
  })
  Object.assign(job.know, { form: row.form, alloy: row.alloy })
  job.mends = mends.map(([kind, name, typed], n) => mend(`m${n + 1}`, kind, name, typed))
  const bowed = BOWED[id]
  if (bowed) {
    job.weld.foretold = [
      { id: 'w1', name: 'joint face', mm: (sizesMm[0] / 1000) * CROWN_MM, points: crowned(sizesMm, 1) },
    ]
    job.rebuild.face.points = crowned(sizesMm, bowed).map(([xMm, yMm, zMm]) => ({
      xMm,
      yMm,
      z: reading(`${zMm} mm`, 'mm'),
    }))
  }
  job.acknowledged = Object.values(planJob(job, KIT))
    .flatMap(plan => ('cautions' in plan ? plan.cautions : []))
    .filter(caution => caution.level === 'stop')
    .map(({ code }) => ({ code, name: 'Wren Tolliver', at: at(on, 0, 10) }))
    .filter(({ code }, n, all) => all.findIndex(other => other.code === code) === n)
  for (const check of planJob(job, KIT).prove.data.checks)
    job.prove.results[check.id] = { result: 'pass', note: '', at: at(on, DAYS_IN_HAND, 10) }
  const { quote } = planJob(job, KIT)['hand-over'].data
  const planned = quote?.lines.find(line => line.name === 'Filler')?.quantity ?? 0
  Object.assign(job.handOver, {
    actualMin: took(job, row.took),
    usedRods: planned ? Math.max(0.5, Math.round(planned * rods * 2) / 2) : null,
    handedTo: 'collected',
    handedAt: at(on, DAYS_IN_HAND, 16),
  })
  return { ...settle(job, at(on, DAYS_IN_HAND, 15), ...STATION_IDS), updatedAt: at(on, DAYS_IN_HAND, 16) }
}

/** The shop's finished jobs, oldest first; some came back. */
export const finishedJobs = (): Job[] => FINISHED.map(finish)
