import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { quote } from './quote'

describe('quote', () => {
  it('is hours × rate and what is used up', () => {
    expect(
      quote({
        phases: [
          { name: 'a', minutes: 30 },
          { name: 'b', minutes: 60 },
        ],
        ratePerHour: 40,
        filler: { rods: 2, pricePerRod: 0.5 },
        gas: { litres: 100, pricePerL: 0.02 },
        power: { kWh: 2, pricePerKWh: 0.25 },
        other: [{ name: 'seal', price: 3 }],
        newPrice: 200,
      }),
    ).toMatchObject({ labour: 60, materials: 6.5, total: 66.5, ofNewPct: 33.25 })
  })
  it('adds up, line by line, for any shop', () => {
    const amount = fc.double({ min: 0, max: 1e4, noNaN: true })
    fc.assert(
      fc.property(fc.array(amount, { maxLength: 8 }), amount, amount, amount, (minutes, rate, rods, price) => {
        const found = quote({
          phases: minutes.map((value, i) => ({ name: `p${i}`, minutes: value })),
          ratePerHour: rate,
          filler: { rods, pricePerRod: price },
          gas: { litres: 0, pricePerL: 0 },
          power: { kWh: 0, pricePerKWh: 0 },
          other: [],
        })
        const sum = found.lines.reduce((total, line) => total + line.price, 0)
        return (
          Math.abs(found.labour + found.materials - found.total) <= 1e-6 * Math.max(1, found.total) &&
          Math.abs(sum - found.total) <= 1e-6 * Math.max(1, found.total)
        )
      }),
      { seed: 15 },
    )
  })
})
