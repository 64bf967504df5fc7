import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { secondsBetween } from '../../heat/lumped'
import { ALLOYS } from '../../metal/alloys.table'
import { findAlloy } from '../../metal/find-alloy'
import { INTERPASS_C } from '../../arc/interpass.table'
import { interpassOf, lumpOf, turnDownOf } from './soak-up'

const alloy = findAlloy('6061')!
const body = { massKg: 1, areaMm2: 60_000, volumeMm3: 370_000, reckonedKg: 1, from: 'sizes' as const, steps: [] }

describe('between passes', () => {
  it('a pass warms the whole part by its heat over what a degree costs: 2.4 kW for a minute in a kilogram', () => {
    const found = interpassOf(body, alloy, 60, 20, 2400, 1, null)
    expect(found.riseC).toBeCloseTo((2400 * 60) / (1 * alloy.specificHeatJkgK), 9)
    expect(found.waitS).toBeCloseTo(secondsBetween(lumpOf(body, alloy, 20), found.afterC, 120), 6)
  })
  it('needs no wait under the limit, and says when still air never brings it there', () => {
    expect(interpassOf(body, alloy, 20, 20, 100, 0.1, null).waitS).toBe(0)
    expect(interpassOf(body, alloy, 60, 40, 2400, 1, 30).waitS).toBeNull()
  })
  it('never passes where the metal melts, whatever is put in', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ALLOYS),
        fc.double({ min: 0.01, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 30_000, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (metal, massKg, arcW, minutes) => {
          const found = interpassOf({ ...body, massKg }, metal, 20, 20, arcW, minutes, null)
          return found.afterC <= metal.solidusC && (found.waitS === null || found.waitS >= 0)
        },
      ),
      { seed: 151, numRuns: 100 },
    )
  })
  it('goes by families that there are, at limits in reason', () => {
    for (const [family, { mostC }] of Object.entries(INTERPASS_C)) {
      expect(ALLOYS.map(alloy => alloy.family)).toContain(family)
      expect(mostC >= 60 && mostC <= 200).toBe(true)
    }
  })
})

describe('turning down', () => {
  const gun = { a: 180, wireMMin: 8 }
  it('is worth no sentence on a heavy part or for a moment, and none is given for one that melts already', () => {
    expect(turnDownOf({ ...body, massKg: 80 }, alloy, 20, 20, gun, 3000, 1)).toBeNull()
    expect(turnDownOf(body, alloy, 20, 20, gun, 3000, 0.1)).toBeNull()
    expect(turnDownOf(body, alloy, 700, 20, gun, 3000, 2)).toBeNull()
  })
  it('is told in a handful of points, the first the whole output', () => {
    const points = turnDownOf(body, alloy, 20, 20, gun, 3000, 3)!
    expect(points.length).toBeLessThanOrEqual(8)
    expect(points[0]).toMatchObject({ share: 1, ...gun })
    for (const { share, a, wireMMin } of points) expect([a, wireMMin]).toEqual([share * gun.a, share * gun.wireMMin])
    expect(points.at(-1)!.s).toBeCloseTo(180, 6)
  })
})
