import { describe, expect, it } from 'vitest'
import { findThread } from './find'
import { kitTaps, tapFor } from './kit-taps'

describe('taps in the kit', () => {
  const text = 'M6, M8; 3/8-16 UNC\nM8 insert, M10 wire insert, a bent one'
  it('are read as they are written; what is not understood is named', () => {
    const { taps, unread } = kitTaps(text)
    expect(unread).toEqual(['a bent one'])
    for (const written of ['M6', 'M8', '3/8-16 UNC'])
      expect(taps.has(findThread(written)!.designation), written).toBe(true)
    expect([...taps].filter(name => name.endsWith('wire'))).toHaveLength(2)
    expect([...taps].filter(name => name.endsWith('solid'))).toHaveLength(1)
  })
  it('say for each way whether its tap is there', () => {
    const m8 = findThread('M8')!
    expect(tapFor('weld-and-tap', m8, text)).toMatchObject({ inKit: true })
    expect(tapFor('solid-insert', m8, text)).toMatchObject({ inKit: true })
    expect(tapFor('solid-insert', findThread('M10')!, text)).toMatchObject({
      inKit: false,
      name: expect.stringContaining('solid-insert tap for M10'),
    })
    expect(tapFor('cast-on-screw', m8, text)).toBeNull()
    expect(tapFor('wire-insert', m8, ' ')).toBeNull()
  })
})
