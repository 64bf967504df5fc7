import { describe, expect, it } from 'vitest'
import { preheat, STILL_AIR } from '../heat/lumped'
import { findAlloy } from '../metal/find-alloy'
import { soonest, torchReach, zoneCurve } from './torch-reach'

const metal = findAlloy('356')!
const torch = { name: 'propylene torch', gas: 'propylene', powerW: 3200, efficiencyPct: 30 }
const small = { massG: 1500, skinMm2: 130_000 }
const heavy = { massG: 30_000, skinMm2: 1_500_000 }

describe('what a torch reaches', () => {
  it('a hand-sized part whole, in the time of heat.preheat', () => {
    const lump = preheat(
      {
        massKg: 1.5,
        specificHeatJkgK: metal.specificHeatJkgK,
        areaMm2: 130_000,
        ambientC: 20,
        absorbedW: 960,
        ...STILL_AIR,
      },
      20,
      110,
    )
    expect(torchReach(torch, small, metal, 8, 110)).toEqual({ minutes: lump.timeS! / 60, where: 'whole' })
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
    const curve = zoneCurve(torch, metal, 8, 0, 20, minutes * 60)
    expect(curve[0]).toEqual({ s: 0, c: 20 })
    expect(curve.at(-1)!.c).toBeGreaterThanOrEqual(200)
  })
})
