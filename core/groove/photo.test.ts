import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { questions } from '../questions'
import { measurePhoto, type Known, type Point } from './photo'

/** A made camera: the part's plane seen at a slant, in pixels. */
const camera = (tilt: number, turn: number) => ([X, Y]: Point): Point => {
  const [x, y] = [X * Math.cos(turn) - Y * Math.sin(turn), X * Math.sin(turn) + Y * Math.cos(turn)]
  const depth = 400 + y * Math.sin(tilt)
  return [640 + 900 * x / depth, 400 + 900 * y * Math.cos(tilt) / depth]
}
const CORNERS: Point[] = [[0, 0], [100, 0], [100, 60], [0, 60]]
const CRACK: Point[] = [[10, 10], [35, 22], [60, 18], [90, 50]]
const truth = CRACK.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - CRACK[i]![0], y - CRACK[i]![1]), 0)
const seen = (view: (point: Point) => Point, points: Point[]): Known[] => points.map(mm => ({ px: view(mm), mm }))

describe('measuring from a picture', () => {
  it('is exact on made pictures, however the plane is turned', () => {
    fc.assert(fc.property(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -3, max: 3, noNaN: true }), (tilt, turn) => {
      const view = camera(tilt, turn)
      return Math.abs(measurePhoto(seen(view, CORNERS), CRACK.map(view), 1).lengthMm - truth) < 1e-6
    }), { seed: 41 })
  })
  it('scales by two points', () => {
    const found = measurePhoto([{ px: [100, 100], mm: [0, 0] }, { px: [300, 100], mm: [50, 0] }], [[100, 100], [100, 180], [160, 180]], 1)
    expect(found.lengthMm).toBeCloseTo(35, 9)
    expect(found.areaMm2).toBeCloseTo(150, 9)
  })
  it('says how unsure it is: the spread of many shaky pickings', () => {
    const view = camera(0.6, 0.3)
    let seed = 9
    const random = () => { seed = seed * 16807 % 2147483647; return seed / 2147483647 }
    const shaky = (point: Point): Point => [0, 1].map(axis => point[axis as 0 | 1] + Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random())) as unknown as Point
    const found = Array.from({ length: 1500 }, () => measurePhoto(seen(view, CORNERS).map(entry => ({ ...entry, px: shaky(entry.px) })), CRACK.map(view).map(shaky), 1).lengthMm)
    const mean = found.reduce((sum, value) => sum + value, 0) / found.length
    const spread = Math.sqrt(found.reduce((sum, value) => sum + (value - mean) ** 2, 0) / found.length)
    expect(measurePhoto(seen(view, CORNERS), CRACK.map(view), 1).uncertaintyMm / spread).toBeCloseTo(1, 0.9)
  })
  it('shows it when more points than needed do not fit', () => {
    const view = camera(0.4, 0)
    const good = seen(view, [...CORNERS, [50, 30]])
    const bad = good.map((entry, i) => i === 4 ? { ...entry, mm: [54, 30] as Point } : entry)
    expect(measurePhoto(good, CRACK.map(view), 1).misfitMm).toBeLessThan(1e-9)
    expect(measurePhoto(bad, CRACK.map(view), 1).uncertaintyMm).toBeGreaterThan(measurePhoto(good, CRACK.map(view), 1).uncertaintyMm)
  })
  it('says why it cannot', () => {
    expect(() => measurePhoto([{ px: [0, 0], mm: [0, 0] }, { px: [0, 0], mm: [5, 0] }], CRACK, 1)).toThrow(NoAnswer)
    expect(() => measurePhoto(([[0, 0], [10, 0], [20, 0], [30, 0]] as Point[]).map(mm => ({ px: mm, mm })), CRACK, 1)).toThrow(/span a surface/)
    expect(questions.ask('photo.measure', { known: [{ px: [0, 0], mm: [0, 0] }, { px: [9, 0], mm: [5, 0] }, { px: [0, 9], mm: [0, 5] }], trace: [[0, 0], [1, 1]] })).toMatchObject({ ok: false, error: { kind: 'invalid-input', issues: [{ path: 'known' }] } })
  })
})
