import { describe, expect, it } from 'vitest'
import { mm } from '../../quantity/stored'
import { pathLongMm } from '../../solid/stored/to-shape'
import { weldLine } from './weld-line'

const at = { x: mm(100), y: mm(50), z: mm(3) }
const mark = { at, path: [], face: 'top' as const }

describe('the line a weld is laid on', () => {
  it('is its own where it was walked along', () => {
    expect(weldLine({ ...mark, path: [[120, 50, 3]] }, { goes: 'round', longMm: 90 })).toEqual([
      [100, 50, 3],
      [120, 50, 3],
    ])
    expect(weldLine({ ...mark, at: { ...at, x: { typed: '', value: null } } }, null)).toBeNull()
  })
  it('goes about a patch, round a boss and straight through a break, as long as it was planned', () => {
    const patch = weldLine(mark, { goes: { longMm: 80, wideMm: 60 }, longMm: 280 })!
    expect(pathLongMm(patch)).toBeCloseTo(280, 9)
    expect(patch[0]).toEqual(patch.at(-1))
    const ring = weldLine(mark, { goes: 'round', longMm: 94 })!
    expect(pathLongMm(ring) / 94).toBeGreaterThan(0.99)
    const straight = weldLine({ ...mark, face: 'left' }, { goes: 'straight', longMm: 40 })!
    expect(straight).toEqual([
      [100, 30, 3],
      [100, 70, 3],
    ])
    expect(pathLongMm(weldLine(mark, null)!)).toBe(30)
  })
})
