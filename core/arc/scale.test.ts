import { describe, expect, it } from 'vitest'
import { balanceScale, currentScale, type ScaledMachine } from './scale'

const machine: ScaledMachine = {
  lowA: 5,
  highA: 200,
  ratedA: 200,
  ratedPct: 25,
  torchA: 180,
  ranges: '',
  currentDial: 'amps',
  dialReads: 'en-share',
}

describe('a machine as its dials read', () => {
  it('rests above the current of equal heating: IEC 60974-1, 200 A at 25 % is 100 A without a rest', () => {
    expect(currentScale(machine)).toMatchObject({ restlessA: 100, dutyAtHighPct: 25, torchFromA: 180 })
    expect(currentScale({ ...machine, torchA: 250 }).torchFromA).toBeNull()
  })
  it('a dial in percent is read within the range that holds the current', () => {
    const { ranges, ticks } = currentScale({ ...machine, ranges: '5-60, 40-200', currentDial: 'percent' })
    expect(ranges).toHaveLength(2)
    expect(ticks.find(tick => tick.a === 60)!.dial).toBe('100 %')
    expect(ticks.find(tick => tick.a === 120)!.dial).toBe('50 %')
  })
  it('ticks are round, rise, and end where the machine ends', () => {
    const { ticks } = currentScale({ ...machine, lowA: 7, highA: 193 })
    expect(ticks[0]!.a).toBe(7)
    expect(ticks.at(-1)!.a).toBe(193)
    expect(ticks.map(tick => tick.a)).toEqual(ticks.map(tick => tick.a).toSorted((a, b) => a - b))
    expect(currentScale({ ...machine, lowA: 50, highA: 50 }).ticks).toEqual([{ a: 50, dial: '50' }])
  })
  it('the same balance reads three ways', () => {
    const at70 = (reads: ScaledMachine['dialReads']) => balanceScale(reads).ticks.find(tick => tick.enPct === 70)!.dial
    expect([at70('en-share'), at70('cleaning-share'), at70('ep-minus-en')]).toEqual([70, 30, -40])
  })
})
