import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { waterDensityGcm3, weighDensity } from './density'

describe('density by weighing', () => {
  // CRC Handbook, density of water at 1 atm, from memory.
  it.each([
    [0, 0.99984],
    [4, 0.99997],
    [10, 0.9997],
    [20, 0.9982],
    [25, 0.99705],
    [40, 0.99222],
    [60, 0.9832],
    [80, 0.97179],
    [100, 0.95835],
  ])('water at %d °C is %d', (c, value) => {
    expect(waterDensityGcm3(c)).toBeCloseTo(value, 4)
  })
  it('gives back a part made by Archimedes himself', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 5000, noNaN: true }),
        fc.double({ min: 1.2, max: 9, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (volume, density, c) => {
          // In air the scale shows mass less the air's own lift; under water, less the water's.
          const dry = volume * (density - 0.0012)
          const under = volume * (density - waterDensityGcm3(c))
          return Math.abs(weighDensity(dry, under, c, 0, 0.1).densityGcm3 - density) < 1e-9 * density
        },
      ),
      { seed: 3 },
    )
  })
  it('takes the hanger off the wet reading only', () => {
    expect(weighDensity(1000, 650, 20, 20, 0.1).densityGcm3).toBeCloseTo(
      weighDensity(1000, 630, 20, 0, 0.1).densityGcm3,
      12,
    )
  })
  it('is as unsure as its scale: the spread of many rounded weighings', () => {
    const volume = 100
    const dry = volume * 2.7
    const under = volume * (2.7 - waterDensityGcm3(20))
    const step = 1
    let seed = 1
    const random = () => {
      seed = (seed * 16807) % 2147483647
      return seed / 2147483647
    }
    const found = Array.from({ length: 4000 }, () => {
      const read = (truth: number) => truth + (random() - 0.5) * step
      return weighDensity(read(dry), read(under), 20, read(0), step).densityGcm3
    })
    const mean = found.reduce((sum, value) => sum + value, 0) / found.length
    const spread = Math.sqrt(found.reduce((sum, value) => sum + (value - mean) ** 2, 0) / found.length)
    expect(weighDensity(dry, under, 20, 0, step).uncertaintyGcm3 / spread).toBeCloseTo(1, 1)
  })
  it('says why when the weighings make no sense', () => {
    expect(() => weighDensity(100, -5, 20, 0, 0.1)).toThrow(NoAnswer)
    expect(() => weighDensity(100, 120, 20, 0, 0.1)).toThrow(/no less under water/)
  })
})
