import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findAlloy } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { ALLOYS } from '../metal/alloys.table'
import { questions } from '../questions'
import { cutSpeed } from './cutting'
import { pressFit } from './press'
import { gapMm, shrinkFit } from './shrink'

const metal = { proofMPa: 400, youngMPa: 207000, poisson: 0.3, expansionPerK: 12e-6 }
const cast = mechanicalOf(findAlloy('356')!)
const wrought = mechanicalOf(findAlloy('6061')!)

describe('press fit', () => {
  it('is the textbook case of one material: p = E δ/2 (D² − d²) ÷ (d D²) for a solid shaft (Shigley, ch. 3, from memory)', () => {
    const [d, D, interference] = [40, 80, 0.04]
    const found = pressFit({
      diameterMm: d,
      interferenceMm: interference,
      hubMm: D,
      lengthMm: 50,
      holeMm: 0,
      hub: metal,
      slug: metal,
      friction: 0.2,
    })
    expect(found.pressureMPa).toBeCloseTo(((207000 * interference) / (2 * d)) * (1 - (d / D) ** 2), 6)
    expect(found.hubHoopMPa).toBeCloseTo((found.pressureMPa * (6400 + 1600)) / (6400 - 1600), 9)
    expect(found.slugHoopMPa).toBeCloseTo(-found.pressureMPa, 9)
    expect(found.pushOutN).toBeCloseTo(0.2 * found.pressureMPa * Math.PI * 40 * 50, 6)
  })
  it('closes up: the growth of the bore and the squeeze of the slug make the interference', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 60, noNaN: true }),
        fc.double({ min: 1.1, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        (d, wall, hole) => {
          const input = {
            diameterMm: d,
            interferenceMm: 0.03,
            hubMm: d * wall,
            lengthMm: 20,
            holeMm: d * hole,
            hub: cast,
            slug: wrought,
            friction: 0.2,
          }
          const { pressureMPa: p, hubHoopMPa } = pressFit(input)
          const hubGrows = (d / cast.youngMPa) * (hubHoopMPa + cast.poisson * p)
          const ratio = (d * d + input.holeMm ** 2) / (d * d - input.holeMm ** 2)
          const slugShrinks = (d / wrought.youngMPa) * (p * ratio - wrought.poisson * p)
          return Math.abs(hubGrows + slugShrinks - 0.03) < 1e-9
        },
      ),
      { seed: 51 },
    )
  })
  it("holds at the trade's interference: 0.025–0.04 mm on 19 mm (common practice, no source)", () => {
    for (const interferenceMm of [0.025, 0.04])
      expect(
        pressFit({
          diameterMm: 19,
          interferenceMm,
          hubMm: 36,
          lengthMm: 20,
          holeMm: 0,
          hub: cast,
          slug: wrought,
          friction: 0.2,
        }).yieldFactor,
      ).toBeGreaterThan(1)
  })
  it('says why when the sizes do not go into each other', () => {
    const ask = (more: object) =>
      questions.ask('fit.press', {
        diameterMm: 20,
        interferenceMm: 0.03,
        hubMm: 40,
        lengthMm: 20,
        hubAlloy: '356',
        slugAlloy: '6061',
        ...more,
      })
    expect(ask({ hubMm: 18 })).toMatchObject({
      ok: false,
      error: { kind: 'no-answer', reason: expect.stringContaining('no wall') },
    })
    expect(ask({ holeMm: 22 })).toMatchObject({ ok: false, error: { kind: 'no-answer' } })
    expect(ask({ interferenceMm: -0.1 })).toMatchObject({ ok: false, error: { kind: 'invalid-input' } })
  })
})

describe('shrink fit', () => {
  const input = {
    diameterMm: 19,
    interferenceMm: 0.03,
    clearanceMm: 0.02,
    hub: cast,
    slug: wrought,
    slugC: -18,
    ambientC: 20,
    slugDensityGcm3: 2.7,
    slugHeatJkgK: 896,
  }
  it('gives just the clearance at the heat it asks for', () => {
    const { hubC, gapAtMm } = shrinkFit(input)
    expect(gapAtMm).toBeCloseTo(0.02, 9)
    expect(gapMm(input, hubC, -18)).toBeCloseTo(0.02, 9)
  })
  it('is near the bench: freezer and 90–110 °C for a slug of ¾ in (common practice, no source)', () => {
    const { hubC } = shrinkFit({ ...input, clearanceMm: 0.015 })
    expect(hubC).toBeGreaterThan(60)
    expect(hubC).toBeLessThan(120)
  })
  it('leaves seconds, not minutes, and more with a wider gap', () => {
    const tight = shrinkFit({ ...input, hubC: 95 }).secondsToSeize
    const wide = shrinkFit({ ...input, hubC: 140 }).secondsToSeize
    expect(tight).toBeGreaterThan(0.3)
    expect(tight).toBeLessThan(30)
    expect(wide).toBeGreaterThan(tight)
  })
  it('has no answer for a slug hotter than the hub', () =>
    expect(
      questions.ask('fit.shrink', {
        diameterMm: 19,
        interferenceMm: 0.03,
        clearanceMm: 0.02,
        hubAlloy: '356',
        slugAlloy: '6061',
        slugC: 150,
        hubC: 60,
      }),
    ).toMatchObject({ ok: false, error: { kind: 'no-answer' } }))
})

describe('cutting', () => {
  it('is 1000 v ÷ π d, and a tap moves by its pitch', () => {
    expect(cutSpeed('drill', 10, findAlloy('6061')!, 31.41592653589793, undefined, 2).rpm).toBeCloseTo(1000, 9)
    expect(cutSpeed('tap', 10, findAlloy('6061')!, 31.41592653589793, 1.5, 1).feedMmMin).toBeCloseTo(1500, 9)
  })
  it('goes slower in more silicon', () => {
    const rpm = (name: string) => cutSpeed('drill', 8, findAlloy(name)!, undefined, undefined, 2).rpm
    expect(rpm('6061')).toBeGreaterThan(rpm('356'))
    expect(rpm('356')).toBeGreaterThan(rpm('390'))
  })
  it('has mechanical values in reason for every alloy', () => {
    for (const alloy of ALLOYS) {
      const { proofMPa, youngMPa, expansionPerK } = mechanicalOf(alloy)
      expect(
        proofMPa > 40 &&
          proofMPa < 600 &&
          youngMPa > 40_000 &&
          youngMPa < 90_000 &&
          expansionPerK > 17e-6 &&
          expansionPerK < 28e-6,
        alloy.name,
      ).toBe(true)
    }
  })
})
