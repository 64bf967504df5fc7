import { describe, expect, it } from 'vitest'
import { questions } from '../../questions'
import answers from './answers.json'
import { CASES } from './cases'

/** Answers by an independent program (CalculiX), its decks beside them; `tools/write-decks.ts` wrote and ran them. */
describe('the field against finite elements', () => {
  it.each(CASES)('$name comes within 1 % of the rise', ({ name, asked }) => {
    const found = questions.ask('heat.simulate', asked)
    if (!found.ok) throw new Error(JSON.stringify(found))
    const { probes } = found.answer as { probes: number[][] }
    const theirs = (answers as Record<string, number[]>)[name]!
    theirs.forEach((C, n) =>
      expect(Math.abs(probes[n]!.at(-1)! - C) / (C - 20), `${probes[n]!.at(-1)} for ${C}`).toBeLessThan(0.01),
    )
  })
})
