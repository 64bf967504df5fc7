import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { balance } from './balance'
import { runOut } from './run-out'

const round = (n: number, f: (angle: number) => number) => Array.from({ length: n }, (_, i) => f((2 * Math.PI * i) / n))

describe('run-out', () => {
  it('finds the offset it was made with, and its high spot', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 72 }),
        fc.double({ min: 0.001, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        (n, offset, deg) => {
          const found = runOut(round(n, angle => 5 + offset * Math.cos(angle - (deg * Math.PI) / 180)))
          const off = Math.abs(found.highDeg - deg) % 360
          return Math.abs(found.eccentricityMm - offset) < 1e-9 && Math.min(off, 360 - off) < 1e-6
        },
      ),
      { seed: 31 },
    )
  })
  it('tells an oval and three jaws from an offset', () => {
    const found = runOut(round(36, angle => 0.05 * Math.cos(2 * angle + 1) + 0.02 * Math.cos(3 * angle)))
    expect(found.eccentricityMm).toBeCloseTo(0, 12)
    expect(found.lobes.find(lobe => lobe.order === 2)!.amplitudeMm).toBeCloseTo(0.05, 12)
    expect(found.lobes.find(lobe => lobe.order === 3)!.amplitudeMm).toBeCloseTo(0.02, 12)
  })
  it('reads twice the offset on a true round', () => expect(runOut(round(360, Math.cos)).tirMm).toBeCloseTo(2, 9))
})

describe('balance', () => {
  it('is mass × radius, and counts only the difference where metal was replaced', () => {
    expect(balance({ radiusMm: 60, addedG: 4, atRadiusMm: 40 })).toMatchObject({ unbalanceGmm: 240, correctG: 6 })
    expect(
      balance({ radiusMm: 60, volumeMm3: 1000, densityGcm3: 6.6, replacedDensityGcm3: 2.6, atRadiusMm: 60 }),
    ).toMatchObject({ unbalanceGmm: expect.closeTo(240, 9), correctG: expect.closeTo(4, 9) })
  })
})
