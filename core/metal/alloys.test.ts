import { describe, expect, it } from 'vitest'
import { ALLOYS } from './alloys.table'
import { mechanicalOf } from './mechanical.table'
import { FAMILY_IDS, FAMILIES } from './families.table'
import { findAlloy } from './find-alloy'

/** The alloys the contract asks for, and the forged piston alloys. */
const WANTED =
  `1100 2014 2017 2024 2219 3003 3004 5005 5052 5083 5086 5154 5454 5456 6005A 6060 6061 6063 6082 7005 7020 7075
201 295 308 319 332 355 356 A356 357 A357 360 A360 380 A380 383 384 390 413 A413 443 514 518 535 712 713
4043 4047 4643 4145 5183 5356 5554 5556 2319 AZ91D AG40A 2618 4032`.split(/\s+/)

/**
 * Main alloying limits, typed independently of the table: wrought and fillers, Aluminum Association "Teal sheets";
 * castings, "Pink sheets".
 * From memory.
 */
const LIMITS: readonly (readonly [alloy: string, element: string, min: number, max: number])[] = [
  ['2024', 'Cu', 3.8, 4.9],
  ['2024', 'Mg', 1.2, 1.8],
  ['6061', 'Si', 0.4, 0.8],
  ['6061', 'Mg', 0.8, 1.2],
  ['6061', 'Cu', 0.15, 0.4],
  ['6082', 'Si', 0.7, 1.3],
  ['7075', 'Zn', 5.1, 6.1],
  ['7075', 'Mg', 2.1, 2.9],
  ['7075', 'Cu', 1.2, 2.0],
  ['5083', 'Mg', 4.0, 4.9],
  ['5052', 'Mg', 2.2, 2.8],
  ['3003', 'Mn', 1.0, 1.5],
  ['2219', 'Cu', 5.8, 6.8],
  ['356', 'Si', 6.5, 7.5],
  ['A356', 'Mg', 0.25, 0.45],
  ['380', 'Si', 7.5, 9.5],
  ['380', 'Cu', 3.0, 4.0],
  ['319', 'Si', 5.5, 6.5],
  ['319', 'Cu', 3.0, 4.0],
  ['413', 'Si', 11, 13],
  ['390', 'Si', 16, 18],
  ['535', 'Mg', 6.2, 7.5],
  ['713', 'Zn', 7, 8],
  ['4043', 'Si', 4.5, 6.0],
  ['4047', 'Si', 11, 13],
  ['4145', 'Si', 9.3, 10.7],
  ['4145', 'Cu', 3.3, 4.7],
  ['5356', 'Mg', 4.5, 5.5],
  ['5183', 'Mg', 4.3, 5.2],
  ['5554', 'Mg', 2.4, 3.0],
  ['2319', 'Cu', 5.8, 6.8],
]

/**
 * Every alloy once more: its main alloying elements' ranges, and melting range °C. Typed apart from the table, from
 * memory of the Aluminum Association's sheets and ASM Handbook vol. 2 (5083 and 5456 as in Aluminum Standards and
 * Data).
 */
