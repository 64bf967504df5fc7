import fc from 'fast-check'
import loadSolver from 'highs'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { evaluateFlatness } from './evaluate'
import { clippedVolume, planLapping } from './lap'
import { minimaxPlane } from './minimum-zone'
import { level, type Point3 } from './plane'
import { supportPlane } from './support'

const grid = (nx: number, ny: number, z: (u: number, v: number) => number): Point3[] =>
  Array.from({ length: nx * ny }, (_, n) => {
    const [u, v] = [((n % nx) / (nx - 1)) * 2 - 1, (Math.floor(n / nx) / (ny - 1)) * 2 - 1]
    return { xMm: 100 * u, yMm: 60 * v, zMm: z(u, v) }
  })
const solver = await loadSolver()
/** Half the zone by a linear programme of another hand, in µm: least t with |z − ax − by − c| ≤ t. */
function secondOpinion(points: readonly (readonly [number, number, number])[]): number {
  const rows = points.flatMap(([x, y, z], n) => {
    const plane = `${(x / 100).toFixed(12)} a + ${(y / 100).toFixed(12)} b + c`.replace(/\+ -/g, '- ')
    return [
      ` u${n}: t + ${plane} >= ${(1000 * z).toFixed(9)}`,
      ` l${n}: t - ${(x / 100).toFixed(12)} a - ${(y / 100).toFixed(12)} b - c >= ${(-1000 * z).toFixed(9)}`,
    ].map(row => row.replace(/- -/g, '+ ').replace(/\+ -/g, '- '))
  })
  return solver.solve(
    ['Minimize', ' obj: t', 'Subject To', ...rows, 'Bounds', ' a free', ' b free', ' c free', 'End'].join('\n'),
  ).ObjectiveValue
}

describe('minimum zone', () => {
  it('is the published idea of it: four corners, one lifted by h, lie within h/2 (ISO 12781-1, by symmetry)', () => {
    const found = evaluateFlatness([
      { xMm: 0, yMm: 0, zMm: 0 },
      { xMm: 100, yMm: 0, zMm: 0 },
      { xMm: 100, yMm: 100, zMm: 0.1 },
      { xMm: 0, yMm: 100, zMm: 0 },
    ])
    expect(found.minimumZoneMm).toBeCloseTo(0.05, 6)
    expect(found.shape).toBe('twisted')
  })
  it('is never more than least squares, and agrees with another linear programme within 1 µm', () => {
    const place = fc.record({
      x: fc.integer({ min: -10, max: 10 }),
      y: fc.integer({ min: -6, max: 6 }),
      z: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.uniqueArray(place, { minLength: 8, maxLength: 50, selector: ({ x, y }) => 100 * x + y }), list => {
        const points = list.map(({ x, y, z }) => ({ xMm: 10 * x, yMm: 10 * y, zMm: z }))
        fc.pre(new Set(list.map(({ x }) => x)).size > 2 && new Set(list.map(({ y }) => y)).size > 2)
        const levelled = level(points).points
        const { minimumZoneMm, leastSquaresMm } = evaluateFlatness(points)
        expect(minimumZoneMm).toBeLessThanOrEqual(leastSquaresMm + 1e-9)
        expect(Math.abs(1000 * minimaxPlane(levelled).halfMm - secondOpinion(levelled))).toBeLessThan(0.5)
      }),
      { numRuns: 60, seed: 21, endOnFailure: true },
    )
  })
  it('holds on two thousand points: every one within the zone, four or more carry it', () => {
    let state = 5
    const random = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31
    const points = Array.from({ length: 2000 }, (): [number, number, number] => [
      200 * random(),
      150 * random(),
      0.05 * random(),
    ])
    const { plane, halfMm, upper, lower, exchanges } = minimaxPlane(points)
    for (const [x, y, z] of points)
      expect(Math.abs(z - plane.a * x - plane.b * y - plane.c)).toBeLessThanOrEqual(halfMm + 1e-9)
    expect(upper.length + lower.length).toBeGreaterThanOrEqual(4)
    expect(exchanges).toBeLessThan(100)
  })
  it('does not see how the face lies: turned and tilted it is the same', () => {
    const flat = grid(5, 4, (u, v) => 0.04 * u * u - 0.03 * v + 0.02 * Math.sin(5 * u * v))
    const [c, s] = [Math.cos(0.3), Math.sin(0.3)]
    const tilted = flat.map(({ xMm, yMm, zMm }) => ({ xMm: c * xMm + s * zMm, yMm, zMm: -s * xMm + c * zMm }))
    expect(evaluateFlatness(tilted).minimumZoneMm).toBeCloseTo(evaluateFlatness(flat).minimumZoneMm, 6)
  })
})

