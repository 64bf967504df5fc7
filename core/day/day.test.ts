import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { questions } from '../questions'
import { lowerBound } from './bound'
import { FT06, FT10, LA, jobShop } from './instances.fixture'
import { dayOf, type DayGiven } from './model'
import { schedule, scheduled } from './search'
import { shopDay } from './shop-day.fixture'

const solve = (given: DayGiven, effort = 1) => scheduled(schedule(dayOf(given), effort))
/** The same, ended once a plan is as short as asked: what the whole search would find is never longer. */
function solveTo(given: DayGiven, mostMin: number) {
  const day = dayOf(given)
  const running = schedule(day, 1)
  let next = running.next()
  while (!next.done) next = running.next(next.value.makespanMin <= mostMin)
  return next.value
}

/** What is wrong with a plan, in words; empty where nothing is. */
function faults(given: DayGiven, starts: readonly number[]): string[] {
  const { tasks, capacity, shifts } = dayOf(given)
  const end = (n: number) => starts[n]! + tasks[n]!.minutes
  const found: string[] = []
  tasks.forEach((task, n) => {
    if (starts[n]! < task.earliestMin - 1e-6) found.push(`${task.id} too early`)
    for (const before of task.before)
      if (starts[n]! < end(before) - 1e-6) found.push(`${task.id} before ${tasks[before]!.id}`)
    if (task.before.length && starts[n]! - Math.max(...task.before.map(end)) > task.maxWaitMin + 1e-6)
      found.push(`${task.id} waited too long`)
    if (
      !task.unattended &&
      shifts.length &&
      !shifts.some(shift => starts[n]! >= shift.startMin - 1e-6 && end(n) <= shift.endMin + 1e-6)
    )
      found.push(`${task.id} outside the shifts`)
    for (const resource of task.needs) {
      const inUse = tasks.filter(
        (other, m) =>
          other.needs.includes(resource) &&
          other.minutes > 0 &&
          starts[m]! <= starts[n]! + 1e-9 &&
          end(m) > starts[n]! + 1e-9,
      ).length
      if (task.minutes > 0 && inUse > capacity[resource]!) found.push(`too many on ${resource} when ${task.id} begins`)
    }
  })
  return found
}

describe('published job-shop instances', () => {
  it('FT06 (Fisher and Thompson 1963) at its optimum of 55', () => {
    const found = solveTo(jobShop(FT06), 55)
    expect(found.makespanMin).toBe(55)
    expect(found.lowerBoundMin).toBeLessThanOrEqual(55)
  }, 240_000)
  it.each(LA)(
    'Lawrence (1984) $name at its optimum of $optimum',
    ({ rows, optimum }) => {
      const found = solveTo(jobShop(rows), optimum)
      expect(found.makespanMin).toBe(optimum)
      expect(found.lowerBoundMin).toBeLessThanOrEqual(optimum)
    },
    240_000,
  )
  it('FT10 within 3 % of 930', () => {
    const found = solveTo(jobShop(FT10), 930 * 1.03)
    expect(found.makespanMin).toBeLessThanOrEqual(930 * 1.03)
    expect(found.makespanMin).toBeGreaterThanOrEqual(930)
    expect(faults(jobShop(FT10), found.starts)).toEqual([])
  }, 240_000)
})

