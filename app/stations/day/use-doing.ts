import { ref } from 'vue'
import { db } from '~/db/database'
import { writePatches } from '~/db/shelf'
import { useClocks } from '~/stores/clocks'
import type { PlannedDay } from '~/workers/day.worker'

type Task = PlannedDay['tasks'][number]

/** Phases whose minutes a job keeps; the rest of the day's tasks are parts of them, or run by themselves. */
const KEPT = ['open', 'warm', 'weld', 'rebuild', 'prove']
const phaseOf = (task: Pick<Task, 'id' | 'jobId'>) => {
  const phase = task.id.slice(task.jobId.length + 1)
  return KEPT.includes(phase) ? phase : null
}

/** Beginning, leaving and finishing a task of the day; its clock is the bench's own, and its minutes go to the job. */
export function useDoing() {
  const clocks = useClocks()
  /** What was just noted, and how it is taken back. */
  const noted = ref<{ words: string; undo: () => Promise<void> } | null>(null)

  const clockOf = (task: Task) => clocks.running.find(clock => clock.task === task.id)
  const start = (task: Task) =>
    clocks.start(task.name, task.minutes * 60, task.jobId, task.unattended ? undefined : task.id)
  async function stop(task: Task) {
    const clock = clockOf(task)
    if (clock) await clocks.stop(clock.id)
  }
  const write = (jobId: string, value: Record<string, number>) =>
    writePatches(jobId, [{ path: ['handOver', 'actualMin'], value }], new Date().toISOString())

  /** Notes the minutes it took, by its clock where one runs, else as planned; what runs by itself after it begins. */
  async function done(task: Task, then: Task | undefined) {
    const phase = phaseOf(task)
    const clock = clockOf(task)
    if (clock) await clocks.stop(clock.id)
    const job = phase ? await db.jobs.get(task.jobId) : undefined
    if (!job || !phase) return
    const before = { ...job.handOver.actualMin }
    const minutes = clock ? Math.max(1, Math.round((Date.now() - clock.startedAt) / 60_000)) : task.minutes
    await write(task.jobId, { ...before, [phase]: minutes })
    if (then?.unattended) await start(then)
    noted.value = {
      words: `${task.name}, ${task.title}: ${minutes} min noted${clock ? '' : ', as planned'}${then?.unattended ? `; the clock for ${then.name.toLowerCase()} runs` : ''}.`,
      undo: async () => {
        await write(task.jobId, before)
        noted.value = null
      },
    }
  }
  return { noted, clockOf, start, stop, done, kept: (task: Task) => phaseOf(task) !== null }
}
