import { describe, expect, it } from 'vitest'
import { cut } from '../solid/mask'
import { crackRun } from './crack'
import { cellMm, latticeOf } from './lattice'

const lattice = latticeOf(cut({ kind: 'plate', lengthMm: 100, widthMm: 60, thickMm: 6 }, 3))
/** xx yy zz xy yz zx of every cell, by its place. */
const field = (of: (x: number, y: number) => readonly [number, number, number]) => {
  const stress = new Float64Array(6 * lattice.cells)
  for (let cell = 0; cell < lattice.cells; cell++) {
    const [x, y] = cellMm(lattice, cell)
    const [xx, yy, xy] = of(x, y)
    stress.set([xx, yy, 0, xy, 0, 0], 6 * cell)
  }
  return stress
}

describe('where a crack would run', () => {
  it('is straight across a bar that is pulled evenly, from edge to edge', () => {
    const found = crackRun(
      lattice,
      field(() => [80, 0, 0]),
      [49.5, 30, 4.5],
      'top',
    )!
    expect(found.lengthMm).toBeGreaterThan(60 - 2 * 3)
    for (const [x, , z] of found.pathMm) {
      expect(x).toBeCloseTo(49.5, 6)
      expect(z).toBe(4.5)
    }
  })
  it('lies at 45° where it is sheared, square to the greatest pull (Mohr)', () => {
    const { pathMm } = crackRun(
      lattice,
      field(() => [0, 0, 50]),
      [50, 30, 3],
      'top',
    )!
    const [from, to] = [pathMm[0]!, pathMm.at(-1)!]
    expect((to[1] - from[1]) / (to[0] - from[0])).toBeCloseTo(-1, 6)
  })
  it('runs outward from a middle that is pulled round, and stops where the pull has halved', () => {
    // Pulled round the place (0, 30): hoop stress falls with distance.
    const hoop = field((x, y) => {
      const [u, v] = [x, y - 30]
      const r = Math.hypot(u, v)
      const pull = 1000 / (10 + r)
      return [(pull * v * v) / (r * r), (pull * u * u) / (r * r), (-pull * u * v) / (r * r)]
    })
    const { pathMm } = crackRun(lattice, hoop, [22.5, 40.5, 3], 'top')!
    const slope = 10.5 / 22.5
    for (const [x, y] of pathMm) if (x > 12) expect(Math.abs(y - 30 - slope * x)).toBeLessThan(1.5)
    const reach = Math.hypot(pathMm.at(-1)![0], pathMm.at(-1)![1] - 30)
    const other = Math.hypot(pathMm[0]![0], pathMm[0]![1] - 30)
    // (10 + 24.8) × 2 = 69.7, less 10.
    expect(Math.max(reach, other)).toBeGreaterThan(52)
    expect(Math.max(reach, other)).toBeLessThan(64)
  })
  it('is not told where it is pressed, or pulled through its wall alone', () => {
    const pressed = field(() => [-20, -30, 0])
    expect(crackRun(lattice, pressed, [50, 30, 3], 'top')).toBeNull()
    const through = new Float64Array(6 * lattice.cells)
    for (let cell = 0; cell < lattice.cells; cell++) through[6 * cell + 2] = 40
    expect(crackRun(lattice, through, [50, 30, 3], 'top')).toBeNull()
  })
})
