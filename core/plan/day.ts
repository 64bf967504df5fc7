import type { DayGiven, TaskGiven } from '../day/model'
import type { Job, Kit } from '../job/job.schema'
import { planJob } from './plan-job'

/** What one welder's shop has one of. */
export const SHOP_RESOURCES = ['hands', 'torch', 'machine', 'mill', 'oven'] as const
const NEEDS: Readonly<Record<string, readonly string[]>> = { open: ['hands'], warm: ['hands', 'torch'], weld: ['hands', 'machine'], rebuild: ['hands', 'mill'], prove: ['hands'] }
/** A warmed part is welded before it has cooled, and a baked one before it draws damp again, min: judgement. */
const WAIT_MIN: Readonly<Record<string, number>> = { weld: 10, warm: 240 }
/** What has run by itself after a phase: the oven after opening, plain cooling after the weld. */
const ALONE: Readonly<Record<string, { name: string, needs: readonly string[] }>> = { open: { name: 'Bake', needs: ['oven'] }, weld: { name: 'Cool slowly', needs: [] } }

export interface DayTask { id: string, jobId: string, title: string, name: string, minutes: number, unattended: boolean }

/** Open jobs as a day's tasks: each phase not yet done in its turn, and what runs by itself between. */
export function dayFromJobs(jobs: readonly Job[], kit: Kit, shifts: DayGiven['shifts']): { given: DayGiven, tasks: DayTask[] } {
  const tasks: DayTask[] = []
  const given = jobs.filter(job => !job.handOver.handedAt).map((job) => {
    const plan = planJob(job, kit)
    const list: TaskGiven[] = []
    let last: string | null = null
    const add = (id: string, name: string, minutes: number, needs: readonly string[], unattended: boolean, maxWaitMin?: number) => {
      const task = { id: `${job.id}:${id}`, name, minutes: Math.max(1, Math.round(minutes)), needs, after: last ? [last] : [], unattended, maxWaitMin: last ? maxWaitMin : undefined }
      list.push(task)
      tasks.push({ id: task.id, jobId: job.id, title: job.title, name, minutes: task.minutes, unattended })
      last = task.id
    }
    for (const phase of plan['hand-over'].data.phases) {
      if (phase.minutes <= 0 || job.settled[phase.id as keyof Job['settled']] || phase.actualMin !== null) continue
      add(phase.id, phase.name, phase.minutes, NEEDS[phase.id] ?? ['hands'], false, WAIT_MIN[phase.id])
      if (phase.unattendedMin > 0) add(`${phase.id}-alone`, ALONE[phase.id]?.name ?? 'By itself', phase.unattendedMin, ALONE[phase.id]?.needs ?? [], true)
    }
    return { id: job.id, tasks: list }
  })
  return { given: { jobs: given.filter(job => job.tasks.length), resources: SHOP_RESOURCES.map(id => ({ id, count: 1 })), shifts }, tasks }
}

/** How a plan stands: minutes of the hands in it, and how far at most it lies above the best, percent. */
export const dayFigures = (tasks: readonly DayTask[], makespanMin: number, lowerBoundMin: number) => ({
  handsMin: tasks.filter(task => !task.unattended).reduce((sum, task) => sum + task.minutes, 0), gapPct: makespanMin > 0 ? 100 * (makespanMin - lowerBoundMin) / lowerBoundMin : 0,
})

/** Working days of the same hours, from a minute of the first: shifts in minutes from midnight of the first day. */
export const workingDays = (fromMin: number, toMin: number, days: number): DayGiven['shifts'] => Array.from({ length: days }, (_, n) => ({ startMin: 1440 * n + fromMin, endMin: 1440 * n + toMin }))
