import { describe, expect, it } from 'vitest'
import { ALLOYS } from './alloys.table'
import { findAlloy } from './find-alloy'
import { mechanicalOf } from './mechanical.table'
import { beadYieldMPa, softenedMPa } from './softened.table'

describe('the yield beside a weld', () => {
  it('is never over that of the alloy it stands in', () => {
    for (const alloy of ALLOYS) {
      expect(softenedMPa(alloy)).toBeGreaterThan(0)
      expect(softenedMPa(alloy), alloy.name).toBeLessThanOrEqual(mechanicalOf(alloy).proofMPa)
    }
  })
  it('of 6061-T6 falls to under half; a die casting loses nothing (Aluminum Design Manual, from memory)', () => {
    expect(softenedMPa(findAlloy('6061')!) / mechanicalOf(findAlloy('6061')!).proofMPa).toBeLessThan(0.5)
    expect(softenedMPa(findAlloy('380')!)).toBe(mechanicalOf(findAlloy('380')!).proofMPa)
  })
  it('of a bead is the weld metal where that is the softer', () => {
    expect(beadYieldMPa(findAlloy('6061')!, findAlloy('4043'))).toBe(95)
    expect(beadYieldMPa(findAlloy('5052')!, findAlloy('5356'))).toBe(65)
    expect(beadYieldMPa(findAlloy('413')!, null)).toBe(mechanicalOf(findAlloy('413')!).proofMPa)
  })
})
