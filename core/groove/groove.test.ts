import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { grooveOutline, includedDegForHalfWidth } from './outline'
import { reinforce } from './reinforce'
import { planGroove, type GrooveInput } from './plan'
import { areaBelowMm2, grooveSection, halfWidthMm, heightOfAreaMm } from './section'

const INPUT: GrooveInput = {
  crackMm: 100,
  wallMm: 8,
  sides: 1,
  includedDeg: 70,
  rootRadiusMm: 2,
  landMm: 2,
  capMm: 1.5,
  stopHoleMm: 3.2,
  pastTipMm: 4,
  fillerMm: 2.4,
  rodMm: 914,
  efficiencyPct: 90,
  closed: false,
  fillerDensityGcm3: 2.69,
}
const shapes = fc.record({
  depthMm: fc.double({ min: 0.5, max: 40, noNaN: true }),
  includedDeg: fc.double({ min: 0, max: 150, noNaN: true }),
  rootRadiusMm: fc.double({ min: 0, max: 12, noNaN: true }),
})

/** Area by Simpson's rule over the half width, fine near the bottom where the arc is steep. */
function integrated(shape: { depthMm: number; includedDeg: number; rootRadiusMm: number }): number {
  const n = 4000
  // Substituting h = depth·u² takes the square root out of the arc.
  const f = (u: number) => 2 * halfWidthMm(shape, shape.depthMm * u * u) * 2 * shape.depthMm * u
  let sum = f(0) + f(1)
  for (let i = 1; i < n; i++) sum += f(i / n) * (i % 2 ? 4 : 2)
  return sum / 3 / n
}

describe('groove section', () => {
  it('is a plain V with no root radius: depth² × tan of half the angle', () => {
    expect(grooveSection({ depthMm: 6, includedDeg: 70, rootRadiusMm: 0 }).areaMm2).toBeCloseTo(
      36 * Math.tan((35 * Math.PI) / 180),
      9,
    )
    expect(grooveSection({ depthMm: 6, includedDeg: 70, rootRadiusMm: 0 }).topWidthMm).toBeCloseTo(
      12 * Math.tan((35 * Math.PI) / 180),
      9,
    )
  })
  it('is a U with no angle: half disc and slot above it', () => {
    expect(grooveSection({ depthMm: 6, includedDeg: 0, rootRadiusMm: 2 })).toMatchObject({
      topWidthMm: expect.closeTo(4, 9),
      areaMm2: expect.closeTo(2 * Math.PI + 4 * 4, 9),
    })
  })
  it('is a piece of a disc where the root is deeper than the groove', () => {
    // Circular segment of height 1 in a radius of 10: r² acos((r−h)/r) − (r−h) √(2rh − h²).
    expect(grooveSection({ depthMm: 1, includedDeg: 60, rootRadiusMm: 10 }).areaMm2).toBeCloseTo(
      100 * Math.acos(0.9) - 9 * Math.sqrt(19),
      9,
    )
  })
  it('agrees with numerical integration for any shape', () => {
    fc.assert(
      fc.property(
        shapes,
        shape => Math.abs(grooveSection(shape).areaMm2 - integrated(shape)) <= 1e-5 * Math.max(1, integrated(shape)),
      ),
      { numRuns: 60, seed: 6 },
    )
  })
  it('finds the height of an area, and the angle of a width', () => {
    fc.assert(
      fc.property(shapes, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (shape, share) => {
        const area = areaBelowMm2(shape, shape.depthMm) * share
        return Math.abs(areaBelowMm2(shape, heightOfAreaMm(shape, area)) - area) < 1e-6 * Math.max(1, area)
      }),
      { numRuns: 60, seed: 8 },
    )
    expect(includedDegForHalfWidth(6, 2, halfWidthMm({ depthMm: 6, includedDeg: 82, rootRadiusMm: 2 }, 6))).toBeCloseTo(
      82,
      3,
    )
  })
  it('is drawn from lip to lip through the bottom', () => {
    const outline = grooveOutline({ depthMm: 6, includedDeg: 70, rootRadiusMm: 2 })
    expect(outline[0]!.xMm).toBeCloseTo(-outline.at(-1)!.xMm, 12)
    expect(Math.min(...outline.map(point => point.heightMm))).toBe(0)
  })
})

