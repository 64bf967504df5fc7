import { describe, expect, it } from 'vitest'
import { corners, moved, sized } from './handles'
import { startPiece } from './starters.table'

const base = startPiece('base', { kind: 'box', size: { xMm: 100, yMm: 60, zMm: 20 } })
const boss = startPiece('boss', { kind: 'disc', size: { diameterMm: 30, thickMm: 15 }, at: [10, 10, 20] })

describe('a piece taken by its corners', () => {
  it('lays itself on another edge or middle that is near, else on a half millimetre', () => {
    expect(moved(boss, [61.2, 0, 0], [base, boss]).at.x.value).toBe(70)
    expect(moved(boss, [24.1, 0, 0], [base, boss]).at.x.value).toBe(35)
    expect(moved(boss, [7.3, 0, 0], [base, boss]).at.x.value).toBe(17.5)
    expect(moved(boss, [0, 0, 0], [base, boss]).at).toEqual(boss.at)
  })
  it('grows by its far corner, along the way it was turned', () => {
    expect(sized(boss, [4, 0, 0], [base, boss]).size.diameterMm!.value).toBe(34)
    const lug = startPiece('lug', {
      kind: 'lug',
      size: { longMm: 50, wideMm: 30, thickMm: 10, holeMm: 8 },
      lies: 'along',
    })
    expect(corners(lug)!.high).toEqual([10, 50, 30])
    expect(sized(lug, [0, 6, 0], [lug]).size.longMm!.value).toBe(56)
    expect(sized(boss, [-500, 0, 0], [base, boss]).size.diameterMm!.value).toBe(0.5)
  })
  it('stays as it is while a size of it is not understood', () => {
    const unknown = { ...boss, size: { ...boss.size, diameterMm: { typed: 'wide', value: null } } }
    expect(corners(unknown)).toBeNull()
    expect(moved(unknown, [5, 5, 5], [base])).toBe(unknown)
  })
})