const EVERY = `
1100 Cu.05-.20 643-657 | 2014 Cu3.9-5.0,Si.50-1.2,Mg.20-.8 507-638 | 2017 Cu3.5-4.5,Mg.40-.8 513-640 | 2024 Cu3.8-4.9,Mg1.2-1.8,Mn.30-.9 502-638 | 2219 Cu5.8-6.8 543-643
3003 Mn1.0-1.5 643-654 | 3004 Mn1.0-1.5,Mg.8-1.3 629-654 | 5005 Mg.50-1.1 632-654 | 5052 Mg2.2-2.8,Cr.15-.35 607-649 | 5083 Mg4.0-4.9,Mn.40-1.0 591-638 | 5086 Mg3.5-4.5,Mn.20-.7 585-641
5154 Mg3.1-3.9 593-643 | 5454 Mg2.4-3.0,Mn.50-1.0 602-646 | 5456 Mg4.7-5.5,Mn.50-1.0 568-638 | 6005A Si.50-.9,Mg.40-.7 605-655 | 6060 Si.30-.6,Mg.35-.6 615-655 | 6061 Si.40-.8,Mg.8-1.2,Cu.15-.40 582-652
6063 Si.20-.6,Mg.45-.9 616-654 | 6082 Si.7-1.3,Mg.6-1.2,Mn.40-1.0 575-650 | 7005 Zn4.0-5.0,Mg1.0-1.8 604-643 | 7020 Zn4.0-5.0,Mg1.0-1.4 604-650 | 7075 Zn5.1-6.1,Mg2.1-2.9,Cu1.2-2.0 477-635
201 Cu4.0-5.2,Ag.40-1.0 535-650 | 295 Cu4.0-5.0,Si.7-1.5 520-645 | 308 Si5.0-6.0,Cu4.0-5.0 520-615 | 319 Si5.5-6.5,Cu3.0-4.0 516-604 | 332 Si8.5-10.5,Cu2.0-4.0,Mg.50-1.5 520-580 | 355 Si4.5-5.5,Cu1.0-1.5,Mg.40-.6 546-621
356 Si6.5-7.5,Mg.20-.45 557-613 | A356 Si6.5-7.5,Mg.25-.45 557-613 | 357 Si6.5-7.5,Mg.45-.6 557-613 | A357 Si6.5-7.5,Mg.40-.7 557-613 | 360 Si9.0-10.0,Mg.40-.6 557-596 | A360 Si9.0-10.0,Mg.40-.6 557-596
380 Si7.5-9.5,Cu3.0-4.0 538-593 | A380 Si7.5-9.5,Cu3.0-4.0 538-593 | 383 Si9.5-11.5,Cu2.0-3.0 516-582 | 384 Si10.5-12.0,Cu3.0-4.5 516-582 | 390 Si16.0-18.0,Cu4.0-5.0 507-649 | 413 Si11.0-13.0 574-582 | A413 Si11.0-13.0 574-582
443 Si4.5-6.0 574-632 | 514 Mg3.5-4.5 599-640 | 518 Mg7.5-8.5 535-621 | 535 Mg6.2-7.5 549-630 | 712 Zn5.0-6.5,Mg.50-.65,Cr.40-.6 600-640 | 713 Zn7.0-8.0,Cu.40-1.0 595-630
4043 Si4.5-6.0 574-632 | 4047 Si11.0-13.0 577-582 | 4643 Si3.6-4.6,Mg.10-.30 574-635 | 4145 Si9.3-10.7,Cu3.3-4.7 521-585 | 5183 Mg4.3-5.2,Mn.50-1.0 579-638 | 5356 Mg4.5-5.5 571-635
5554 Mg2.4-3.0,Mn.50-1.0 602-646 | 5556 Mg4.7-5.5,Mn.50-1.0 568-635 | 2319 Cu5.8-6.8,Ti.10-.20 543-643 | AZ91D Al8.3-9.7,Zn.35-1.0 470-595 | AG40A Al3.5-4.3 381-387
2618 Cu1.9-2.7,Mg1.3-1.8,Ni.9-1.2 549-638 | 4032 Si11.0-13.5,Cu.50-1.3,Mg.8-1.3,Ni.50-1.3 532-571`
  .trim()
  .split(/\s*[|\n]\s*/)
  .map(entry => entry.split(' ') as [name: string, ranges: string, melting: string])

/**
 * Conductivity, %IACS, of tempers that eddy-current sorting names: MIL-STD-1537 and ASM Handbook vol. 2, from memory.
 */
const CONDUCTIVITY: readonly (readonly [alloy: string, iacs: number])[] = [
  ['1100', 59],
  ['2014', 39],
  ['2024', 30],
  ['2219', 31],
  ['2618', 37],
  ['3003', 46],
  ['4032', 35],
  ['5052', 35],
  ['5083', 29],
  ['5086', 31],
  ['6061', 43],
  ['6063', 54],
  ['7005', 38],
  ['7075', 33],
  ['319', 27],
  ['355', 39],
  ['356', 41],
  ['380', 27],
  ['384', 22],
  ['413', 31],
  ['443', 37],
  ['518', 24],
  ['535', 23],
]

/** Melting range °C and density g/cm³: ASM Handbook vol. 2, from memory. */
const PHYSICAL: readonly (readonly [alloy: string, solidus: number, liquidus: number, density: number])[] = [
  ['1100', 643, 657, 2.71],
  ['2024', 502, 638, 2.78],
  ['2618', 549, 638, 2.76],
  ['3003', 643, 654, 2.73],
  ['4032', 532, 571, 2.68],
  ['5052', 607, 649, 2.68],
  ['5083', 591, 638, 2.66],
  ['6061', 582, 652, 2.7],
  ['6063', 616, 654, 2.69],
  ['7075', 477, 635, 2.81],
  ['319', 516, 604, 2.79],
  ['356', 557, 613, 2.68],
  ['380', 538, 593, 2.74],
  ['413', 574, 582, 2.66],
  ['390', 507, 649, 2.73],
  ['4043', 574, 632, 2.69],
  ['4047', 577, 582, 2.66],
  ['5356', 571, 635, 2.64],
]

