import { describe, expect, it } from 'vitest'
import { ampsNeed } from '../arc/amps'
import { easyPreheatC, leastPreheatC } from '../arc/least-preheat'
import { findAlloy } from '../metal/find-alloy'
import { currentByPass, currentFor, type CurrentInput } from './current'

const joint: CurrentInput = {
  wallMm: 2,
  joint: 'tee',
  process: 'ac-tig',
  startC: 20,
  arcMin: 0.6,
  passes: 1,
  massG: 900,
  skinMm2: 300_000,
  alloy: findAlloy('6061')!,
  zoneWallMm: 2,
  limitA: 200,
}

describe('current by pass', () => {
  // Common practice, no source: a 2 mm 6061 frame joint starts near 110 A and is eased to 70 to 75 A within the joint.
  it('a small frame joint starts near 110 A and is eased by about a third', () => {
    const { startA, easedA } = currentFor({ ...joint, joint: 'tee' })
    expect(startA).toBeGreaterThan(90)
    expect(startA).toBeLessThan(125)
    expect(easedA / startA).toBeGreaterThan(0.5)
    expect(easedA / startA).toBeLessThan(0.8)
  })
  it('begins each pass lower than the one before, until the interpass heat holds it, and ends as currentFor says', () => {
    const input = {
      ...joint,
      wallMm: 8,
      zoneWallMm: 8,
      arcMin: 8,
      passes: 5,
      alloy: findAlloy('356')!,
      joint: 'flat' as const,
    }
    const rows = currentByPass(input, 200)
    expect(rows).toHaveLength(5)
    rows.slice(1).forEach((row, n) => expect(row.startA).toBeLessThanOrEqual(rows[n]!.startA + 1e-9))
    rows.forEach(row => expect(row.easedA).toBeLessThanOrEqual(row.startA + 1e-9))
    expect(rows.at(-1)!.easedA).toBeCloseTo(currentFor({ ...input, limitA: 200 }).easedA, 9)
  })
  it('the least preheat is where the least current meets the machine, the easy one where the usual does', () => {
    const least = leastPreheatC(10, 140, 'ac-tig', 'flat')
    const easy = easyPreheatC(6, 180, 'ac-tig', 'flat')
    expect(ampsNeed(10, least, 'ac-tig', 'flat').lowA).toBeCloseTo(140, 9)
    expect(ampsNeed(6, easy, 'ac-tig', 'flat').a).toBeCloseTo(180, 9)
    expect(leastPreheatC(3, 200, 'ac-tig', 'flat')).toBe(20)
  })
})