describe('a shop day', () => {
  const anyShopDay = fc.integer({ min: 1, max: 1e6 }).map(seed => shopDay(seed))
  it('of 40 tasks is always feasible, and its bound lies under it', () => {
    fc.assert(
      fc.property(anyShopDay, given => {
        const found = solve(given, 0.05)
        expect(faults(given, found.starts)).toEqual([])
        expect(found.lowerBoundMin).toBeLessThanOrEqual(found.makespanMin + 1e-9)
      }),
      { numRuns: 25, seed: 31 },
    )
  }, 120_000)
  it('of 40 tasks with the hands busy all day is within 5 % of its bound', () => {
    const given: DayGiven = {
      jobs: Array.from({ length: 10 }, (_, j) => ({
        id: `j${j}`,
        tasks: [
          { id: `a${j}`, minutes: 12 + j, needs: ['hands'], after: [] },
          { id: `b${j}`, minutes: 30, needs: ['oven'], after: [`a${j}`], unattended: true },
          { id: `c${j}`, minutes: 20 - j, needs: ['hands'], after: [`b${j}`] },
          { id: `d${j}`, minutes: 25, needs: [], after: [`c${j}`], unattended: true },
        ],
      })),
      resources: [
        { id: 'hands', count: 1 },
        { id: 'oven', count: 3 },
      ],
      shifts: [],
    }
    const found = solve(given)
    expect(found.makespanMin).toBeLessThanOrEqual(found.lowerBoundMin * 1.05)
  }, 60_000)
  it('keeps a wait from running over by beginning the one before later', () => {
    const given: DayGiven = {
      jobs: [
        {
          id: 'slug',
          tasks: [
            { id: 'freeze', minutes: 60, needs: ['freezer'], unattended: true },
            { id: 'press', minutes: 10, needs: ['hands'], after: ['freeze'], maxWaitMin: 2 },
          ],
        },
        { id: 'long', tasks: [{ id: 'weld', minutes: 200, needs: ['hands'] }] },
      ],
      resources: [
        { id: 'hands', count: 1 },
        { id: 'freezer', count: 1 },
      ],
      shifts: [],
    }
    expect(faults(given, solve(given).starts)).toEqual([])
  })
  it('leaves the oven running overnight and the hands inside their hours', () => {
    const given: DayGiven = {
      jobs: [
        {
          id: 'j',
          tasks: [
            { id: 'bake', minutes: 600, needs: ['oven'], unattended: true },
            { id: 'dress', minutes: 30, needs: ['hands'], after: ['bake'] },
          ],
        },
      ],
      resources: [
        { id: 'oven', count: 1 },
        { id: 'hands', count: 1 },
      ],
      shifts: [
        { startMin: 0, endMin: 480 },
        { startMin: 1440, endMin: 1920 },
      ],
    }
    expect(solve(given)).toMatchObject({ starts: [0, 1440], makespanMin: 1470, lowerBoundMin: 1470 })
  })
  it('counts lateness over all jobs', () => {
    const given = {
      jobs: [
        { id: 'a', due: 30, tasks: [{ id: 'x', minutes: 40, needs: ['hands'] }] },
        { id: 'b', due: 45, tasks: [{ id: 'y', minutes: 20, needs: ['hands'] }] },
      ],
      resources: [{ id: 'hands' }],
    }
    // y first: 20, x at 60: 30 late. x first: 40, 10 late, y at 60, 15 late: 25.
    expect(questions.ask('day.schedule', given)).toMatchObject({ ok: true, answer: { lateMin: 25, makespanMin: 60 } })
  })
  it.each<[string, Partial<DayGiven>, RegExp]>([
    [
      'a ring',
      {
        jobs: [
          {
            id: 'a',
            tasks: [
              { id: 'x', minutes: 1, needs: [], after: ['y'] },
              { id: 'y', minutes: 1, needs: [], after: ['x'] },
            ],
          },
        ],
      },
      /in a ring: x, y/,
    ],
    ['an unknown resource', { jobs: [{ id: 'a', tasks: [{ id: 'x', minutes: 1, needs: ['lathe'] }] }] }, /needs lathe/],
    [
      'an unknown task',
      { jobs: [{ id: 'a', tasks: [{ id: 'x', minutes: 1, needs: [], after: ['z'] }] }] },
      /comes after z/,
    ],
    [
      'one id twice',
      {
        jobs: [
          {
            id: 'a',
            tasks: [
              { id: 'x', minutes: 1, needs: [] },
              { id: 'x', minutes: 1, needs: [] },
            ],
          },
        ],
      },
      /two tasks have the id x/,
    ],
    [
      'no shift long enough',
      { jobs: [{ id: 'a', tasks: [{ id: 'x', minutes: 600, needs: [] }] }], shifts: [{ startMin: 0, endMin: 480 }] },
      /no shift is that long/,
    ],
    [
      'too little time',
      {
        jobs: [
          {
            id: 'a',
            tasks: [
              { id: 'x', minutes: 400, needs: ['hands'] },
              { id: 'y', minutes: 400, needs: ['hands'] },
            ],
          },
        ],
        shifts: [{ startMin: 0, endMin: 480 }],
      },
      /shifts given are too short/,
    ],
  ])('refuses %s in plain words', (_, change, reason) => {
    const given: DayGiven = { jobs: [], resources: [{ id: 'hands', count: 1 }], shifts: [], ...change }
    expect(() => solve(given)).toThrow(reason)
    expect(() => solve(given)).toThrow(NoAnswer)
  })
  it('an empty day takes no time', () =>
    expect(questions.ask('day.schedule', { jobs: [], resources: [] })).toMatchObject({
      ok: true,
      answer: { starts: [], makespanMin: 0 },
    }))
  it('bounds one machine by Jackson: heads, work and tails', () => {
    // Two tasks on one machine, one released late, one with a long tail after it.
    const given: DayGiven = {
      jobs: [
        {
          id: 'a',
          tasks: [
            { id: 'x', minutes: 10, needs: ['m'] },
            { id: 'tail', minutes: 30, needs: [], after: ['x'] },
          ],
        },
        { id: 'b', tasks: [{ id: 'y', minutes: 10, needs: ['m'], earliestMin: 5 }] },
      ],
      resources: [{ id: 'm', count: 1 }],
      shifts: [],
    }
    expect(lowerBound(dayOf(given))).toBe(40)
  })
})

it('ended early, the search gives the best plan so far, and a sound one', () => {
  const given = jobShop(FT10)
  const running = schedule(dayOf(given))
  running.next()
  running.next(false)
  const ended = running.next(true)
  expect(ended.done).toBe(true)
  if (ended.done) expect(faults(given, ended.value.starts)).toEqual([])
})