describe('alloy table', () => {
  it('holds every alloy of the contract, each once', () => {
    expect(ALLOYS.map(alloy => alloy.name).sort()).toEqual([...WANTED].sort())
  })
  it.each(LIMITS)('%s: %s from %d to %d %%', (name, element, min, max) =>
    expect(findAlloy(name)!.limits[element]).toEqual([min, max]),
  )
  it.each(PHYSICAL)('%s: %d to %d °C, %d g/cm³', (name, solidusC, liquidusC, densityGcm3) =>
    expect(findAlloy(name)).toMatchObject({ solidusC, liquidusC, densityGcm3 }),
  )
  it.each(ALLOYS.map(alloy => [alloy.name, alloy] as const))('%s is consistent in itself', (_name, alloy) => {
    expect(alloy.solidusC).toBeLessThan(alloy.liquidusC)
    expect(alloy.iacsPct[0]).toBeLessThanOrEqual(alloy.iacsPct[1])
    expect(alloy.hardnessHb[0]).toBeLessThan(alloy.hardnessHb[1])
    const total = Object.values(alloy.pct).reduce((sum, value) => sum + value, 0)
    expect(total).toBeLessThanOrEqual(100.01)
    for (const [element, value] of Object.entries(alloy.pct)) {
      const limit = alloy.limits[element]!
      expect(Array.isArray(limit) && value >= limit[0] && value <= limit[1]).toBe(true)
    }
    if (alloy.form !== 'filler') expect(FAMILY_IDS).toContain(alloy.family)
  })
  it('bears out the density that its composition gives, within 2 %', () => {
    // Rule of mixtures by volume of the pure elements; densities from the CRC Handbook, from memory.
    const pure: Record<string, number> = {
      Si: 2.33,
      Fe: 7.87,
      Cu: 8.96,
      Mn: 7.3,
      Mg: 1.74,
      Cr: 7.19,
      Zn: 7.14,
      Ti: 4.51,
      Ag: 10.5,
      V: 6.0,
      Zr: 6.5,
      Ni: 8.9,
      Al: 2.7,
    }
    for (const alloy of ALLOYS) {
      const rest =
        100 -
        Object.entries(alloy.pct)
          .filter(([element]) => element !== 'Al')
          .reduce((sum, [, value]) => sum + value, 0)
      const volume = Object.entries({ ...alloy.pct, Al: rest }).reduce(
        (sum, [element, value]) => sum + value / pure[element]!,
        0,
      )
      expect(Math.abs(100 / volume / alloy.densityGcm3 - 1), alloy.name).toBeLessThan(0.035)
    }
  })
  it('stands for every family with an alloy of that family', () => {
    for (const family of FAMILIES) expect(findAlloy(family.sampleAlloy)?.family).toBe(family.id)
    expect(FAMILIES.reduce((sum, family) => sum + family.prior, 0)).toBeCloseTo(1, 9)
  })
})

describe('every alloy once more', () => {
  it('is there', () => expect(EVERY.map(([name]) => name).sort()).toEqual(ALLOYS.map(alloy => alloy.name).sort()))
  it.each(EVERY)('%s: %s, melts %s', (name, ranges, melting) => {
    const alloy = findAlloy(name)!
    for (const range of ranges.split(',')) {
      const [, element, min, max] = /^([A-Z][a-z]?)([\d.]+)-([\d.]+)$/.exec(range)!
      expect(alloy.limits[element!], element).toEqual([Number(min), Number(max)])
    }
    expect([alloy.solidusC, alloy.liquidusC]).toEqual(melting.split('-').map(Number))
  })
  it.each(CONDUCTIVITY)('%s conducts about %d %% IACS', (name, iacs) => {
    const [low, high] = findAlloy(name)!.iacsPct
    expect(iacs).toBeGreaterThanOrEqual(low)
    expect(iacs).toBeLessThanOrEqual(high)
  })
})

describe('finding an alloy', () => {
  it.each([
    ['6061-T6', '6061'],
    ['6061 T651', '6061'],
    ['er4043', '4043'],
    ['ER 5356', '5356'],
    ['A356.0', 'A356'],
    ['356.0-T6', '356'],
    ['AA 2024-T3', '2024'],
    ['EN AW-6082', '6082'],
    ['5083-H116', '5083'],
    ['5052-O', '5052'],
    ['R356', '356'],
    [' 380 ', '380'],
  ])('%s is %s', (written, name) => {
    expect(findAlloy(written)?.name).toBe(name)
  })
  it.each(['', 'x', '9999', '60 61', 'ER'])('"%s" is none', written => expect(findAlloy(written)).toBeUndefined())
})

it('has mechanical values for every alloy and filler: none falls back on another', () => {
  for (const alloy of ALLOYS) expect(mechanicalOf(alloy).proofMPa, alloy.name).toBeGreaterThan(0)
})
