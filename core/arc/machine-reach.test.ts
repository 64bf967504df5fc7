import { describe, expect, it } from 'vitest'
import { mostCurrent } from './machine-reach'
import { mainsA, mainsLimitA } from './mains'
import { findAlloy } from '../metal/find-alloy'
import { migSetup } from './mig'
import { dialFor, readRanges } from './ranges'

const tig = { process: 'ac-tig' as const, highA: 200, torchA: 180, ratedA: 200, ratedPct: 25 }

describe('what stops a machine', () => {
  it('itself, its torch, or the mains it hangs on', () => {
    expect(mostCurrent({ ...tig, torchA: 250 })).toEqual({ a: 200, by: 'machine' })
    expect(mostCurrent(tig)).toEqual({ a: 180, by: 'torch' })
    expect(mostCurrent({ ...tig, supplyV: 120, breakerA: 15 })).toMatchObject({ by: 'mains' })
  })
  // Common practice, no source: a 200 A machine on 230 V and 16 A gives its rating; on 120 V and 15 A well under 100.
  it('230 V and 16 A bear a 200 A machine at its duty; 120 V and 15 A bear 60 to 100 A', () => {
    expect(mainsA({ ...tig, supplyV: 230 }, 200)).toBeLessThan(16)
    const small = mainsLimitA({ ...tig, supplyV: 120, breakerA: 15 })
    expect(small).toBeGreaterThan(60)
    expect(small).toBeLessThan(100)
  })
  // Common practice, no source: the plate of a 200 A inverter for 230 V names 24 to 32 A drawn at its most.
  it('draws at its most what the plates of such machines name', () => {
    const drawnA = mainsA({ ...tig, ratedPct: 100, supplyV: 230 }, 200)
    expect(drawnA).toBeGreaterThan(24)
    expect(drawnA).toBeLessThan(32)
  })
  it('the limit is where the breaker is met', () => {
    const supply = { ...tig, supplyV: 120, breakerA: 15 }
    expect(mainsA(supply, mainsLimitA(supply))).toBeCloseTo(15, 6)
    expect(mainsLimitA({ ...tig, supplyV: 1000, breakerA: 400 })).toBe(Infinity)
  })
})

describe('ranges as they are written', () => {
  it.each([
    [
      '5-60, 40-200',
      [
        [5, 60],
        [40, 200],
      ],
    ],
    [
      '40 to 200 A; 5–60 A',
      [
        [5, 60],
        [40, 200],
      ],
    ],
    ['', []],
  ])('%s', (written, ranges) => expect(readRanges(written)?.map(({ lowA, highA }) => [lowA, highA])).toEqual(ranges))
  it.each(['sixty', '60-5', '5-60-90', '5-60, ?'])('%s is not understood', written =>
    expect(readRanges(written)).toBeNull(),
  )
  it('the lowest that holds a current is set, its dial linear; past all of them the highest at its end', () => {
    const ranges = readRanges('5-60, 40-200')!
    expect(dialFor(ranges, 50)).toEqual({ lowA: 5, highA: 60, dialPct: (45 / 55) * 100 })
    expect(dialFor(ranges, 120)).toEqual({ lowA: 40, highA: 200, dialPct: 50 })
    expect(dialFor(ranges, 300)!.dialPct).toBe(100)
    expect(dialFor([], 100)).toBeNull()
  })
})

// Common practice, no source: thin wire on a thick wall, in several beads.
describe('thin wire on a thick wall', () => {
  const gun = (wallMm: number, startC = 20) =>
    migSetup({ wireMm: 0.9, filler: findAlloy('4043')!, wallMm, mode: 'pulse', startC })
  it('runs at the most it carries as long as that melts in', () => {
    expect(gun(3).heldByWire).toBe(false)
    const thick = gun(10)
    expect(thick.heldByWire).toBe(true)
    expect(thick.a).toBeCloseTo(260 * (Math.PI / 4) * 0.81, 6)
  })
  it('is refused where even that does not', () =>
    expect(() => migSetup({ wireMm: 0.8, filler: findAlloy('4043')!, wallMm: 20, mode: 'spray' })).toThrow(
      /take thicker wire, or warm the part/,
    ))
})
