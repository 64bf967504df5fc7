import { ref } from 'vue'
import { db } from '~/db/database'
import { writeChanges } from '~/db/shelf'
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
  /** Tasks with an act under way: the second press of a double one is no second act. */
  const busy = new Set<string>()
  const once =
    <Rest extends unknown[]>(act: (task: Task, ...rest: Rest) => Promise<void>) =>
    async (task: Task, ...rest: Rest) => {
      if (busy.has(task.id)) return
      busy.add(task.id)
      try {
        await act(task, ...rest)
      } finally {
        busy.delete(task.id)
      }
    }
  async function start(task: Task) {
    if (clockOf(task)) return
    const left = Math.max(LEAST_MIN, task.minutes - (task.unattended ? 0 : await spentOn(task.id)))
    await clocks.start(task.name, left * 60, task.jobId, task.unattended ? undefined : task.id)
  }
  /** Left half way: what it took so far counts when it is finished. */
  async function stop(task: Task) {
    const clock = clockOf(task)
    if (!clock || !(await clocks.stop(clock.id))) return
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
  const note = (jobId: string, phase: string, before: number | undefined, value: number | undefined) =>
    writeChanges(jobId, [{ path: ['handOver', 'actualMin', phase], before, value }], new Date().toISOString())

  /** Notes the minutes it took, by its clock where one runs, else as planned; what runs by itself after it begins. */
  async function done(task: Task, then: Task | undefined) {
    const phase = phaseOf(task)
    const job = phase ? await db.jobs.get(task.jobId) : undefined
    // What has its minutes is done: the day only has not been laid anew yet.
    if (phase && job && job.handOver.actualMin[phase] !== undefined) return
    const clock = clockOf(task)
    if (clock) await clocks.stop(clock.id)
    if (!job || !phase) return
    const spent = await spentOn(task.id)
    const minutes = clock ? spent + elapsedMin(clock) : Math.max(spent, task.minutes)
    await keepSpent(task.id, 0)
    await note(task.jobId, phase, undefined, minutes)
    if (then?.unattended) await start(then)
    noted.value = {
      words: `${task.name}, ${task.title}: ${minutes} min noted${clock ? '' : ', as planned'}${then?.unattended ? `; the clock for ${then.name.toLowerCase()} runs` : ''}.`,
      undo: async () => {
        await note(task.jobId, phase, minutes, undefined)
        await keepSpent(task.id, spent)
        noted.value = null
      },
    }
  }
  return {
    noted,
    clockOf,
    start: once(start),
    stop: once(stop),
    done: once(done),
    kept: (task: Task) => phaseOf(task) !== null,
  }
}
