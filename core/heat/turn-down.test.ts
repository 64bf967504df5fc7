import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { turnDown } from './turn-down'

const body = {
  massKg: 0.8,
  specificHeatJkgK: 900,
  areaMm2: 0,
  ambientC: 20,
  absorbedW: 1500,
  filmWm2K: 0,
  emissivity: 0,
}

describe('turning down as the part soaks up heat', () => {
  it('without losses is the exponential exp(−t ÷ τ), τ = mass × heat × (melting − start) ÷ power: closed form', () => {
    const tau = (0.8 * 900 * 600) / 1500
    for (const { s, share, partC } of turnDown(body, 20, 620, 240, 30)) {
      expect(share).toBeCloseTo(Math.exp(-s / tau), 8)
      expect(partC).toBeCloseTo(620 - 600 * Math.exp(-s / tau), 6)
    }
  })
  it('gives a point at each step of time and at the end, from the whole output downwards', () => {
    const points = turnDown(body, 20, 620, 100, 30)
    expect(points.map(point => point.s)).toEqual([0, 30, 60, 90, 100])
    expect(points[0]!.share).toBe(1)
  })
  it('never passes the melting heat, and turns down less with losses', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        fc.double({ min: 100, max: 8000, noNaN: true }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        (massKg, absorbedW, startC) => {
          const free = turnDown({ ...body, massKg, absorbedW }, startC, 620, 300, 60)
          const cooled = turnDown({ ...body, massKg, absorbedW, areaMm2: 80_000, filmWm2K: 20 }, startC, 620, 300, 60)
          return free.every(
            (point, n) => point.partC <= 620 + 1e-9 && point.share >= 0 && cooled[n]!.share >= point.share - 1e-9,
          )
        },
      ),
      { seed: 94, numRuns: 40 },
    )
  })
  it('has no answer for a part at its melting heat', () =>
    expect(() => turnDown(body, 620, 620, 60, 10)).toThrow('melting heat'))
})
