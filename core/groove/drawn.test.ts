import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runOfCut, tipsOf, type GrooveCut } from './cut'
import { drawnGroove } from './drawn'
import { areaBelowMm2, capAreaMm2 } from './section'
import { sideOrder } from './sequence'

const CUT: GrooveCut = {
  wallMm: 8,
  sides: 1,
  includedDeg: 70,
  rootRadiusMm: 2,
  landMm: 2,
  capMm: 1.5,
  alongMm: 60,
  ends: ['tip', 'hole'],
  pastTipMm: 4.8,
  stopHoleMm: 3.2,
}

describe('a groove as it is drawn', () => {
  it('begins before a tip, and has a stop-hole there only', () => {
    const drawn = drawnGroove(CUT, sideOrder(1, 4), { keepBreak: true })!
    expect(drawn).toMatchObject({ runMm: 64.8, fromMm: -4.8, closed: false, shape: { depthMm: 6 } })
    expect(drawn.stopHoles).toEqual([{ alongMm: -4.8, diameterMm: 3.2 }])
    const turned = drawnGroove({ ...CUT, ends: ['hole', 'tip'] }, sideOrder(1, 4), { keepBreak: true })!
    expect(turned.fromMm).toBe(0)
    expect(turned.stopHoles).toEqual([{ alongMm: 64.8, diameterMm: 3.2 }])
    expect(drawnGroove({ ...CUT, stopHoleMm: 0 }, [], { keepBreak: true })!.stopHoles).toEqual([])
  })
  it('a ring has no ends, and nothing past them', () => {
    const drawn = drawnGroove({ ...CUT, ends: null }, sideOrder(1, 3), { keepBreak: false })!
    expect(drawn).toMatchObject({ closed: true, runMm: 60, fromMm: 0, stopHoles: [] })
    expect(tipsOf({ ...CUT, ends: null })).toBe(0)
  })
  it('numbers the beads of both sides as they are laid: turn about, or one side first', () => {
    const numbers = (passes: { side: 1 | 2 }[]) =>
      drawnGroove({ ...CUT, sides: 2 }, passes, { keepBreak: true })!.beads.map(({ side, number }) => [side, number])
    expect(numbers(sideOrder(2, 2))).toEqual([
      [1, 1],
      [1, 3],
      [2, 2],
      [2, 4],
    ])
    expect(numbers([{ side: 1 }, { side: 1 }, { side: 2 }])).toEqual([
      [1, 1],
      [1, 2],
      [2, 3],
    ])
  })
  it('says another reason where one side is finished before the other', () => {
    const why = (turnAbout: boolean) =>
      drawnGroove({ ...CUT, sides: 2 }, sideOrder(2, 2), { keepBreak: true, turnAbout })!.sequence.why.join(' ')
    expect(why(true)).toContain('two sides in turn')
    expect(why(false)).not.toContain('two sides in turn')
    expect(why(false)).toContain('does not quite pull it back')
  })
  it('is none where the root face leaves nothing, and has no beads where none are planned or too many', () => {
    expect(drawnGroove({ ...CUT, landMm: 8 }, sideOrder(1, 3), { keepBreak: true })).toBeNull()
    expect(drawnGroove(CUT, [], { keepBreak: true })!.beads).toEqual([])
    expect(drawnGroove(CUT, sideOrder(1, 501), { keepBreak: true })!.beads).toEqual([])
  })
  it('the beads of a side fill it: their boxes come to the groove and its cap, to the shape of a bead', () => {
    fc.assert(
      fc.property(
        fc.record({
          wallMm: fc.double({ min: 3, max: 40, noNaN: true }),
          includedDeg: fc.double({ min: 40, max: 110, noNaN: true }),
          rootRadiusMm: fc.double({ min: 0, max: 3, noNaN: true }),
          passes: fc.integer({ min: 1, max: 40 }),
          sides: fc.constantFrom<1 | 2>(1, 2),
        }),
        ({ passes, ...given }) => {
          const cut = { ...CUT, landMm: 1, ...given }
          const drawn = drawnGroove(cut, sideOrder(given.sides, passes), { keepBreak: true })!
          expect(drawn.runMm).toBe(runOfCut(cut))
          expect(drawn.beads).toHaveLength(passes * given.sides)
          expect(new Set(drawn.beads.map(bead => bead.number)).size).toBe(passes * given.sides)
          const mine = drawn.beads.filter(bead => bead.side === 1)
          const boxes = mine.reduce((sum, bead) => sum + 4 * bead.halfWidthMm * bead.halfHeightMm, 0)
          const groove = areaBelowMm2(drawn.shape, drawn.shape.depthMm) + capAreaMm2(drawn.topWidthMm, cut.capMm)
          expect(boxes / groove).toBeGreaterThan(0.75)
          expect(boxes / groove).toBeLessThan(2.2)
        },
      ),
      { numRuns: 60 },
    )
  })
})
