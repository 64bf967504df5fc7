import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readFile } from '../job/files'
import { newJob } from '../job/new-job'
import { mendMade } from './mend-made.fixture'
import { sentenceText } from './hand-over/record'
import { planJob } from './plan-job'
import { verdictWords } from './verdict-words'

const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the made-up shop does not read')
const { kit } = file
const mm = (value: number) => ({ typed: `${value} mm`, value })

describe('what was decided, in words', () => {
  it('never tells to mend what is likelier to fail than to last', () => {
    expect(verdictWords('repair-with-limits', 37)).toBe('likelier to fail than to last')
    expect(verdictWords('repair-with-limits', 56)).toBe('mend it, with limits')
    expect(verdictWords('decline', 20)).toBe('say no')
  })
  it('says so on the call, the strip and each mend alike, of drawn jobs, also where the shop wants it mended', () => {
    let against = 0
    fc.assert(
      fc.property(
        fc.record({
          soak: fc.constantFrom('dry' as const, 'oily' as const, 'oil-soaked' as const),
          does: fc.constantFrom('seal' as const, 'static' as const, 'cyclic' as const),
          wallMm: fc.integer({ min: 2, max: 14 }),
          alloy: fc.constantFrom('356', '380', '535', '6061'),
          earlier: fc.constantFrom('none' as const, 'epoxy' as const, 'weld' as const),
          decision: fc.constantFrom(null, 'mend' as const),
        }),
        ({ soak, does, wallMm, alloy, earlier, decision }) => {
          const blank = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
          const plan = planJob(
            {
              ...blank,
              takeIn: { ...blank.takeIn, soak, does, wallMm: mm(wallMm), earlierRepair: earlier, cause: 'unknown' },
              know: { ...blank.know, alloy },
              call: { ...blank.call, decision },
              mends: [mendMade('crack', { lengthMm: 60 }), { ...mendMade('crack', { lengthMm: 30 }), id: 'second' }],
            },
            kit!,
          )
          const { judged } = plan.call.data
          if (!judged) return
          const told = [plan.call.short, sentenceText(plan.call.call, 'metric')]
          if (judged.chancePct >= 50 || judged.verdict === 'refer' || judged.verdict === 'decline') return
          against++
          for (const said of told) expect(said).not.toMatch(/^mend/i)
          for (const { planned } of plan.mends.rows)
            if (planned && planned.chancePct < 50 && planned.decision !== 'decline')
              expect(verdictWords(planned.decision, planned.chancePct)).not.toMatch(/^mend/i)
        },
      ),
      { seed: 43, numRuns: 120 },
    )
    expect(against).toBeGreaterThan(5)
  })
})
