import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { easyPreheatC, leastPreheatC, mostPreheatC } from '../arc/least-preheat'
import { findAlloy } from '../metal/find-alloy'
import { CHILL_C, warmFor, type WarmAsk } from './decide'
import { plateSkinMm2 } from './heat'

const torch = { id: 't', name: 'propylene torch', gas: 'propylene', powerW: 3200, efficiencyPct: 30 }
/** A plate of an alloy with an arc on it, from a machine of so many ampere. */
const ask = (alloy: string, wallMm: number, maxA: number, more: Partial<WarmAsk> = {}, massG = 1500): WarmAsk => {
  const metal = findAlloy(alloy)!
  return {
    wanted: 'auto',
    torches: [torch],
    part: { massG, skinMm2: plateSkinMm2(massG, metal.densityGcm3, wallMm), protect: [] },
    body: { alloy: metal, wallMm },
    arcs: [
      {
        leastC: leastPreheatC(wallMm, maxA, 'ac-tig', 'flat'),
        easyC: easyPreheatC(wallMm, maxA, 'ac-tig', 'flat'),
        wallMm,
        soak: 'handled',
      },
    ],
    ...more,
  }
}

/** All of these: common practice, no source. */
describe('whether to warm', () => {
  it.each([
    ['clean sheet of 3 mm', ask('5052', 3, 200), 'none', 'thin-wrought'],
    ['a 2 mm frame joint', ask('6061', 2, 200), 'none', 'thin-wrought'],
    ['a clean cast cover of 3 mm', ask('356', 3, 200), 'none', 'thin-clean'],
    ['a casting of 5 mm', ask('356', 5, 200), 'chill', 'chill-off'],
    ['a heavy casting of 8 mm, current to spare', ask('356', 8, 350), 'chill', 'thick-wall'],
    ['a casting of 8 mm at the end of its machine', ask('356', 8, 200), 'preheat', 'eases-machine'],
    ['half-inch wrought plate on a strong machine', ask('6061', 12.7, 350), 'none', 'thick-wrought'],
    ['6 mm wrought with current to spare', ask('6061', 6, 300), 'none', 'thin-wrought'],
    ['6 mm wrought on a machine that only just does it', ask('6061', 6, 180), 'preheat', 'eases-machine'],
    ['140 A on a 10 mm casting', ask('356', 10, 140), 'preheat', 'small-machine'],
    ['a thin part out of the frost', ask('5052', 3, 200, { startC: 2 }), 'chill', 'cold-part'],
    ['a mend with no arc', ask('356', 8, 200, { arcs: [] }), 'none', 'nothing-laid'],
  ] as const)('%s', (_, given, need, why) => {
    const found = warmFor(given)
    expect(found.need).toBe(need)
    expect(found.why).toContain(why)
  })

  it('140 A wants a 10 mm wall at about 130 °C or more, and a torch is some minutes on two kilos of it', () => {
    const found = warmFor(ask('356', 10, 140, {}, 2000))
    expect(found.toC).toBeGreaterThan(130)
    expect(found.toC).toBeLessThan(140)
    expect(found.reaches).toBe(true)
    expect(found.minutes).toBeGreaterThan(3)
    expect(found.minutes).toBeLessThan(8)
  })

  it('a heavy part is warmed where the arc goes, not all of it', () => {
    const found = warmFor(ask('356', 10, 140, {}, 30_000))
    expect(found).toMatchObject({ reaches: true, where: 'zone' })
    expect(found.minutes).toBeLessThan(8)
  })

  // Common practice, no source: 54 to 60 °C beside parts that mind heat.
  it('beside what minds heat no more than the chill is taken off', () => {
    const given = ask('356', 8, 200)
    const found = warmFor({ ...given, part: { ...given.part, protect: ['lip-seal'] } })
    expect(found.toC).toBeLessThanOrEqual(CHILL_C)
    expect(found.why).toContain('kept-cool-near')
  })

  it('a machine that wants more heat than the metal bears is not helped by any, and says so', () => {
    const found = warmFor(ask('356', 10, 60))
    expect(found.toC).toBeLessThanOrEqual(mostPreheatC(findAlloy('356')!))
    expect(found.why).toContain('machine-beyond')
  })

  it('each school has its way: never, the chill only, always', () => {
    const given = ask('356', 8, 250)
    expect(warmFor({ ...given, school: 'never' })).toMatchObject({ need: 'none', toC: 20 })
    expect(warmFor({ ...given, school: 'chill' })).toMatchObject({ need: 'chill', toC: CHILL_C })
    expect(warmFor({ ...ask('5052', 3, 200), school: 'always' })).toMatchObject({ need: 'preheat', toC: 110 })
  })

  it('says what is wanted outright, and that no torch is there', () => {
    expect(warmFor({ ...ask('5052', 3, 200), wanted: { toC: 80 } })).toMatchObject({ toC: 80, why: ['as-wanted'] })
    expect(warmFor({ ...ask('356', 8, 250), torches: [] })).toMatchObject({ reaches: false })
    expect(warmFor({ ...ask('356', 8, 250), wanted: 'none' }).need).toBe('none')
  })

  it('is never under what it lies at, nor over what the metal is taken to, whatever the machine wants', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('356', '6061', '5052', '2024', '535', '380'),
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 60, max: 400, noNaN: true }),
        fc.double({ min: -10, max: 40, noNaN: true }),
        (alloy, wallMm, maxA, startC) => {
          const given = ask(alloy, wallMm, maxA, { startC })
          const found = warmFor(given)
          const most = mostPreheatC(given.body.alloy)
          return (
            found.toC >= startC &&
            found.toC <= Math.max(startC, most) &&
            (found.need === 'none') === found.toC <= startC
          )
        },
      ),
      { seed: 14, numRuns: 200 },
    )
  })
})
