import { describe, expect, it } from 'vitest'
import { conductivityWmK } from '../metal/conductivity'
import { findAlloy } from '../metal/find-alloy'
import { questions } from '../questions'
import { besselK0, movingSource } from './moving-source'

const SOURCE = {
  powerW: 2000,
  travelMmS: 4,
  conductivityWmK: 167,
  diffusivityM2s: 6.9e-5,
  startC: 20,
  xMm: -10,
  yMm: 5,
  zMm: 0,
}

describe('conductivity', () => {
  // ASM Handbook vol. 2, W/(m·K), from memory; 2024 is the mean of T4 (121) and T6 (151).
  it.each([
    ['1100', 222],
    ['2024', 136],
    ['6061', 167],
    ['356', 159],
    ['5052', 138],
    ['3003', 175],
  ])('%s conducts about %d', (name, value) => expect(conductivityWmK(findAlloy(name)!) / value).toBeCloseTo(1, 0.8))
})

describe("Rosenthal's moving source", () => {
  it('has K₀ as tabulated (Abramowitz and Stegun table 9.8)', () => {
    for (const [x, value] of [
      [0.1, 2.427069],
      [0.5, 0.9244191],
      [1, 0.4210244],
      [2, 0.1138939],
      [5, 0.0036911],
    ] as const)
      expect(besselK0(x)).toBeCloseTo(value, 6)
  })
  it('is q ÷ 2πkR where nothing moves', () =>
    expect(movingSource({ ...SOURCE, travelMmS: 0 }).temperatureC).toBeCloseTo(
      20 + 2000 / (2 * Math.PI * 167 * Math.hypot(0.01, 0.005)),
      9,
    ))
  it('solves the moving heat equation, thick and thin: −v ∂T/∂ξ = a ∇²T, by differences', () => {
    for (const wallMm of [undefined, 6]) {
      const at = (x: number, y: number, z: number) =>
        movingSource({ ...SOURCE, wallMm, xMm: x, yMm: y, zMm: z }).temperatureC
      const [x, y, z, h] = [-8, 6, wallMm === undefined ? 5 : 0, 0.05]
      const second =
        (at(x + h, y, z) +
          at(x - h, y, z) +
          at(x, y + h, z) +
          at(x, y - h, z) -
          4 * at(x, y, z) +
          (wallMm === undefined ? at(x, y, z + h) + at(x, y, z - h) - 2 * at(x, y, z) : 0)) /
        (h / 1000) ** 2
      const first = (at(x + h, y, z) - at(x - h, y, z)) / ((2 * h) / 1000)
      expect((-0.004 * first) / (6.9e-5 * second)).toBeCloseTo(1, 3)
    }
  })
  it('is hotter behind than ahead, and finite far behind a fast arc', () => {
    expect(movingSource({ ...SOURCE, xMm: -20 }).temperatureC).toBeGreaterThan(
      movingSource({ ...SOURCE, xMm: 20 }).temperatureC,
    )
    expect(Number.isFinite(movingSource({ ...SOURCE, travelMmS: 500, xMm: -5000, wallMm: 3 }).temperatureC)).toBe(true)
  })
  it('has no answer at the source', () =>
    expect(
      questions.ask('heat.arcPoint', { powerW: 2000, travelMmS: 4, alloy: '6061', startC: 20, xMm: 0, yMm: 0, zMm: 0 }),
    ).toMatchObject({ ok: false, error: { kind: 'no-answer' } }))
})
