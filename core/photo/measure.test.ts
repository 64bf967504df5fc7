import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { questions } from '../questions'
import { measurePhoto, type Known } from './measure'
import type { Point } from './point'

/** A made camera: the part's plane seen at a slant, in pixels. */
const camera =
  (tilt: number, turn: number) =>
  ([X, Y]: Point): Point => {
    const [x, y] = [X * Math.cos(turn) - Y * Math.sin(turn), X * Math.sin(turn) + Y * Math.cos(turn)]
    const depth = 400 + y * Math.sin(tilt)
    return [640 + (900 * x) / depth, 400 + (900 * y * Math.cos(tilt)) / depth]
  }
const CORNERS: Point[] = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
]
const CRACK: Point[] = [
  [10, 10],
  [35, 22],
  [60, 18],
  [90, 50],
]
const truth = CRACK.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - CRACK[i]![0], y - CRACK[i]![1]), 0)
const seen = (view: (point: Point) => Point, points: Point[]): Known[] => points.map(mm => ({ px: view(mm), mm }))

describe('measuring from a picture', () => {
  it('is exact on made pictures, however the plane is turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (tilt, turn) => {
          const view = camera(tilt, turn)
          return Math.abs(measurePhoto(seen(view, CORNERS), CRACK.map(view), 1).lengthMm - truth) < 1e-6
        },
      ),
      { seed: 41 },
    )
  })
  it('scales by two points', () => {
    const found = measurePhoto(
      [
        { px: [100, 100], mm: [0, 0] },
        { px: [300, 100], mm: [50, 0] },
      ],
      [
        [100, 100],
        [100, 180],
        [160, 180],
      ],
      1,
    )
    expect(found.lengthMm).toBeCloseTo(35, 9)
    expect(found.areaMm2).toBeCloseTo(150, 9)
  })
  it('says how unsure it is: the spread of many shaky pickings', () => {
    const view = camera(0.6, 0.3)
    let seed = 9
    const random = () => {
      seed = (seed * 16807) % 2147483647
      return seed / 2147483647
    }
    const shaky = (point: Point): Point =>
      [0, 1].map(
        axis => point[axis as 0 | 1] + Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random()),
      ) as unknown as Point
    const found = Array.from(
      { length: 1500 },
      () =>
        measurePhoto(
          seen(view, CORNERS).map(entry => ({ ...entry, px: shaky(entry.px) })),
          CRACK.map(view).map(shaky),
          1,
        ).lengthMm,
    )
    const mean = found.reduce((sum, value) => sum + value, 0) / found.length
    const spread = Math.sqrt(found.reduce((sum, value) => sum + (value - mean) ** 2, 0) / found.length)
    expect(measurePhoto(seen(view, CORNERS), CRACK.map(view), 1).uncertaintyMm / spread).toBeCloseTo(1, 0.9)
  })
  it('says the same as moving every point would, known and traced, with points to spare or none', () => {
    const view = camera(0.5, 0.2)
    for (const marks of [CORNERS, [...CORNERS, [50, 30], [20, 45], [80, 12]] as Point[]]) {
      // Known points that do not quite fit, so that the fit's own part in it counts.
      const known = seen(view, marks).map((entry, i) => ({
        ...entry,
        mm: [entry.mm[0] + 0.2 * Math.sin(i), entry.mm[1] + 0.2 * Math.cos(3 * i)] as Point,
      }))
      const trace = CRACK.map(view)
      const at = (k: readonly Known[], t: readonly Point[]) => measurePhoto(k, t, 1)
      const nudge = (point: Point, axis: number, by: number): Point => [
        point[0] + (axis === 0 ? by : 0),
        point[1] + (axis === 1 ? by : 0),
      ]
      const slope = (moved: (by: number) => { lengthMm: number; areaMm2: number }) => {
        const [a, b] = [moved(0.01), moved(-0.01)]
        return [(a.lengthMm - b.lengthMm) / 0.02, (a.areaMm2 - b.areaMm2) / 0.02] as const
      }
      const slopes = [0, 1].flatMap(axis => [
        ...trace.map((_, i) =>
          slope(by =>
            at(
              known,
              trace.map((point, n) => (n === i ? nudge(point, axis, by) : point)),
            ),
          ),
        ),
        ...known.map((_, i) =>
          slope(by =>
            at(
              known.map((entry, n) => (n === i ? { ...entry, px: nudge(entry.px, axis, by) } : entry)),
              trace,
            ),
          ),
        ),
      ])
      const found = at(known, trace)
      const spread = Math.max(...known.flatMap(a => known.map(b => Math.hypot(a.mm[0] - b.mm[0], a.mm[1] - b.mm[1]))))
      const misfit = found.misfitMm / spread
      expect(found.uncertaintyMm).toBeCloseTo(
        Math.hypot(Math.sqrt(slopes.reduce((sum, [l]) => sum + l * l, 0)), misfit * found.lengthMm),
        2,
      )
      expect(
        found.areaUncertaintyMm2 /
          Math.hypot(Math.sqrt(slopes.reduce((sum, [, a]) => sum + a * a, 0)), 2 * misfit * found.areaMm2),
      ).toBeCloseTo(1, 2)
    }
  })
  it('shows it when more points than needed do not fit', () => {
    const view = camera(0.4, 0)
    const good = seen(view, [...CORNERS, [50, 30]])
    const bad = good.map((entry, i) => (i === 4 ? { ...entry, mm: [54, 30] as Point } : entry))
    expect(measurePhoto(good, CRACK.map(view), 1).misfitMm).toBeLessThan(1e-9)
    expect(measurePhoto(bad, CRACK.map(view), 1).uncertaintyMm).toBeGreaterThan(
      measurePhoto(good, CRACK.map(view), 1).uncertaintyMm,
    )
  })
  it('says why it cannot', () => {
    expect(() =>
      measurePhoto(
        [
          { px: [0, 0], mm: [0, 0] },
          { px: [0, 0], mm: [5, 0] },
        ],
        CRACK,
        1,
      ),
    ).toThrow(NoAnswer)
    expect(() =>
      measurePhoto(
        (
          [
            [0, 0],
            [10, 0],
            [20, 0],
            [30, 0],
          ] as Point[]
        ).map(mm => ({ px: mm, mm })),
        CRACK,
        1,
      ),
    ).toThrow(/span a surface/)
    expect(
      questions.ask('photo.measure', {
        known: [
          { px: [0, 0], mm: [0, 0] },
          { px: [9, 0], mm: [5, 0] },
          { px: [0, 9], mm: [0, 5] },
        ],
        trace: [
          [0, 0],
          [1, 1],
        ],
      }),
    ).toMatchObject({ ok: false, error: { kind: 'invalid-input', issues: [{ path: 'known' }] } })
  })
})
