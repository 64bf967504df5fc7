import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findAlloy } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { questions } from '../questions'
import { boltCircle } from './bolt-circle'
import { finishAdvice } from './finish'
import { straighten } from './straighten'

const ring = (count: number, r: number, turn: number, x = 0, y = 0) =>
  Array.from({ length: count }, (_, n) => ({
    xMm: x + r * Math.cos(turn + (2 * Math.PI * n) / count),
    yMm: y + r * Math.sin(turn + (2 * Math.PI * n) / count),
  }))

describe('a bolt circle', () => {
  it('is given back from its holes, wherever it lies, in any order, with some lost', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 12 }),
        fc.double({ min: 5, max: 500, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -900, max: 900, noNaN: true }),
        fc.integer({ min: 0, max: 1 }),
        (count, r, turn, x, lost) => {
          const holes = ring(count, r, turn, x, -x / 3)
            .slice(lost)
            .reverse()
          const found = boltCircle(holes, count)
          return (
            Math.abs(found.diameterMm - 2 * r) < 1e-6 * r &&
            Math.hypot(found.centre.xMm - x, found.centre.yMm + x / 3) < 1e-6 * r &&
            found.largestMissMm < 1e-6 * r
          )
        },
      ),
      { seed: 103 },
    )
  })
  it('gives each hole its own miss: one hole drilled 0.3 mm out stands out from the rest', () => {
    const holes = ring(6, 40, 0.2)
    holes[2] = { xMm: (holes[2]!.xMm * 40.3) / 40, yMm: (holes[2]!.yMm * 40.3) / 40 }
    const { holes: found } = boltCircle(holes, 6)
    const worst = found.map(hole => hole.missMm).indexOf(Math.max(...found.map(hole => hole.missMm)))
    expect(worst).toBe(2)
    expect(found[2]!.radialMm).toBeGreaterThan(0.1)
    expect(Math.abs(found[2]!.tangentMm)).toBeLessThan(0.08)
  })
  it('no other circle is nearer: moving, turning or growing it adds to the squares', () => {
    const holes = ring(5, 30, 0.4).map((hole, n) => ({
      xMm: hole.xMm + 0.1 * Math.sin(3 * n),
      yMm: hole.yMm + 0.1 * Math.cos(5 * n),
    }))
    const { centre, diameterMm, startDeg, holes: found } = boltCircle(holes, 5)
    const squares = (x: number, y: number, r: number, turn: number) =>
      holes.reduce((sum, hole) => {
        const nearest = Math.min(...ring(5, r, turn, x, y).map(at => Math.hypot(at.xMm - hole.xMm, at.yMm - hole.yMm)))
        return sum + nearest ** 2
      }, 0)
    const best = squares(centre.xMm, centre.yMm, diameterMm / 2, (startDeg * Math.PI) / 180)
    expect(best).toBeCloseTo(
      found.reduce((sum, hole) => sum + hole.missMm ** 2, 0),
      9,
    )
    for (const [dx, dy, dr, dt] of [
      [0.01, 0, 0, 0],
      [0, 0.01, 0, 0],
      [0, 0, 0.01, 0],
      [0, 0, 0, 0.0005],
      [-0.01, 0, 0, 0],
      [0, 0, -0.01, 0],
    ] as const)
      expect(
        squares(centre.xMm + dx, centre.yMm + dy, diameterMm / 2 + dr, (startDeg * Math.PI) / 180 + dt),
      ).toBeGreaterThan(best)
  })
  it('gives a plain reason for holes in a line, too few, or two at one place', () => {
    const line = [0, 1, 2].map(n => ({ xMm: n, yMm: n }))
    expect(() => boltCircle(line, 3)).toThrow('in one line')
    expect(() => boltCircle(ring(4, 10, 0), 3)).toThrow('do not go')
    expect(() => boltCircle([...ring(3, 10, 0), { xMm: 10, yMm: 0.1 }], 4)).toThrow('one place')
    expect(questions.ask('holes.circle', { holes: line.slice(0, 2) })).toMatchObject({
      ok: false,
      error: { kind: 'invalid-input' },
    })
  })
})

describe('pressing a bend back', () => {
  it('springs back as a cantilever: first yield at ⅔ σ L² ÷ (E t), half as much again when all of it yields', () => {
    const metal = mechanicalOf(findAlloy('6061')!)
    expect(straighten(4, 60, 5, metal).springMm).toBeCloseTo((((1.5 * 2) / 3) * 276 * 3600) / (69_000 * 5), 9)
  })
  it('is what letting go of a fully plastic bar gives back: F L³ ÷ 3EI with F = σ b t² ÷ 4L, worked by hand for 276 MPa, 60 × 5 mm: 2.88 mm', () =>
    expect(
      straighten(4, 60, 5, { ...mechanicalOf(findAlloy('6061')!), proofMPa: 276, youngMPa: 69_000 }).springMm,
    ).toBeCloseTo(2.88, 9))
  it('goes back in steps that never pass straight, and ends there', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 40, noNaN: true }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        (outMm, overMm) => {
          const { steps } = straighten(outMm, overMm, 6, mechanicalOf(findAlloy('356')!))
          return (
            steps.length > 0 &&
            steps.every((step, n) => step.expectMm >= -1e-9 && (n === 0 || step.expectMm < steps[n - 1]!.expectMm)) &&
            steps.at(-1)!.expectMm <= 0.05 * outMm + 1e-9
          )
        },
      ),
      { seed: 104 },
    )
  })
  it('warns where the strain may crack it', () =>
    expect(questions.ask('bend.straighten', { outMm: 30, overMm: 40, thickMm: 6, alloy: '356' })).toMatchObject({
      ok: true,
      cautions: [expect.objectContaining({ code: 'may-crack' })],
    }))
})

describe('what a coating afterwards does', () => {
  const [extruded, cast, dark, matches] = ['6061', '356', '4043', '5356'].map(name => findAlloy(name)!) as [
    never,
    never,
    never,
    never,
  ]
  it('knows the dark bead of 4043 under anodising, and the one that matches (common practice, no source)', () => {
    expect(finishAdvice('anodised', extruded, dark, null).notes.join()).toContain('dark grey')
    expect(finishAdvice('anodised', extruded, matches, null).notes.join()).toContain('near the colour')
    expect(finishAdvice('anodised', cast, dark, null).notes.join()).toContain('blotchy')
  })
  it('keeps a brazed joint out of the acid, and says what the powder oven does to T6', () => {
    expect(finishAdvice('anodised', extruded, null, 'zinc-al').notes.join()).toContain('Never anodise')
    const powder = finishAdvice('powder', extruded, matches, 'zinc-al')
    expect(powder.strengthLeftPct!).toBeGreaterThan(60)
    expect(powder.notes.join()).toContain('382')
    // The cure oven, about 200 °C, ages a heat-treated alloy further: common practice, no source.
    expect(powder.notes.join()).toContain('further')
    expect(finishAdvice('paint', extruded, matches, null).notes.join()).toContain('leaves any temper alone')
    expect(finishAdvice('none', cast, null, null).notes).toHaveLength(1)
  })
})
