import fc from 'fast-check'
import { EigenvalueDecomposition, Matrix } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import { greatestPrincipal, greatestTension } from './principal'

const full = ([x, y, z, xy, yz, zx]: readonly number[]) =>
  new Matrix([
    [x!, xy!, zx!],
    [xy!, y!, yz!],
    [zx!, yz!, z!],
  ])

describe('the greatest pull', () => {
  it('in plain cases: one way, by shear at 45°, alike all round, none', () => {
    expect(greatestTension([0, 80, 0, 0, 0, 0])).toEqual({ mpa: 80, along: [0, 1, 0].map(n => expect.closeTo(n, 9)) })
    const shear = greatestTension([0, 0, 0, 50, 0, 0])
    expect(shear.mpa).toBeCloseTo(50, 9)
    expect(Math.abs(shear.along[0])).toBeCloseTo(Math.SQRT1_2, 9)
    expect(shear.along[0] * shear.along[1]).toBeGreaterThan(0)
    expect(greatestTension([-30, -30, -30, 0, 0, 0]).mpa).toBeCloseTo(-30, 9)
    expect(greatestTension([40, 40, -10, 0, 0, 0]).along[2]).toBeCloseTo(0, 9)
    expect(greatestPrincipal([0, 0, 0, 0, 0, 0])).toBe(0)
  })
  it('is the greatest eigenvalue, and its direction one of its vectors, as a library of linear algebra has it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: -2000, max: 2000 }).map(tenths => tenths / 10),
          { minLength: 6, maxLength: 6 },
        ),
        stress => {
          const { mpa, along } = greatestTension(stress)
          const values = new EigenvalueDecomposition(full(stress)).realEigenvalues
          expect(Math.abs(mpa - Math.max(...values))).toBeLessThan(1e-5)
          expect(Math.hypot(...along)).toBeCloseTo(1, 9)
          const off = full(stress).mmul(Matrix.columnVector(along)).sub(Matrix.columnVector(along).mul(mpa))
          expect(off.norm()).toBeLessThan(1e-3)
        },
      ),
      { numRuns: 300, seed: 16 },
    )
  })
})
