import fc from 'fast-check'
import { beadMm2 } from '../arc/bead'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { planBuildUp } from './build-up'
import { reinforce } from './reinforce'
import { patchRoundMm } from './run'
import { passNumber, sequenceOf, sideOrder, type SequenceInput } from './sequence'

describe('how a crack ends', () => {
  const ask = (change: object) =>
    questions.ask('groove.plan', { crackMm: 100, wallMm: 8, pastTipMm: 5, stopHoleMm: 3, ...change })
  it('wants no stop-hole and no length past a hole or an edge', () => {
    expect(ask({})).toMatchObject({ answer: { runMm: 110, stopHoles: [{ alongMm: -5 }, { alongMm: 105 }] } })
    expect(ask({ endsIn: 'hole' })).toMatchObject({ answer: { runMm: 105, stopHoles: [{ alongMm: -5 }] } })
    expect(ask({ startsIn: 'edge', endsIn: 'hole' })).toMatchObject({ answer: { runMm: 100, stopHoles: [] } })
  })
})

describe('the way round', () => {
  it('of a patch is its straight sides and one circle', () => {
    expect(patchRoundMm(50, 30, 0)).toBe(160)
    expect(patchRoundMm(40, 40, 20)).toBeCloseTo(Math.PI * 40, 9)
    expect(patchRoundMm(50, 30, 6)).toBeCloseTo(160 - 48 + 12 * Math.PI, 9)
  })
})

describe('a lost edge built up', () => {
  const input = {
    longMm: 30,
    wideMm: 8,
    highMm: 12,
    proudMm: 1.5,
    fillerMm: 2.4,
    rodMm: 914,
    efficiencyPct: 90,
    fillerDensityGcm3: 2.69,
  }
  it('keeps the metal: section, proud all round, times the length', () => {
    const plan = planBuildUp(input)
    expect(plan.volumeMm3).toBeCloseTo(11 * 13.5 * 33, 9)
    expect(plan.massG).toBeCloseTo(11 * 13.5 * 33 * 2.69e-3, 9)
    expect(plan.passes).toBe(plan.layers * plan.beadsPerLayer)
    // Beads of the usual section must fill the height: within one layer.
    const bead = beadMm2(input.wideMm, input.fillerMm)
    const laid = plan.passes * bead
    expect(laid).toBeGreaterThanOrEqual(plan.areaMm2 - 1e-6)
    expect(laid).toBeLessThan(plan.areaMm2 + plan.beadsPerLayer * bead)
  })
  it('turns about from layer to layer', () => {
    const { beads, beadsPerLayer } = planBuildUp(input)
    expect(beadsPerLayer).toBeGreaterThan(1)
    expect(beads[beadsPerLayer]!.xMm).toBeCloseTo(beads[beadsPerLayer - 1]!.xMm, 9)
  })
  it('refuses a block of weld', () =>
    expect(() => planBuildUp({ ...input, wideMm: 200, highMm: 200 })).toThrow(/fit a piece/))
})

describe('a plate over a weak arm', () => {
  it('must reach to where the bare arm is strong enough again', () => {
    const { strengthRatio, coverShare } = reinforce(20, 10, 5, 20, 2)
    // Two plates double the depth: Z goes with depth².
    expect(strengthRatio).toBeCloseTo(4, 9)
    expect(coverShare).toBeCloseTo(0.75, 9)
  })
})

describe('the order of tacks and passes', () => {
  const INPUT: SequenceInput = {
    lengthMm: 110,
    wallMm: 8,
    sides: 2,
    closed: false,
    passesPerSide: 3,
    keepBreak: true,
    startsIn: 'tip',
    endsIn: 'tip',
  }
  it('tacks both ends first, and a ring across from the first', () => {
    const open = sequenceOf(INPUT).tacks.map(tack => tack.alongMm)
    expect(open.slice(0, 2)).toEqual([0, 110])
    const ring = sequenceOf({ ...INPUT, closed: true, lengthMm: 400 }).tacks.map(tack => tack.alongMm)
    expect(ring[1]! - ring[0]!).toBeCloseTo(200, 0)
    expect(new Set(ring).size).toBe(ring.length)
  })
  it('turns the two sides about, and numbers every pass once', () => {
    expect(sideOrder(2, 2)).toEqual([
      { side: 1, within: 0 },
      { side: 2, within: 0 },
      { side: 1, within: 1 },
      { side: 2, within: 1 },
    ])
    sideOrder(2, 4).forEach(({ side, within }, n) => expect(passNumber(2, side, within)).toBe(n + 1))
    sideOrder(1, 4).forEach(({ side, within }, n) => expect(passNumber(1, side, within)).toBe(n + 1))
  })
  it('every pass covers the whole run once, in pieces no longer than a hand', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 900, noNaN: true }),
        fc.boolean(),
        fc.constantFrom('tip' as const, 'hole' as const, 'edge' as const),
        (lengthMm, closed, endsIn) => {
          const { runs } = sequenceOf({ ...INPUT, lengthMm, closed, endsIn })
          for (let pass = 1; pass <= 6; pass++) {
            const pieces = runs.filter(run => run.pass === pass)
            expect(pieces.reduce((sum, run) => sum + Math.abs(run.toMm - run.fromMm), 0)).toBeCloseTo(lengthMm, 6)
            for (const run of pieces) expect(Math.abs(run.toMm - run.fromMm)).toBeLessThanOrEqual(120)
          }
        },
      ),
      { numRuns: 40, seed: 9 },
    )
  })
  it('runs out into a hole: a short crack from a tip is welded towards it every time', () => {
    for (const run of sequenceOf({ ...INPUT, endsIn: 'hole' }).runs) expect(run.toMm).toBeGreaterThan(run.fromMm)
    for (const run of sequenceOf({ ...INPUT, startsIn: 'edge' }).runs) expect(run.toMm).toBeLessThan(run.fromMm)
  })
})
