import { describe, expect, it } from 'vitest'
import { keptBy, onKept, recall, type Kept } from './kept'
import { NoAnswer } from './question'

describe('what is kept', () => {
  it('is worked out once for the same ask, and again once it has been pushed out', () => {
    let done = 0
    const twice = keptBy('twice', 2, (ask: { n: number }) => {
      done++
      return 2 * ask.n
    })
    expect([1, 2, 1].map(n => twice({ n }))).toEqual([2, 4, 2])
    expect(done).toBe(2)
    // The one asked last stays; the one asked longest ago goes.
    twice({ n: 3 })
    twice({ n: 1 })
    expect(done).toBe(3)
    twice({ n: 2 })
    expect(done).toBe(4)
  })

  it('remembers a refusal as one, and no fault of its own', () => {
    let done = 0
    const never = keptBy('never', 4, (ask: string) => {
      done++
      throw ask === 'fault' ? new TypeError('a fault') : new NoAnswer('not to be had')
    })
    for (const _ of [1, 2]) expect(() => never('x')).toThrow(NoAnswer)
    expect(done).toBe(1)
    for (const _ of [1, 2]) expect(() => never('fault')).toThrow(TypeError)
    expect(done).toBe(3)
  })

  it('is told as it is found, and can be taken back', () => {
    const told: Kept[] = []
    onKept(kept => told.push(kept))
    keptBy('told', 4, (n: number) => n + 1)(1)
    expect(told).toEqual([{ room: 'told', key: '1', found: { value: 2 } }])
    recall([{ room: 'taken back', key: '7', found: { value: 'as it was' } }])
    const never = keptBy('taken back', 4, (_: number): string => {
      throw new TypeError('worked out again')
    })
    expect(never(7)).toBe('as it was')
    expect(told).toHaveLength(1)
  })
})