describe('groove plan', () => {
  it('follows the contract: depth, section, run, holes', () => {
    const plan = planGroove({ ...INPUT, rootRadiusMm: 0 })
    const width = 12 * Math.tan((35 * Math.PI) / 180)
    const area = 36 * Math.tan((35 * Math.PI) / 180) + (2 / 3) * width * 1.5
    expect(plan).toMatchObject({
      depthMm: 6,
      topWidthMm: expect.closeTo(width, 9),
      areaMm2: expect.closeTo(area, 9),
      volumeMm3: expect.closeTo(area * 108, 6),
      massG: expect.closeTo(area * 108 * 2.69e-3, 6),
    })
    expect(plan.stopHoles).toEqual([
      { alongMm: -4, diameterMm: 3.2 },
      { alongMm: 104, diameterMm: 3.2 },
    ])
    expect(plan.rods).toBe(Math.ceil((area * 108) / 0.9 / ((Math.PI / 4) * 2.4 ** 2 * 914)))
  })
  it('shares the wall between two sides, and gives a ring no ends', () => {
    expect(planGroove({ ...INPUT, sides: 2 }).depthMm).toBe(3)
    const ring = planGroove({ ...INPUT, closed: true })
    expect(ring.stopHoles).toEqual([])
    expect(ring.runMm).toBe(100)
  })
  it('is near what the bench knows: a small bracket, under ten minutes of arc (common practice, no source)', () => {
    const plan = planGroove({ ...INPUT, crackMm: 60, wallMm: 8, sides: 2, landMm: 0 })
    expect(plan.arcMin).toBeLessThan(10)
    expect(plan.arcMin).toBeGreaterThan(1)
  })
  it('lays every pass once, inside the groove, bottom up', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 30, max: 110, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.constantFrom(1 as const, 2 as const),
        (wallMm, includedDeg, rootRadiusMm, sides) => {
          const plan = planGroove({ ...INPUT, wallMm, includedDeg, rootRadiusMm, sides, landMm: 0 })
          const { beads } = plan
          return (
            beads.length === plan.passesPerSide &&
            beads.every(
              (bead, i) =>
                bead.pass === i + 1 &&
                Math.abs(bead.xMm) <= plan.topWidthMm / 2 + 1e-9 &&
                bead.halfWidthMm > 0 &&
                bead.halfHeightMm > 0 &&
                (i === 0 || bead.layer >= beads[i - 1]!.layer),
            )
          )
        },
      ),
      { numRuns: 80, seed: 9 },
    )
  })
  it('says why there is no groove', () => {
    expect(() => planGroove({ ...INPUT, landMm: 8 })).toThrow(NoAnswer)
    expect(() => planGroove({ ...INPUT, wallMm: 400, landMm: 0, fillerMm: 0.6, includedDeg: 120 })).toThrow(
      /500 passes/,
    )
  })
})

describe('a plate on a bar', () => {
  it('is a deeper bar when it is as wide: (1 + t/h)³ and (1 + t/h)²', () => {
    const one = reinforce(30, 12, 4, 30, 1)
    expect(one.stiffnessRatio).toBeCloseTo((16 / 12) ** 3, 9)
    expect(one.strengthRatio).toBeCloseTo((16 / 12) ** 2, 9)
    expect(reinforce(30, 12, 4, 30, 2).stiffnessRatio).toBeCloseTo((20 / 12) ** 3, 9)
  })
  it('can make the section stiffer and yet hardly stronger, with a narrow plate on edge', () => {
    const narrow = reinforce(30, 12, 10, 2, 1)
    expect(narrow.stiffnessRatio).toBeGreaterThan(1)
    expect(narrow.strengthRatio).toBeLessThan(narrow.stiffnessRatio)
  })
})
