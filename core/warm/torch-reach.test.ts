import { describe, expect, it } from 'vitest'
import { preheat, STILL_AIR } from '../heat/lumped'
import { spotRise } from '../heat/spot'
import { conductivityWmK } from '../metal/conductivity'
import { findAlloy } from '../metal/find-alloy'
import { soonest, torchReach, zoneCurve } from './torch-reach'

const metal = findAlloy('356')!
const torch = { name: 'propylene torch', gas: 'propylene', powerW: 3200, efficiencyPct: 30 }
const small = { massG: 450, skinMm2: 60_000 }
const heavy = { massG: 30_000, skinMm2: 1_500_000 }

describe('what a torch reaches', () => {
  it('a small part whole, in the time of heat.preheat', () => {
    const lump = preheat(
      {
        massKg: 0.45,
        specificHeatJkgK: metal.specificHeatJkgK,
        areaMm2: 60_000,
        ambientC: 20,
        absorbedW: 960,
        ...STILL_AIR,
      },
      20,
      110,
    )
    const found = torchReach(torch, small, metal, 8, 110)!
    expect(found.where).toBe('whole')
    expect(found.minutes / (lump.timeS! / 60)).toBeCloseTo(1, 3)
  })
  // Carslaw and Jaeger's own integral on a plate of that thickness, from `core/heat/spot.ts`.
  it('a place of a part without end, as a Gaussian source on a plate heats it', () => {
    for (const wallMm of [4, 8, 12]) {
      const { minutes } = torchReach(torch, { massG: 1e6, skinMm2: 1e7 }, metal, wallMm, 110)!
      const k = conductivityWmK(metal)
      const rise = spotRise(
        {
          absorbedW: 960,
          sigmaMm: Math.hypot(20, 60),
          wallMm,
          conductivityWmK: k,
          diffusivityM2s: k / (metal.densityGcm3 * 1000 * metal.specificHeatJkgK),
        },
        60 * minutes,
      )
      expect(rise / 90).toBeCloseTo(1, 1)
    }
  })
  it('the spot of a flame held on it, on a plate of that thickness', () => {
    for (const wallMm of [4, 8, 12]) {
      const { minutes } = torchReach(torch, { massG: 1e6, skinMm2: 1e7 }, metal, wallMm, 250, { held: true })!
      const k = conductivityWmK(metal)
      const rise = spotRise(
        {
          absorbedW: 960,
          sigmaMm: 20,
          wallMm,
          conductivityWmK: k,
          diffusivityM2s: k / (metal.densityGcm3 * 1000 * metal.specificHeatJkgK),
        },
        60 * minutes,
      )
      expect(rise / 230).toBeGreaterThan(0.95)
      expect(rise / 230).toBeLessThan(1.05)
    }
  })
  it('a heavier part never sooner, by no jump, from the smallest to the largest', () => {
    for (const [held, toC] of [
      [false, 110],
      [true, 300],
    ] as const) {
      const minutes = Array.from({ length: 400 }, (_, n) => 20 * 1.02 ** n).map(
        massG => torchReach(torch, { massG, skinMm2: 92 * massG }, metal, 8, toC, { held })?.minutes ?? Infinity,
      )
      minutes.slice(1).forEach((after, n) => {
        expect(after).toBeGreaterThanOrEqual(minutes[n]! * (1 - 1e-6))
        if (Number.isFinite(minutes[n]!)) expect(after).toBeLessThan(minutes[n]! * 1.1)
      })
    }
  })
  // Common practice, no source: one hand torch at a blade's edge does what it never does to the whole.
  it('a heavy part only where the flame is, an edge sooner than the middle, a long run later than a short one', () => {
    const flat = torchReach(torch, heavy, metal, 8, 200)!
    expect(flat.where).toBe('zone')
    expect(torchReach(torch, heavy, metal, 8, 200, { atEdge: true })!.minutes).toBeLessThanOrEqual(flat.minutes)
    expect(torchReach(torch, heavy, metal, 8, 200, { runMm: 150 })!.minutes).toBeGreaterThan(flat.minutes)
  })
  it('nothing where the flame is too small for the wall', () =>
    expect(torchReach({ ...torch, powerW: 150 }, heavy, metal, 20, 200)).toBeNull())
  it('takes the torch that is there soonest', () => {
    const air = { name: 'hot-air gun', gas: 'mains', powerW: 1600, efficiencyPct: 18 }
    expect(soonest([air, torch], small, metal, 8, 110)!.torch.name).toBe('propylene torch')
    expect(soonest([], small, metal, 8, 110)).toBeNull()
  })
  it('its curve begins where the part lies and has the temperature at the time told', () => {
    const { minutes } = torchReach(torch, heavy, metal, 8, 200)!
    const curve = zoneCurve(torch, heavy, metal, 8, {}, minutes * 60)
    expect(curve[0]).toEqual({ s: 0, c: 20 })
    expect(curve.at(-1)!.c).toBeCloseTo(200, 3)
  })
})
