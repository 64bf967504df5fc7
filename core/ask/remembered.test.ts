import { expect, it } from 'vitest'
import { remembered } from './remembered'

it('is worked out once for the same ask; the one asked longest ago goes first', () => {
  const done: number[] = []
  const twice = remembered(2, ({ n }: { n: number }) => {
    done.push(n)
    return 2 * n
  })
  expect([1, 2, 1, 3, 1, 2].map(n => twice({ n }))).toEqual([2, 4, 2, 6, 2, 4])
  expect(done).toEqual([1, 2, 3, 2])
})

it('asks anew what threw, and keeps nothing for nothing', () => {
  let tries = 0
  const never = remembered(2, (_: string): number => {
    tries++
    throw new Error('no')
  })
  for (const _ of [1, 2]) expect(() => never('x')).toThrow('no')
  expect(tries).toBe(2)
  let asked = 0
  const none = remembered(2, (_: string) => {
    asked++
    return null
  })
  expect([none('x'), none('x')]).toEqual([null, null])
  expect(asked).toBe(1)
})
