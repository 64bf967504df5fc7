import { jobEnds } from '../../day/ends'
import type { DayGiven, TaskGiven } from '../../day/model'
import type { Rescue } from '../../day/rescue'
import type { Job, Kit } from '../../job/job.schema'
import { showText } from '../../quantity/show'
import { wallMinutes } from '../../quantity/wall-clock'
import { isArc } from '../../process/registry'
import type { StationId } from '../../job/stations.table'
import type { Phase } from '../hand-over/phases'
import type { MendRow } from '../mends/mend-row'
import { planJob } from '../plan-job'

/** What one welder's shop has one of. */
export const SHOP_RESOURCES = ['hands', 'torch', 'machine', 'mill', 'oven', 'freezer'] as const
const NEEDS: Readonly<Record<string, readonly string[]>> = {
  open: ['hands'],
  warm: ['hands', 'torch'],
  prove: ['hands'],
}
/**
 * What heat may not wait for: a warmed part is welded before it has cooled, a baked or wiped one before it draws damp
 * and dust again, min after each: judgement.
 */
const WAIT_MIN: Readonly<Record<string, number>> = { warm: 10, 'set-up': 60, 'open-alone': 240, 'open-dry': 240 }
const HOT_WORK: readonly string[] = ['set-up', 'warm']
/**
 * Putting a part into the oven, min, which somebody is there for; and how much of a rebuild with a frozen slug comes
 * before it lies in the freezer: judgement.
 */
const LOAD_MIN = 5
const BEFORE_FREEZER_SHARE = 0.5
const AT_MILL = ['hands', 'mill']
/** What has run by itself after a phase: the oven after opening, plain cooling after the weld. */
const ALONE: Readonly<Record<string, { name: string; needs: readonly string[] }>> = {
  open: { name: 'Bake', needs: ['oven'] },
}

/** What has run by itself after the last weld: nothing but time. */
const COOLS = { name: 'Cool slowly', needs: [] }

/** A slug's time in the freezer at least, and a wiped part's until it is dry, min. Common practice, no source. */
const FREEZER_MIN = 120
const DRY_MIN = 10

export interface DayTask {
  id: string
  jobId: string
  title: string
  name: string
  minutes: number
  unattended: boolean
}

/** What is known of the day beside the jobs themselves. */
export interface DayAround {
  /** Midnight before the first shift: promised times are counted from it. */
  midnightMs: number
  /** Nothing begins before this minute: it is gone. */
  nowMin: number
  /** Tasks put off by hand to a minute. */
  notBefore: Readonly<Record<string, number>>
  /** What runs by itself right now, by job, and the minutes its clock still has. */
  running: Readonly<Record<string, number>>
  /** Tasks that hands are at right now, and the minutes already in them. */
  begun?: Readonly<Record<string, number>>
}

/** What a mend takes of the shop beside hands: the machine that lays it, or the torch. */
function needsOf(row: MendRow | undefined): readonly string[] {
  const process = row?.planned?.process
  return process ? ['hands', isArc(process) ? 'machine' : 'torch'] : ['hands']
}

/** A phase whose station is settled is behind; setting up goes with the weld, and a mend with its rebuild too. */
const isBehind = ({ settled }: Job, { id, mend }: Phase): boolean =>
  mend
    ? settled.weld !== undefined && settled.rebuild !== undefined
    : settled[id === 'set-up' ? 'weld' : (id as StationId)] !== undefined

/** What a clean or hot part may not wait for long: setting up, warming, and the mends that metal is laid on. */
const isHot = ({ id }: Phase, row: MendRow | undefined): boolean => HOT_WORK.includes(id) || !!row?.planned?.process

