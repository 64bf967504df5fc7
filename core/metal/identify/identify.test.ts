import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FAMILY_IDS } from '../families.table'
import { evidenceSchema, type Evidence } from './evidence'
import { entropyBits, identify } from './identify'
import { outcomeTable } from './likelihood'
import { SEEN_LIKELIHOODS } from './likelihoods.table'
import { readMark } from './read-mark'
import { BENCH_TESTS, SEEN, TEST_IDS } from './tests.table'

const best = (...evidence: Evidence[]) => identify(evidence).families[0]!

describe('marks', () => {
  // Designation standards named in marks.table.ts, from memory.
  it.each([
    ['A356-T6', 'cast-al-si-mg', 'A356'],
    ['LM25 TF', 'cast-al-si-mg', '356'],
    ['LM6', 'cast-al-si', '413'],
    ['LM 24', 'die-cast-al-si-cu', '380'],
    ['ADC12', 'die-cast-al-si-cu', '383'],
    ['AC4CH', 'cast-al-si-mg', '356'],
    ['EN AC-46000', 'die-cast-al-si-cu', '380'],
    ['EN AC-42100', 'cast-al-si-mg', 'A356'],
    ['AlSi9Cu3(Fe)', 'die-cast-al-si-cu', '380'],
    ['AlSi7Mg', 'cast-al-si-mg', 'A356'],
    ['G-AlSi12', 'cast-al-si', '413'],
    ['ZL101', 'cast-al-si-mg', '356'],
    ['AZ91D', 'magnesium', 'AZ91D'],
    ['AM60', 'magnesium', 'AZ91D'],
    ['6061-T6', 'wrought-6xxx', '6061'],
    ['HE30', 'wrought-6xxx', '6082'],
    ['A-S7G', 'cast-al-si-mg', '356'],
    ['7075', 'wrought-7xxx-copper', '7075'],
    ['380', 'die-cast-al-si-cu', '380'],
    ['AA 5251-H22', 'wrought-5xxx', undefined],
    ['ZP5', 'zinc-alloy', 'AG40A'],
  ])('%s reads as %s', (text, family, alloy) =>
    expect(readMark(text)).toEqual([expect.objectContaining({ family, ...(alloy ? { alloy } : {}) })]),
  )
  it.each(['PT 38 4412', 'MADE BY HAND', '12-6061234', 'Nr 2024517'])('"%s" names no metal', text =>
    expect(readMark(text)).toEqual([]),
  )
})

