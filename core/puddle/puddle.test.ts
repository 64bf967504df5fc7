import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEEN_IN_PUDDLE, type SeenInPuddle } from '../job/words.table'
import { groundOutPasses, nextMove } from './next-move'
import { PUDDLE_RULES } from './rules.table'

const BUTTONS = Object.keys(SEEN_IN_PUDDLE) as SeenInPuddle[]
const entry = fc.record({ pass: fc.integer({ min: 1, max: 6 }), saw: fc.constantFrom(...BUTTONS) })

describe("the puddle's rules", () => {
  it.each(BUTTONS)('%s gives a move with its reason at every stage, the tenth time too', saw => {
    for (let times = 1; times <= 10; times++) {
      const move = nextMove(Array.from({ length: times }, () => ({ pass: 1, saw })))!
      expect(move.times).toBe(times)
      expect(move.move.length).toBeGreaterThan(4)
      expect(move.why.length).toBeGreaterThan(10)
    }
  })
  it('does not say the same thing three times running of what does not stop: it ends in an honest grind it out, or another way', () => {
    for (const saw of [
      'black-specks',
      'bubbles',
      'reopens',
      'scum',
      'pinhole',
      'burns-through',
      'sags',
      'arc-wanders',
    ] as const) {
      expect(new Set(PUDDLE_RULES[saw].map(rule => rule.move)).size, saw).toBe(PUDDLE_RULES[saw].length)
      expect(PUDDLE_RULES[saw].at(-1)!.end, saw).toBe(true)
    }
  })
  it('looks at the history: bubbles a third time want the oven, a crack that reopens after going deeper is cut right through', () => {
    expect(
      nextMove([
        { pass: 1, saw: 'bubbles' },
        { pass: 1, saw: 'bubbles' },
        { pass: 1, saw: 'bubbles' },
      ])!.move,
    ).toContain('bake')
    expect(
      nextMove([
        { pass: 2, saw: 'reopens' },
        { pass: 2, saw: 'scum' },
        { pass: 2, saw: 'reopens' },
      ])!.move,
    ).toContain('right through')
  })
  it('begins anew after it wetted clean, and counts each pass by itself', () => {
    expect(
      nextMove([
        { pass: 1, saw: 'bubbles' },
        { pass: 1, saw: 'bubbles' },
        { pass: 1, saw: 'wets-clean' },
        { pass: 1, saw: 'bubbles' },
      ])!.times,
    ).toBe(1)
    expect(
      nextMove([
        { pass: 1, saw: 'bubbles' },
        { pass: 2, saw: 'bubbles' },
      ])!.times,
    ).toBe(1)
  })
  it('gives the same move to the same history, always', () => {
    fc.assert(
      fc.property(
        fc.array(entry, { minLength: 1, maxLength: 40 }),
        history => JSON.stringify(nextMove(history)) === JSON.stringify(nextMove(structuredClone(history))),
      ),
      { seed: 2 },
    )
  })
  it('adds up what was ground out, and never takes it back', () => {
    expect(
      groundOutPasses([
        { pass: 1, saw: 'black-specks' },
        { pass: 1, saw: 'black-specks' },
      ]),
    ).toBeCloseTo(0.8)
    fc.assert(
      fc.property(
        fc.array(entry, { maxLength: 30 }),
        entry,
        (history, more) => groundOutPasses([...history, more]) >= groundOutPasses(history),
      ),
      { seed: 8 },
    )
  })
  it('has no move before anything was seen', () => expect(nextMove([])).toBeNull())
})
