import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../../metal/alloys.table'
import { findAlloy } from '../../metal/find-alloy'
import { INTERPASS_C } from '../../arc/interpass.table'
import type { Made } from '../../job-plan/step'
import { questions } from '../../questions'
import { interpassOf, turnDownOf } from './soak-up'

const alloy = findAlloy('6061')!
const body = { massKg: 1, areaMm2: 60_000, volumeMm3: 370_000, reckonedKg: 1, from: 'sizes' as const, steps: [] }

describe('between passes', () => {
  const of = (alloyName: string, massG: number, mend: object = { lengthMm: 80 }) => {
    const asked = questions.ask('job.plan', {
      part: { massG, bodies: [{ id: 'a', alloy: alloyName, wallMm: 5 }] },
      mends: [{ id: 'c', kind: 'crack', ...mend }],
    })
    if (!asked.ok) throw new Error('not planned')
    return interpassOf((asked.answer as { steps: Made[] }).steps, findAlloy(alloyName)!)
  }
  it('waits until still air has brought a small part under its limit, as the steps have it', () => {
    const small = of('6061', 300)!
    expect(small.mostC).toBe(INTERPASS_C['wrought-6xxx'].mostC)
    expect(small.riseC).toBeGreaterThan(0)
    expect(small.waitS).toBeGreaterThan(0)
  })
  it('needs no wait on a heavy part, and is no question where one pass fills it', () => {
    expect(of('6061', 60_000)!.waitS).toBe(0)
    expect(of('6061', 3000, { lengthMm: 80, capMm: 0, rootRadiusMm: 0, includedDeg: 10 })).toBeNull()
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
