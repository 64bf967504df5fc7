import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../metal/alloys.table'
import { findAlloy } from '../metal/find-alloy'
import { questions } from '../questions'
import { mix, passChemistry } from './chemistry'
import { crackIndex } from './crack-index'
import { crackMap } from './crack-map'
import { freezingPath, temperatureAt } from './solidification'

const pct = (name: string) => findAlloy(name)!.pct
const bead = (base: string, filler: string, dilution: number) => crackIndex(mix(pct(base), pct(filler), dilution / 100))
const light = ALLOYS.filter(alloy => alloy.family !== 'magnesium' && alloy.family !== 'zinc-alloy')

/** Where a sweep of contents has its highest index. */
function peak(at: (x: number) => Record<string, number>, to: number): number {
  let best = [0, 0]
  for (let x = 0.05; x <= to; x += 0.05) {
    const { index } = crackIndex(at(x))
    if (index > best[1]!) best = [x, index]
  }
  return best[0]!
}

describe('chemistry of a bead', () => {
  it('is the mass balance, pass on pass', () => {
    const [first, second] = passChemistry({ Si: 0.6, Mg: 1 }, { Si: 5.25 }, 30, 2)
    expect(first!.Si).toBeCloseTo(0.3 * 0.6 + 0.7 * 5.25, 12)
    expect(second!.Si).toBeCloseTo(0.3 * first!.Si! + 0.7 * 5.25, 12)
    expect(second!.Mg).toBeCloseTo(0.09, 12)
  })
  it('allows none and all', () => {
    expect(passChemistry(pct('6061'), pct('4043'), 0, 1)[0]!.Si).toBeCloseTo(5.25)
    expect(passChemistry(pct('6061'), pct('4043'), 100, 3)[2]!.Si).toBeCloseTo(0.6)
  })
})

describe('freezing path', () => {
  it.each(light.map(alloy => [alloy.name, alloy] as const))(
    '%s begins to freeze where the handbook has it (ASM vol. 2, from memory)',
    (_name, alloy) => {
      expect(Math.abs(freezingPath(alloy.pct).liquidusC - alloy.liquidusC)).toBeLessThanOrEqual(15)
    },
  )
  // A weld freezes further down than the handbook's equilibrium solidus where magnesium and silicon segregate (6xxx,
  // high magnesium).
  it.each([
    '2014',
    '2024',
    '2219',
    '7075',
    '201',
    '295',
    '355',
    '356',
    '380',
    '413',
    '443',
    '4043',
    '4047',
    '4145',
    '5052',
    '5154',
    '5454',
    '7005',
    '390',
  ])('%s ends within 20 K of it', name => {
    const alloy = findAlloy(name)!
    expect(Math.abs(freezingPath(alloy.pct).solidusC - alloy.solidusC)).toBeLessThanOrEqual(20)
  })
  it("is Scheil's closed form for one solute, back-diffusion included, down to the eutectic", () => {
    // Brody–Flemings: C = C0 [1 − (1 − 2αk) f]^((k − 1)/(1 − 2αk)), with k = 0.17, α = 0.12, m = −3.4.
    const path = freezingPath({ Cu: 2 })
    const x = 1 - 2 * 0.12 * 0.17
    for (const f of [0.2, 0.5, 0.8, 0.95]) {
      const closed = 660.32 - 3.4 * 2 * (1 - x * f) ** ((0.17 - 1) / x)
      expect(temperatureAt(path, f)).toBeCloseTo(closed, 0)
    }
  })
  it('holds the eutectics: Al-Si 577 °C, Al-Cu 548 °C (ASM Handbook vol. 3, from memory)', () => {
    expect(freezingPath({ Si: 8 }).solidusC).toBeCloseTo(577, -0.5)
    expect(freezingPath({ Cu: 6 }).solidusC).toBeCloseTo(548, -0.5)
    expect(Math.abs(freezingPath({ Cu: 8, Si: 6 }).solidusC - 525)).toBeLessThan(12)
  })
  it('never warms up and never ends, whatever goes in', () => {
    fc.assert(
      fc.property(
        fc.record({
          Si: fc.double({ min: 0, max: 18, noNaN: true }),
          Cu: fc.double({ min: 0, max: 8, noNaN: true }),
          Mg: fc.double({ min: 0, max: 9, noNaN: true }),
          Zn: fc.double({ min: 0, max: 9, noNaN: true }),
        }),
        mixed => {
          const { curve } = freezingPath(mixed)
          return (
            curve.length < 500 &&
            curve.every(
              (point, i) =>
                Number.isFinite(point.temperatureC) &&
                (i === 0 ||
                  (point.temperatureC <= curve[i - 1]!.temperatureC &&
                    point.solidFraction >= curve[i - 1]!.solidFraction)),
            )
          )
        },
      ),
      { numRuns: 150, seed: 2 },
    )
  })
})