describe('the shape', () => {
  it.each([
    ['crowned', (u: number, v: number) => -0.05 * (u * u + v * v)],
    ['dished', (u: number, v: number) => 0.05 * (u * u + v * v)],
    ['twisted', (u: number, v: number) => 0.05 * u * v],
    ['twisted', (u: number, v: number) => 0.05 * (u * u - v * v)],
    ['bent', (u: number) => 0.06 * u * u],
    ['bent', (u: number, v: number) => -0.06 * v * v],
    ['flat', (u: number, v: number) => 0.0004 * Math.sin(7 * u + 3 * v)],
  ] as const)('%s', (shape, z) => expect(evaluateFlatness(grid(6, 5, z)).shape).toBe(shape))
  it('finds the high spot in the middle of a crowned face, and a dished one stands on its corners', () => {
    const crowned = evaluateFlatness(grid(5, 5, (u, v) => -0.05 * (u * u + v * v)))
    expect(crowned.high).toContain(12)
    expect(crowned.contact).toContain(12)
    expect(crowned.blue).toContain(12)
    const dished = evaluateFlatness(grid(5, 5, (u, v) => 0.05 * (u * u + v * v)))
    for (const n of dished.contact) expect([0, 4, 20, 24]).toContain(n)
  })
})

describe('what it stands on', () => {
  it('lies over every point and touches three that hold the middle', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: -100, max: 100 }),
            fc.integer({ min: -100, max: 100 }),
            fc.double({ min: -0.3, max: 0.3, noNaN: true }),
          ),
          { minLength: 8, maxLength: 80 },
        ),
        points => {
          fc.pre(new Set(points.map(([x, y]) => `${x} ${y}`)).size === points.length)
          const { plane, contact } = supportPlane(points)
          for (const [x, y, z] of points) expect(z).toBeLessThanOrEqual(plane.a * x + plane.b * y + plane.c + 1e-6)
          for (const n of contact)
            expect(points[n]![2]).toBeCloseTo(plane.a * points[n]![0] + plane.b * points[n]![1] + plane.c, 5)
        },
      ),
      { numRuns: 60, seed: 13 },
    )
  })
})

describe('lapping', () => {
  it("takes a pyramid's tip off: a cap of its own", () => {
    // A tip of 0.3 mm over a base of 100 × 100 mm, to 0.2 mm: what goes is a pyramid a third as large: 1/3 × base/9 ×
    // 0.1.
    const points = [
      { xMm: -50, yMm: -50, zMm: 0 },
      { xMm: 50, yMm: -50, zMm: 0 },
      { xMm: 50, yMm: 50, zMm: 0 },
      { xMm: -50, yMm: 50, zMm: 0 },
      { xMm: 0, yMm: 0, zMm: 0.3 },
    ]
    const { volumeMm3, removeMm, after, before, minutes } = planLapping(
      points.map(point => ({ ...point, zMm: point.zMm })),
      0.2,
      50,
    )
    expect(removeMm).toBeGreaterThan(0)
    expect(after.minimumZoneMm).toBeLessThanOrEqual(0.2 + 1e-9)
    expect(before.contact).toContain(4)
    expect(minutes).toBeCloseTo(volumeMm3 / 50, 9)
  })
  it('clips a prism and a corner exactly', () => {
    expect(
      clippedVolume([
        [0, 0, 1],
        [2, 0, 1],
        [0, 2, 1],
      ]),
    ).toBeCloseTo(2, 12)
    // One corner 1 up, two 1 down: a tetrahedron of half the sides: 1/3 × 1/2 × 1 × 1 × 1.
    expect(
      clippedVolume([
        [0, 0, 1],
        [2, 0, -1],
        [0, 2, -1],
      ]),
    ).toBeCloseTo(1 / 6, 12)
  })
  it('comes within what is asked on any face, and nothing comes off one that is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 0.1, noNaN: true }),
        fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        (toMm, p, q) => {
          const points = grid(6, 5, (u, v) => p * u * u + q * v * v + 0.02 * Math.sin(3 * u + 2 * v))
          const { after, half, removeMm } = planLapping(points, toMm, 100)
          // Half-way the plate has gone half as deep: what stands over it is level.
          return after.minimumZoneMm <= toMm + 1e-6 && Math.min(...half.heightsMm) >= -(toMm + removeMm / 2) - 1e-6
        },
      ),
      { numRuns: 40, seed: 17 },
    )
    expect(
      planLapping(
        grid(4, 4, () => 0),
        0.02,
        100,
      ),
    ).toMatchObject({ removeMm: 0, minutes: 0 })
  })
  it('refuses points in one place or on one line as bad input', () => {
    for (const at of [
      (n: number) => ({ xMm: n * 10, yMm: 0, zMm: 0 }),
      (n: number) => ({ xMm: n * 10, yMm: n * 7, zMm: n % 2 }),
      () => ({ xMm: 5, yMm: 5, zMm: 0 }),
    ]) {
      const points = [0, 1, 2, 3].map(at)
      expect(questions.ask('flat.evaluate', { points })).toMatchObject({
        ok: false,
        error: { kind: 'invalid-input', issues: [{ path: 'points', message: expect.stringContaining('one line') }] },
      })
      expect(questions.ask('flat.lap', { points, toMm: 0.02 })).toMatchObject({
        ok: false,
        error: { kind: 'invalid-input' },
      })
    }
  })
})
