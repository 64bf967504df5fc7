import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FAMILIES } from '../metal/families.table'
import { chooseProcess, type ProcessInput } from './process'
import { PROCESS_IDS, type ProcessId } from '../process/registry'
import { SOAKS } from './process.table'
import { questions } from '../questions'

/**
 * What no reckoning may get the wrong way round, whatever the part: dirt never helps, more kit never hurts, a part that
 * can kill is never mended here.
 * Common practice, no source.
 */
const fusible = FAMILIES.filter(family => family.fusion !== 'never')
const part = fc.record({
  wallMm: fc.double({ min: 0.8, max: 30, noNaN: true }),
  family: fc.constantFrom(...fusible),
  load: fc.constantFrom('seal' as const, 'static' as const, 'cyclic' as const),
  watertight: fc.boolean(),
  access: fc.constantFrom('open' as const, 'tight' as const),
  areaMm2: fc.double({ min: 50, max: 1e5, noNaN: true }),
  count: fc.integer({ min: 1, max: 20 }),
})
const welder = { process: 'ac-tig' as const, maxA: 200, ratedA: 200, dutyPct: 30, torchA: 200 }
const score = (input: ProcessInput, process: ProcessId) =>
  chooseProcess(input).ranked.find(row => row.process === process)!.score

interface Judged {
  verdict: string
  chancePct: number
  parts: { reason: string; effect: number }[]
  because: string
}
const judged = fc.record({
  family: fc.constantFrom(...fusible.map(family => family.id)),
  load: fc.constantFrom('seal', 'static', 'cyclic'),
  wallMm: fc.double({ min: 1, max: 25, noNaN: true }),
  earlierRepair: fc.constantFrom('none', 'weld', 'epoxy', 'insert', 'braze'),
  soak: fc.constantFrom(...SOAKS),
  safetyCritical: fc.constant('none'),
})
const judge = (input: object) => {
  const asked = questions.ask('repair.judge', input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as Judged
}

describe('ranking processes', () => {
  it('gives no process a better score for a dirtier part', () => {
    fc.assert(
      fc.property(part, fc.constantFrom(...PROCESS_IDS), (drawn, process) => {
        const scores = SOAKS.map(soak => score({ ...drawn, soak, kit: [] }, process))
        for (let n = 1; n < scores.length; n++) expect(scores[n]!).toBeLessThanOrEqual(scores[n - 1]! + 1e-12)
      }),
      { numRuns: 150, seed: 3 },
    )
  })
  it('gives a larger machine at least the score of a smaller one', () => {
    fc.assert(
      fc.property(part, fc.constantFrom(...SOAKS), fc.integer({ min: 60, max: 300 }), (drawn, soak, maxA) => {
        const small = score({ ...drawn, soak, kit: [{ ...welder, maxA, ratedA: maxA, torchA: maxA }] }, 'ac-tig')
        const large = score(
          { ...drawn, soak, kit: [{ ...welder, maxA: maxA + 100, ratedA: maxA + 100, torchA: maxA + 100 }] },
          'ac-tig',
        )
        expect(large).toBeGreaterThanOrEqual(small - 1e-12)
      }),
      { numRuns: 150, seed: 4 },
    )
  })
  it('ranks every process once, best first, with reasons and minutes, and none that is not in the kit above never', () => {
    fc.assert(
      fc.property(part, fc.constantFrom(...SOAKS), fc.subarray([...PROCESS_IDS]), (drawn, soak, processes) => {
        const { ranked } = chooseProcess({ ...drawn, soak, kit: processes.map(process => ({ ...welder, process })) })
        expect(ranked.map(row => row.process).toSorted()).toEqual([...PROCESS_IDS].toSorted())
        ranked.forEach((row, n) => {
          expect(row.reasons.length).toBeGreaterThan(0)
          expect(row.minutes).toBeGreaterThan(0)
          if (n) expect(row.score).toBeLessThanOrEqual(ranked[n - 1]!.score)
          if (processes.length && !processes.includes(row.process)) expect(row.verdict).toBe('never')
        })
        expect(ranked.filter(row => row.verdict === 'first').length).toBeLessThanOrEqual(1)
      }),
      { numRuns: 200, seed: 5 },
    )
  })
  it('counts many like parts as one setting up and so many times the rest', () => {
    fc.assert(
      fc.property(part, drawn => {
        const [one, two, three] = [1, 2, 3].map(
          count =>
            chooseProcess({ ...drawn, soak: 'dry', kit: [], count }).ranked.find(row => row.process === 'ac-tig')!
              .minutes,
        )
        expect(three! - two!).toBeCloseTo(two! - one!, 6)
      }),
      { numRuns: 50, seed: 6 },
    )
  })
})

describe('mend or not', () => {
  it('gives a dirtier part no better odds, and an earlier repair none better than none', () => {
    fc.assert(
      fc.property(judged, drawn => {
        const chances = SOAKS.map(soak => judge({ ...drawn, soak }).chancePct)
        for (let n = 1; n < chances.length; n++) expect(chances[n]!).toBeLessThanOrEqual(chances[n - 1]! + 1e-9)
        expect(judge(drawn).chancePct).toBeLessThanOrEqual(judge({ ...drawn, earlierRepair: 'none' }).chancePct + 1e-9)
      }),
      { numRuns: 80, seed: 7 },
    )
  })
  it('mends nothing that can kill, however good its odds', () => {
    fc.assert(
      fc.property(
        judged,
        fc.constantFrom('wheel', 'steering-brake', 'lifting', 'pressure', 'aircraft'),
        (drawn, safetyCritical) => {
          expect(judge({ ...drawn, safetyCritical }).verdict).toMatch(/refer|decline/)
        },
      ),
      { numRuns: 100, seed: 8 },
    )
  })
  it('between two metals gives odds between those of each', () => {
    fc.assert(
      fc.property(
        judged,
        fc.constantFrom(...fusible.map(family => family.id)),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        ({ family, ...drawn }, other, share) => {
          const [a, b] = [judge({ ...drawn, family }).chancePct, judge({ ...drawn, family: other }).chancePct]
          const mixed = judge({
            ...drawn,
            families: [
              { id: family, probability: share },
              { id: other, probability: 1 - share },
            ],
          }).chancePct
          expect(mixed).toBeGreaterThanOrEqual(Math.min(a, b) - 1)
          expect(mixed).toBeLessThanOrEqual(Math.max(a, b) + 1)
        },
      ),
      { numRuns: 60, seed: 9 },
    )
  })
  it('stays between nought and a hundred, and says why in words', () => {
    fc.assert(
      fc.property(judged, drawn => {
        const { chancePct, because, parts } = judge(drawn)
        expect(chancePct).toBeGreaterThanOrEqual(0)
        expect(chancePct).toBeLessThanOrEqual(100)
        expect(because.length).toBeGreaterThan(5)
        expect(parts.reduce((sum, one) => sum + one.effect, 0)).toBeCloseTo(chancePct, 0)
      }),
      { numRuns: 100, seed: 10 },
    )
  })
})