describe('identification', () => {
  it('has a full row of likelihoods for every family and test', () => {
    for (const [test, table] of Object.entries(SEEN_LIKELIHOODS)) {
      for (const id of FAMILY_IDS) {
        expect(table[id], `${test} ${id}`).toHaveLength(SEEN[test as keyof typeof SEEN].length)
        expect(Math.min(...table[id])).toBeGreaterThan(0)
      }
    }
  })
  it('has outcomes that add up to one under every family', () => {
    for (const test of TEST_IDS) {
      FAMILY_IDS.forEach((_, family) => {
        expect(
          outcomeTable(test).reduce((sum, row) => sum + row[family]!, 0),
          test,
        ).toBeCloseTo(1, 2)
      })
    }
  })
  it('begins as unsure as its priors and knows what each test would be worth', () => {
    const start = identify([])
    expect(start.entropyBits).toBeGreaterThan(3)
    expect(start.next).toHaveLength(TEST_IDS.length)
    for (const next of start.next) expect(next.bits).toBeGreaterThanOrEqual(0)
    expect(BENCH_TESTS.find(test => test.test === start.recommended)!.destructive).toBe(false)
  })
  it('knows common things from common evidence (common practice, no source)', () => {
    expect(best({ test: 'form', seen: 'extrusion' }, { test: 'surface', seen: 'extrusion-lines' }).id).toBe(
      'wrought-6xxx',
    )
    expect(
      best(
        { test: 'form', seen: 'casting' },
        { test: 'surface', seen: 'ejector-marks' },
        { test: 'conductivity', iacsPct: 25 },
      ).id,
    ).toBe('die-cast-al-si-cu')
    expect(best({ test: 'form', seen: 'sheet' }, { test: 'conductivity', iacsPct: 29 }).id).toMatch(
      /wrought-(5xxx|2xxx)/,
    )
    expect(best({ test: 'density', gcm3: 1.8 }).id).toBe('magnesium')
    expect(best({ test: 'density', gcm3: 6.6 }).id).toBe('zinc-alloy')
  })
  it('stops for magnesium and for zinc', () => {
    expect(
      identify([
        { test: 'density', gcm3: 1.81 },
        { test: 'vinegar', seen: 'fizz' },
      ]).cautions.some(entry => entry.code === 'magnesium' && entry.level === 'stop'),
    ).toBe(true)
    expect(identify([{ test: 'density', gcm3: 6.6 }]).cautions.some(entry => entry.code === 'zinc-fume')).toBe(true)
  })
  it('calls a contradiction by name and does not hide it', () => {
    const odd = identify([
      { test: 'form', seen: 'casting' },
      { test: 'surface', seen: 'sand-grain' },
      { test: 'fracture', seen: 'granular' },
      { test: 'density', gcm3: 6.6 },
    ])
    expect(odd.cautions.some(entry => entry.code === 'evidence-contradicts')).toBe(true)
    expect(
      identify([
        { test: 'form', seen: 'casting' },
        { test: 'surface', seen: 'sand-grain' },
      ]).cautions.some(entry => entry.code === 'evidence-contradicts'),
    ).toBe(false)
  })
  it('does not mind the order of the evidence, and always sums to one', () => {
    const seenEvidence = (Object.keys(SEEN) as (keyof typeof SEEN)[]).map(test =>
      fc.constantFrom(...SEEN[test]).map(seen => ({ test, seen }) as Evidence),
    )
    const measured = [
      fc.double({ min: 1.1, max: 9, noNaN: true }).map(gcm3 => ({ test: 'density', gcm3 }) as Evidence),
      fc.double({ min: 1, max: 65, noNaN: true }).map(iacsPct => ({ test: 'conductivity', iacsPct }) as Evidence),
    ]
    fc.assert(
      fc.property(fc.array(fc.oneof(...seenEvidence, ...measured), { maxLength: 8 }), evidence => {
        const found = identify(evidence)
        const back = identify([...evidence].reverse())
        const sum = found.families.reduce((total, family) => total + family.probability, 0)
        return (
          Math.abs(sum - 1) < 1e-9 &&
          found.families.every(
            family =>
              Math.abs(family.probability - back.families.find(other => other.id === family.id)!.probability) < 1e-9,
          )
        )
      }),
      { numRuns: 40, seed: 5 },
    )
  })
  it('measures entropy as Shannon does', () => {
    expect(entropyBits([0.5, 0.5])).toBeCloseTo(1, 12)
    expect(entropyBits([1, 0])).toBe(0)
    expect(entropyBits(new Array<number>(8).fill(1 / 8))).toBeCloseTo(3, 12)
  })
  it.each([
    { test: 'density', gcm3: 25 },
    { test: 'conductivity', iacsPct: 300 },
    { test: 'form', seen: 'wood' },
    { test: 'smell' },
    { test: 'composition', pct: { Si: 80, Cu: 40 } },
    { test: 'composition', pct: { Xx: 1 } },
  ])('refuses %o', evidence => {
    expect(evidenceSchema.safeParse(evidence).success).toBe(false)
  })
  it('believes an analyser most of all', () => {
    expect(
      best({ test: 'form', seen: 'sheet' }, { test: 'composition', pct: { Si: 0.6, Mg: 1.0, Cu: 0.28, Fe: 0.3 } }).id,
    ).toBe('wrought-6xxx')
  })
})
