import { describe, expect, it } from 'vitest'
import { typedOn } from './typed-on'

const reading = (typed: string) => ({ typed, value: null })

describe('typing on', () => {
  it('puts letters in, or takes them out, at one place', () => {
    for (const [was, is] of [
      ['', '8'],
      ['8', '88 mm'],
      ['88 mm', '88'],
      ['bracket', 'brackt'],
      ['brackt', 'bracket'],
      ['aa', 'aaa'],
    ])
      expect(typedOn(was, is), `${was} ${is}`).toBe(true)
    expect(typedOn(reading('8'), reading('8 mm'))).toBe(true)
    expect(typedOn(null, 12)).toBe(true)
    expect(typedOn(12, 120)).toBe(true)
  })
  it('is no other choice, no tick, no entry more', () => {
    expect(typedOn('cast', 'sheet')).toBe(false)
    expect(typedOn(['pass-1'], ['pass-1', 'pass-2'])).toBe(false)
    expect(typedOn(true, false)).toBe(false)
    expect(typedOn({ id: 'a' }, { id: 'b' })).toBe(false)
  })
})
