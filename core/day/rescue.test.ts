import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayOf, type DayGiven } from './model'
import { jobEnds } from './ends'
import { changedBy, heldTo, rescues, soonest, type Rescue } from './rescue'
import { schedule, scheduled } from './search'

function planned(given: DayGiven) {
  const day = dayOf(given)
  const { starts } = scheduled(schedule(day, 0.3))
  return jobEnds(given, new Map(day.tasks.map((task, n) => [task.id, starts[n]!] as const)))
}
function saved(given: DayGiven, id: string, nowMin = 0): Rescue[] {
  const running = rescues(given, id, planned(given), nowMin)
  for (;;) {
    const next = running.next()
    if (next.done) return next.value
  }
}
const job = (id: string, minutes: number, due?: number, needs = ['hands']) => ({
  id,
  due,
  tasks: [{ id: `${id}-work`, minutes, needs }],
})
const hands = [{ id: 'hands', count: 1 }]

describe('what would save a late job', () => {
  it('a longer first day: 420 min of work promised before the second day is 60 min too much for six hours', () => {
    const given = {
      jobs: [job('a', 200, 1500), job('b', 220, 1500)],
      resources: hands,
      shifts: [
        { startMin: 480, endMin: 840 },
        { startMin: 1920, endMin: 2280 },
      ],
    }
    const late = planned(given).get('a')! > 1500 ? 'a' : 'b'
    expect(saved(given, late)).toEqual(
      expect.arrayContaining([
        { way: 'longer', minutes: 60, shift: 0, endMin: expect.any(Number) },
        { way: 'earlier', minutes: 60, shift: 0, endMin: expect.any(Number) },
        { way: 'one-more', resource: 'hands', endMin: expect.any(Number) },
      ]),
    )
    expect(saved(given, late, 450).some(rescue => rescue.way === 'earlier')).toBe(false)
  })
  it("another job's patience: both are promised for 60, both take 40, and one of them may end at 80", () => {
    const given = { jobs: [job('a', 40, 60), job('b', 40, 60)], resources: hands, shifts: [] }
    const late = planned(given).get('a')! > 60 ? 'a' : 'b'
    const other = late === 'a' ? 'b' : 'a'
    expect(saved(given, late)).toContainEqual({ way: 'let-later', job: other, untilMin: 80, endMin: 40 })
  })
  it('a second mill and not a second pair of hands, where the mill runs by itself', () => {
    const milled = (id: string) => ({
      id,
      due: 70,
      tasks: [{ id: `${id}-mill`, minutes: 60, needs: ['mill'], unattended: true }],
    })
    const given = { jobs: [milled('a'), milled('b')], resources: [...hands, { id: 'mill', count: 1 }], shifts: [] }
    const late = planned(given).get('a')! > 70 ? 'a' : 'b'
    expect(saved(given, late).filter(rescue => rescue.way === 'one-more')).toEqual([
      { way: 'one-more', resource: 'mill', endMin: 60 },
    ])
  })
  it('nothing, where the job alone is longer than its time, and says when it could end', () => {
    const given = { jobs: [job('a', 100, 60), job('b', 10)], resources: hands, shifts: [] }
    expect(saved(given, 'a')).toEqual([])
    expect(soonest(given, 'a')).toBe(100)
  })
  it('refuses a job without a promise or without a place in the day', () => {
    const given = { jobs: [job('a', 10)], resources: hands, shifts: [] }
    expect(() => saved(given, 'a')).toThrow('no job a with a due time')
    expect(() => saved(given, 'z')).toThrow('no job z')
  })
  it('holds in every day drawn: planned with the change, the job is on time and no other later than promised or than before', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minutes: fc.integer({ min: 10, max: 120 }),
            due: fc.option(fc.integer({ min: 60, max: 400 }), { nil: undefined }),
          }),
          { minLength: 3, maxLength: 6 },
        ),
        drawn => {
          const given = {
            jobs: drawn.map(({ minutes, due }, n) => job(`j${n}`, minutes, due)),
            resources: hands,
            shifts: [
              { startMin: 0, endMin: 300 },
              { startMin: 1440, endMin: 2200 },
            ],
          }
          const ends = planned(given)
          for (const late of given.jobs.filter(one => one.due !== undefined && ends.get(one.id)! > one.due)) {
            for (const rescue of saved(given, late.id)) {
              expect(rescue.endMin).toBeLessThanOrEqual(late.due! + 1e-9)
              const again = dayOf(changedBy(heldTo(given, late.id, ends), rescue))
              expect(scheduled(schedule(again, 0.3)).lateMin).toBe(0)
            }
          }
        },
      ),
      { numRuns: 25, seed: 7 },
    )
  })
})
