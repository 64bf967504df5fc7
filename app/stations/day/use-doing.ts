import { ref } from 'vue'
import { db } from '~/db/database'
import { writePatches } from '~/db/shelf'
import { useClocks } from '~/stores/clocks'
import type { PlannedDay } from '~/workers/day'

type Task = PlannedDay['tasks'][number]

/** Phases whose minutes a job keeps; the rest of the day's tasks are parts of them, or run by themselves. */
const KEPT = ['open', 'warm', 'weld', 'rebuild', 'prove']
const phaseOf = (task: Pick<Task, 'id' | 'jobId'>) => {
  const phase = task.id.slice(task.jobId.length + 1)
  return KEPT.includes(phase) ? phase : null
}

/** A task taken up again has a clock of this at least, min. */
const LEAST_MIN = 1
/** Minutes at tasks that were left half way, by task. */
const SPENT = 'spent-min'
const spentNow = async () => ((await db.facts.get(SPENT))?.value ?? {}) as Record<string, number>
const spentOn = async (taskId: string) => (await spentNow())[taskId] ?? 0
const keepSpent = (taskId: string, minutes: number) =>
  db.transaction('rw', db.facts, async () => {
    const { [taskId]: _, ...others } = await spentNow()
    await db.facts.put({ key: SPENT, value: minutes > 0 ? { ...others, [taskId]: minutes } : others })
  })

/** Beginning, leaving and finishing a task of the day; its clock is the bench's own, and its minutes go to the job. */
export function useDoing() {
  const clocks = useClocks()
  /** What was just noted, and how it is taken back. */
  const noted = ref<{ words: string; undo: () => Promise<void> } | null>(null)

  const clockOf = (task: Task) => clocks.running.find(clock => clock.task === task.id)
  const elapsedMin = ({ startedAt }: { startedAt: number }) =>
    Math.max(1, Math.round((Date.now() - startedAt) / 60_000))
  async function start(task: Task) {
    const left = Math.max(LEAST_MIN, task.minutes - (task.unattended ? 0 : await spentOn(task.id)))
    await clocks.start(task.name, left * 60, task.jobId, task.unattended ? undefined : task.id)
  }
  /** Left half way: what it took so far counts when it is finished. */
  async function stop(task: Task) {
    const clock = clockOf(task)
    if (!clock) return
    await clocks.stop(clock.id)
    const before = await spentOn(task.id)
    const spent = before + elapsedMin(clock)
    await keepSpent(task.id, spent)
    noted.value = {
      words: `${task.name}, ${task.title}: left after ${spent} min, which count when it is finished.`,
      undo: async () => {
        await keepSpent(task.id, before)
        noted.value = null
      },
    }
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
    const spent = await spentOn(task.id)
    const minutes = clock ? spent + elapsedMin(clock) : Math.max(spent, task.minutes)
    await keepSpent(task.id, 0)
    await write(task.jobId, { ...before, [phase]: minutes })
    if (then?.unattended) await start(then)
    noted.value = {
      words: `${task.name}, ${task.title}: ${minutes} min noted${clock ? '' : ', as planned'}${then?.unattended ? `; the clock for ${then.name.toLowerCase()} runs` : ''}.`,
      undo: async () => {
        await write(task.jobId, before)
        await keepSpent(task.id, spent)
        noted.value = null
      },
    }
  }
  return { noted, clockOf, start, stop, done, kept: (task: Task) => phaseOf(task) !== null }
}
