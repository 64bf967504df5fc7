import { describe, expect, it } from 'vitest'
import { readHours } from '../../quantity/hours'
import { weekAhead, weekShifts } from './week'

const nine = { fromMin: 540, toMin: 1020 }

describe('hours as they are written', () => {
  it.each([
    ['8:00-17:00', { fromMin: 480, toMin: 1020 }],
    ['8 to 17', { fromMin: 480, toMin: 1020 }],
    ['7.5 – 12', { fromMin: 450, toMin: 720 }],
    ['off', null],
    ['  ', null],
    ['-', null],
  ])('%s', (text, hours) => {
    expect(readHours(text)).toEqual({ ok: true, hours })
  })
  it.each(['17-8', '8', 'noon to five', '8-12-14', '8-25', '-3 to 9'])('not %s', text => {
    expect(readHours(text).ok).toBe(false)
  })
})

describe('the week', () => {
  const off = [null, nine, nine, nine, nine, nine, null]
  it('keeps to each weekday, and to what is said of today', () => {
    // A Friday: Saturday and Sunday are off.
    const shifts = weekShifts({ fromMin: 480, toMin: 720 }, off, 5, 4)
    expect(shifts).toEqual([
      { startMin: 480, endMin: 720 },
      { startMin: 3 * 1440 + 540, endMin: 3 * 1440 + 1020 },
    ])
    // Today is worked even where its weekday is off.
    expect(weekShifts(nine, off, 0, 1)).toHaveLength(1)
  })
  it('says how full each day is by what the hands do in it', () => {
    const task = (startMin: number, minutes: number, unattended = false) => ({
      id: `${startMin}`,
      jobId: 'x',
      title: '',
      name: '',
      minutes,
      unattended,
      startMin,
    })
    const days = weekAhead([task(540, 60), task(600, 300, true), task(1440 - 30, 90)], weekShifts(nine, off, 5, 7), 3)
    expect(days).toEqual([
      { startMin: 0, openMin: 480, handsMin: 90 },
      { startMin: 1440, openMin: 0, handsMin: 60 },
      { startMin: 2880, openMin: 0, handsMin: 0 },
    ])
  })
})