/** Open jobs as a day's tasks: each phase not yet done in its turn, and what runs by itself between. */
export function dayFromJobs(
  jobs: readonly Job[],
  kit: Kit,
  shifts: DayGiven['shifts'],
  around?: DayAround,
): { given: DayGiven; tasks: DayTask[] } {
  const tasks: DayTask[] = []
  const nowMin = around?.nowMin ?? 0
  /** What is begun goes on, and nothing else takes the hands until then. */
  const leftOf = (id: string, minutes: number) => {
    const spent = around?.begun?.[id]
    return spent === undefined ? null : Math.max(1, Math.round(minutes - spent))
  }
  let handsFreeMin = nowMin
  // What is sent on or turned away takes no time on this bench.
  const given = jobs
    .filter(job => !job.handOver.handedAt && job.call.decision !== 'refer' && job.call.decision !== 'decline')
    .map(job => {
      const plan = planJob(job, kit)
      const list: TaskGiven[] = []
      let lastStep: string | null = null
      const add = (
        id: string,
        name: string,
        minutes: number,
        needs: readonly string[],
        unattended: boolean,
        maxWaitMin?: number,
      ) => {
        const left = leftOf(`${job.id}:${id}`, minutes)
        if (left !== null) handsFreeMin = Math.max(handsFreeMin, nowMin + left)
        const task = {
          id: `${job.id}:${id}`,
          name,
          minutes: left ?? Math.max(1, Math.round(minutes)),
          needs,
          after: lastStep ? [`${job.id}:${lastStep}`] : [],
          unattended,
          maxWaitMin: lastStep ? maxWaitMin : undefined,
          earliestMin: left === null ? Math.max(nowMin, around?.notBefore[`${job.id}:${id}`] ?? 0) : nowMin,
        }
        list.push(task)
        tasks.push({ id: task.id, jobId: job.id, title: job.title, name, minutes: task.minutes, unattended })
        lastStep = id
      }
      for (const phase of plan['hand-over'].data.phases) {
        if (phase.minutes <= 0 || phase.actualMin !== null || isBehind(job, phase)) continue
        const row = plan.mends.rows.find(each => each.id === phase.mend)
        const needs = NEEDS[phase.id] ?? needsOf(row)
        const back = row?.back
        if (back?.way === 'pressed-slug' && back.cold === 'freezer') {
          // A slug is turned to its bore before it is cooled, and stays in the freezer until it is pressed in straight
          // out of it.
          add(`${phase.id}-bore`, 'Bore, turn the slug', phase.minutes * BEFORE_FREEZER_SHARE, AT_MILL, false)
          add(`${phase.id}-freeze`, 'Slug in the freezer', FREEZER_MIN, ['freezer'], true)
          add(
            phase.id,
            `${phase.name}: press it in, weld, tap`,
            phase.minutes * (1 - BEFORE_FREEZER_SHARE),
            needs,
            false,
          )
        } else
          add(
            phase.id,
            phase.name,
            phase.minutes,
            needs,
            false,
            isHot(phase, row) && lastStep ? WAIT_MIN[lastStep] : undefined,
          )
        if (phase.id === 'open' && phase.unattendedMin <= 0) add('open-dry', 'Solvent dries', DRY_MIN, [], true)
        const alone = phase.mend ? COOLS : ALONE[phase.id]
        if (phase.unattendedMin > 0 && alone?.needs.length)
          add(`${phase.id}-load`, `${alone.name}: put it in`, LOAD_MIN, ['hands'], false)
        if (phase.unattendedMin > 0)
          add(`${phase.id}-alone`, alone?.name ?? 'By itself', phase.unattendedMin, alone?.needs ?? [], true, 0)
      }
      // A clock that runs for this job holds up its first task until it rings: early or late, the day follows it.
      const left = around?.running[job.id]
      if (left !== undefined && list[0])
        list[0] = { ...list[0], earliestMin: Math.max(list[0].earliestMin ?? 0, nowMin + left) }
      const due =
        job.takeIn.dueAt && around ? wallMinutes(new Date(job.takeIn.dueAt), new Date(around.midnightMs)) : undefined
      return {
        id: job.id,
        tasks: list,
        ...(due !== undefined && due >= 0 ? { due } : due !== undefined ? { due: 0 } : {}),
      }
    })
  const held = (task: TaskGiven): TaskGiven =>
    task.needs.includes('hands') && around?.begun?.[task.id] === undefined
      ? { ...task, earliestMin: Math.max(task.earliestMin ?? 0, handsFreeMin) }
      : task
  return {
    given: {
      jobs: given.filter(job => job.tasks.length).map(job => ({ ...job, tasks: job.tasks.map(held) })),
      resources: SHOP_RESOURCES.map(id => ({ id, count: 1 })),
      shifts,
    },
    tasks,
  }
}

