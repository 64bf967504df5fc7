import fc from 'fast-check'
import { expect, it } from 'vitest'
import { InUse } from './in-use'
import { dayOf } from './model'
import { schedule, scheduled } from './search'

it('a resource is free from the first minute that a count of every minute leaves it free from', () => {
  const taken = fc.record({ from: fc.nat(30), minutes: fc.integer({ min: 1, max: 9 }), wanted: fc.constantFrom(1, 2) })
  const tasks = fc.array(taken, { maxLength: 12 })
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 4 }), tasks, taken, (capacity, all, asked) => {
      const use = new InUse(capacity, all.length)
      const minutes = Array.from({ length: 200 }, () => 0)
      const free = ({ from, minutes: long, wanted }: typeof asked) => {
        for (let start = from; ; start++)
          if (minutes.slice(start, start + long).every(used => used + wanted <= capacity)) return start
      }
      for (const each of all) {
        const start = use.freeFrom(each.from, each.minutes, each.wanted)
        expect(start).toBe(free(each))
        use.take(start, start + each.minutes, each.wanted)
        for (let minute = start; minute < start + each.minutes; minute++) minutes[minute]! += each.wanted
      }
      expect(use.freeFrom(asked.from, asked.minutes, asked.wanted)).toBe(free(asked))
      use.clear()
      expect(use.freeFrom(asked.from, asked.minutes, asked.wanted)).toBe(asked.from)
    }),
  )
})

it('a task that needs both of two clamps waits until both are free', () => {
  const { starts } = scheduled(
    schedule(
      dayOf({
        jobs: [
          { id: 'a', tasks: [{ id: 'one', minutes: 30, needs: ['clamp'] }] },
          { id: 'b', tasks: [{ id: 'both', minutes: 20, needs: ['clamp', 'clamp'] }] },
        ],
        resources: [{ id: 'clamp', count: 2 }],
        shifts: [],
      }),
    ),
  )
  expect(starts.toSorted((a, b) => a - b)).not.toEqual([0, 0])
  expect(Math.max(...starts)).toBeGreaterThanOrEqual(20)
})