it('refuses what is no aluminium', () =>
  expect(questions.ask('weld.crackIndex', { pct: { Mg: 90 } })).toMatchObject({
    ok: false,
    error: { kind: 'no-answer' },
  }))

describe('the crack map', () => {
  const map = crackMap(pct('6061'), pct('4043'), 30, 3, 21)
  it('holds the index of its own points', () => {
    const [row, column] = [6, 4]
    const at = { Cu: map.cuPct, Zn: map.znPct, Cr: 0, Si: (map.siMaxPct * column) / 20, Mg: (map.mgMaxPct * row) / 20 }
    expect(map.index[row * 21 + column]).toBeCloseTo(crackIndex(at).index, 9)
    expect(map.index).toHaveLength(441)
  })
  it('steps the passes along the line from base to filler', () => {
    for (const bead of map.beads) {
      const share = (bead.mgPct - map.filler.mgPct) / (map.base.mgPct - map.filler.mgPct)
      expect(share).toBeCloseTo(0.3 ** bead.pass, 9)
      expect(bead.siPct).toBeCloseTo(map.filler.siPct + share * (map.base.siPct - map.filler.siPct), 9)
    }
  })
  it('puts base and filler where they are, within the axes', () => {
    expect(map.base.index).toBeCloseTo(1, 2)
    for (const point of [map.base, map.filler, ...map.beads])
      expect(point.siPct <= map.siMaxPct && point.mgPct <= map.mgMaxPct).toBe(true)
  })
})

describe('crack index', () => {
  // Singer and Jennings (1946–47), Pumphrey and Lyons (1948), Dudas and Collins (1966), from memory.
  it('peaks where the published curves do', () => {
    expect(peak(x => ({ Si: x }), 12)).toBeLessThan(1)
    expect(peak(x => ({ Cu: x }), 10)).toBeGreaterThanOrEqual(2)
    expect(peak(x => ({ Cu: x }), 10)).toBeLessThanOrEqual(3)
    expect(peak(x => ({ Mg: x }), 9)).toBeGreaterThanOrEqual(1)
    expect(peak(x => ({ Mg: x }), 9)).toBeLessThanOrEqual(2)
    const mg2si = peak(x => ({ Mg: 0.634 * x, Si: 0.366 * x }), 6)
    expect(mg2si).toBeGreaterThan(0.6)
    expect(mg2si).toBeLessThan(1.6)
  })
  it('is one for bare 6061, and severe', () =>
    expect(crackIndex(pct('6061'))).toMatchObject({ index: expect.closeTo(1, 2), rating: 'severe' }))
  it.each(['2024', '7075', '2014', '6063'])('bare %s is severe', name =>
    expect(crackIndex(pct(name)).rating).toBe('severe'),
  )
  it.each([20, 30, 40])('6061 with 4043 or 5356 at %d %% is low', dilution => {
    expect(bead('6061', '4043', dilution).rating).toBe('low')
    expect(bead('6061', '5356', dilution).rating).toBe('low')
  })
  it.each([20, 30, 40])('2024 and 7075 with either at %d %% are not', dilution => {
    for (const base of ['2024', '7075'])
      for (const filler of ['4043', '5356'])
        expect(bead(base, filler, dilution).rating, `${base} ${filler}`).not.toBe('low')
  })
  it('is low for castings with their usual filler, and higher with 5356 on high silicon (common practice, no source)', () => {
    expect(bead('356', '4043', 30).rating).toBe('low')
    expect(bead('A380', '4043', 30).rating).toBe('low')
    expect(bead('356', '5356', 30).index).toBeGreaterThan(bead('356', '4043', 30).index)
  })
  it('is low for 5083 and 7005 with their own fillers', () => {
    expect(bead('5083', '5183', 30).rating).toBe('low')
    expect(bead('7005', '5356', 30).rating).toBe('low')
  })
})
