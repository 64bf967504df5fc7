import { describe, expect, it } from 'vitest'
import { leakDecay } from './decay'
import { watchedLeak } from './watch'

const at = (s: number, kPa: number, c: number | null) => ({ atMs: s * 1000, kPa, c })

describe('a leak while it is watched', () => {
  it('is that of the decay question', () => {
    const found = watchedLeak(2, at(0, 20, 26), at(300, 19, 20))!
    expect(found).toMatchObject({ seconds: 300, corrected: true })
    expect(found.sccm).toBe(
      leakDecay({ volumeL: 2, startKPa: 20, endKPa: 19, seconds: 300, startC: 26, endC: 20, baroKPa: 101.325 }).sccm,
    )
  })
  it('a thermometer put on half way makes no leak: nothing lost is nothing lost', () => {
    const found = watchedLeak(2, at(0, 20, null), at(60, 20, 95))!
    expect(found.corrected).toBe(false)
    expect(found.sccm).toBeCloseTo(0, 12)
  })
  it('says nothing in the first seconds, or of no volume', () => {
    expect(watchedLeak(2, at(0, 20, null), at(3, 19, null))).toBeNull()
    expect(watchedLeak(0, at(0, 20, null), at(30, 19, null))).toBeNull()
  })
})
