import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../alloys.table'
import { compositionFit } from './composition-fit'
import { compositionMatches } from './composition-matches'
import { densityResolves } from './density-resolves'
import { measureIdentification, seeded, simulate } from './measure'
import { readComposition } from './read-composition'

describe("an analyser's reading", () => {
  it.each([
    ['Si 7.1, Mg 0.32, Cu 0.1', { Si: 7.1, Mg: 0.32, Cu: 0.1 }],
    ['element,percent\nSi,7.10\nMg,0.32', { Si: 7.1, Mg: 0.32 }],
    ['si: 7.1 %; fe <0.05', { Si: 7.1, Fe: 0 }],
    ['Zn=5.6;Mg=2.5', { Zn: 5.6, Mg: 2.5 }],
    ['', {}],
  ])('reads %j', (text, pct) => expect(readComposition(text)).toEqual({ pct, problems: [] }))
  it.each([
    ['7.1', /symbol/],
    ['Si much', /much/],
    ['Si 300', /outside/],
    ['Si 60, Cu 60', /add up/],
    ['Si 7, Si 8', /twice/],
    ['Si', /nothing/],
  ])('says what is wrong with %j', (text, why) => expect(readComposition(text).problems.join()).toMatch(why))
  it('fits every alloy to itself best, or to one whose limits hold its nominal too', () => {
    for (const alloy of ALLOYS.filter(row => row.form !== 'filler')) {
      expect(compositionFit(alloy.pct, alloy), alloy.name).toBe(1)
      expect(compositionMatches(alloy.pct)[0]!.fit, alloy.name).toBe(1)
    }
  })
  it('names the elements that lie outside', () => {
    expect(compositionMatches({ Si: 7.9, Mg: 0.3, Cu: 0.1 }).find(match => match.alloy === '356')!.outside).toEqual([
      { element: 'Si', measured: 7.9, min: 6.5, max: 7.5 },
    ])
  })
})

describe('what a weighing can tell', () => {
  it('tells magnesium and zinc from aluminium on any scale, but not 356 from 6061', () => {
    const at = densityResolves(2.69, 0.01)
    expect(at.rulesOut).toEqual(expect.arrayContaining(['magnesium', 'zinc-alloy', 'wrought-7xxx-copper']))
    expect(at.cannotTell).toEqual(expect.arrayContaining(['cast-al-si-mg', 'wrought-6xxx']))
  })
  it('tells less with a coarser scale', () =>
    expect(densityResolves(2.69, 0.08).rulesOut.length).toBeLessThan(densityResolves(2.69, 0.005).rulesOut.length))
})

describe('identification, measured on simulated parts', () => {
  const measured = measureIdentification(4, 6, seeded(42))
  it('gets better with every recommended test, and is right nine times in ten after six', () => {
    expect(measured.rightAfter[3]!).toBeGreaterThan(measured.rightAfter[0]!)
    expect(measured.rightAfter[6]!).toBeGreaterThan(0.9)
  })
  it('shares every row of the confusion out', () => {
    for (const row of measured.confusion) expect(row.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9)
  })
  it('repeats itself from a seed', () =>
    expect(simulate('density', ALLOYS[0]!, seeded(3))).toEqual(simulate('density', ALLOYS[0]!, seeded(3))))
})
