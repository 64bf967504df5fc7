import { NoAnswer } from '../ask/question'

export interface TaskGiven {
  id: string
  name?: string | undefined
  minutes: number
  needs: readonly string[]
  after?: readonly string[] | undefined
  unattended?: boolean | undefined
  earliestMin?: number | undefined
  maxWaitMin?: number | undefined
}
export interface JobGiven {
  id: string
  due?: number | undefined
  tasks: readonly TaskGiven[]
}
export interface DayGiven {
  jobs: readonly JobGiven[]
  resources: readonly { id: string; count: number }[]
  shifts: readonly { startMin: number; endMin: number }[]
}

export interface Task {
  id: string
  job: number
  minutes: number
  /** Resources, by number. */
  needs: number[]
  /** Tasks that must end before it begins, and those that wait for it. */
  before: number[]
  then: number[]
  unattended: boolean
  earliestMin: number
  /** Longest wait after the last of those before it has ended. */
  maxWaitMin: number
}
export interface Day {
  tasks: Task[]
  capacity: number[]
  resourceIds: string[]
  due: number[]
  shifts: { startMin: number; endMin: number }[]
  /** The tasks in an order in which none comes before what it waits for. */
  order: number[]
}

/**
 * The day as numbers, checked.
 * @throws NoAnswer for ids that are double or unknown, tasks that wait for one another in a ring, more than a resource
 * has, or an attended task longer than any shift
 */
export function dayOf({ jobs, resources, shifts }: DayGiven): Day {
  const resourceIds = resources.map(resource => resource.id)
  const flat = jobs.flatMap((job, n) => job.tasks.map(task => ({ task, job: n })))
  const byId = new Map<string, number>()
  flat.forEach(({ task }, n) => {
    if (byId.has(task.id)) throw new NoAnswer(`two tasks have the id ${task.id}`)
    byId.set(task.id, n)
  })
  if (new Set(resourceIds).size !== resourceIds.length) throw new NoAnswer('two resources have the same id')
  const sorted = shifts.toSorted((a, b) => a.startMin - b.startMin)
  const longest = Math.max(...sorted.map(shift => shift.endMin - shift.startMin), sorted.length ? 0 : Infinity)
  const tasks = flat.map(({ task, job }): Task => {
    const needs = task.needs.map(id => {
      const found = resourceIds.indexOf(id)
      if (found < 0) throw new NoAnswer(`${task.id} needs ${id}, which is not among the resources`)
      return found
    })
    const before = (task.after ?? []).map(id => {
      const found = byId.get(id)
      if (found === undefined) throw new NoAnswer(`${task.id} comes after ${id}, which is not among the tasks`)
      return found
    })
    const unattended = task.unattended ?? false
    if (!unattended && task.minutes > longest)
      throw new NoAnswer(`${task.name ?? task.id} takes ${task.minutes} min and no shift is that long`)
    return {
      id: task.id,
      job,
      minutes: task.minutes,
      needs,
      before,
      then: [],
      unattended,
      earliestMin: task.earliestMin ?? 0,
      maxWaitMin: task.maxWaitMin ?? Infinity,
    }
  })
  tasks.forEach((task, n) => {
    for (const before of task.before) tasks[before]!.then.push(n)
  })
  const capacity = resources.map(resource => resource.count)
  for (const task of tasks) {
    for (const resource of task.needs)
      if (task.needs.filter(other => other === resource).length > capacity[resource]!)
        throw new NoAnswer(`${task.id} needs more ${resourceIds[resource]} than there are`)
  }
  const waiting = tasks.map(task => task.before.length)
  const order = waiting.flatMap((count, n) => (count === 0 ? [n] : []))
  for (let at = 0; at < order.length; at++)
    for (const next of tasks[order[at]!]!.then) if (--waiting[next]! === 0) order.push(next)
  if (order.length < tasks.length)
    throw new NoAnswer(
      `tasks wait for one another in a ring: ${tasks
        .filter((_, n) => waiting[n]! > 0)
        .slice(0, 4)
        .map(task => task.id)
        .join(', ')}`,
    )
  return { tasks, capacity, resourceIds, due: jobs.map(job => job.due ?? Infinity), shifts: sorted, order }
}