export interface PromisedJob {
  id: string
  title: string
  /** When it is promised for and when the plan ends it, min from the plan's midnight. */
  dueMin: number
  endMin: number
  /** What is left between, min; below nought, the promise does not hold. */
  roomMin: number
}

/** Every open job that has been promised, the one with the least room first. */
export function promised(given: DayGiven, tasks: readonly (DayTask & { startMin: number })[]): PromisedJob[] {
  const ends = jobEnds(given, new Map(tasks.map(task => [task.id, task.startMin])))
  return given.jobs
    .flatMap(({ id, due }) => {
      const title = tasks.find(task => task.jobId === id)?.title
      const endMin = ends.get(id)
      if (due === undefined || title === undefined || endMin === undefined) return []
      return [{ id, title, dueMin: due, endMin, roomMin: due - endMin }]
    })
    .toSorted((a, b) => a.roomMin - b.roomMin)
}

export interface LateJob {
  id: string
  title: string
  lateMin: number
  why: string
}

const spoken = (minutes: number) => showText(Math.round(minutes), 'min', 'metric')

/** Jobs that end after they are promised, and why: their own length, or the wait for hands and machines. */
export function lateJobs(given: DayGiven, tasks: readonly (DayTask & { startMin: number })[], nowMin = 0): LateJob[] {
  return promised(given, tasks).flatMap(job => {
    const lateMin = -job.roomMin
    if (lateMin <= 0) return []
    const own = tasks.filter(task => task.jobId === job.id).toSorted((a, b) => a.startMin - b.startMin)
    const workMin = own.reduce((sum, task) => sum + task.minutes, 0)
    const begins = own[0]!.startMin
    const waits = own
      .map((task, n) => ({ task, wait: task.startMin - (n ? own[n - 1]!.startMin + own[n - 1]!.minutes : begins) }))
      .toSorted((a, b) => b.wait - a.wait)[0]!
    const why =
      job.dueMin <= nowMin
        ? 'the time it was promised for has gone'
        : begins + workMin <= job.dueMin
          ? `${waits.task.name} waits ${spoken(waits.wait)} for hands or machine`
          : begins - nowMin > 60 && nowMin + workMin <= job.dueMin
            ? `it begins only ${spoken(begins - nowMin)} from now`
            : `it takes ${spoken(workMin)} in all`
    return [{ id: job.id, title: job.title, lateMin, why }]
  })
}

const ONE_MORE: Readonly<Record<string, string>> = {
  hands: 'a second pair of hands',
  torch: 'a second torch',
  machine: 'a second welding machine',
  mill: 'a second mill',
  oven: 'a second oven',
  freezer: 'a second freezer',
}

/** What would bring a late job home, in words; `when` says a minute of the plan as a time and day. */
export function rescueWords(
  rescue: Rescue,
  given: DayGiven,
  titleOf: (jobId: string) => string,
  when: (minutes: number) => string,
): string {
  switch (rescue.way) {
    case 'longer':
      return `work on until ${when(given.shifts[rescue.shift]!.endMin + rescue.minutes)}`
    case 'earlier':
      return `begin at ${when(given.shifts[rescue.shift]!.startMin - rescue.minutes)}`
    case 'one-more':
      return ONE_MORE[rescue.resource] ?? `one more ${rescue.resource}`
    case 'let-later':
      return `promise ${titleOf(rescue.job)} for ${when(rescue.untilMin ?? rescue.endMin)}`
  }
}

/** Minutes of the hands in a plan. */
export const handsMin = (tasks: readonly DayTask[]): number =>
  tasks.filter(task => !task.unattended).reduce((sum, task) => sum + task.minutes, 0)
