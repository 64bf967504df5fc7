import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { askText } from './ask-text'

const example = (name: string, change: object = {}) =>
  JSON.stringify({ ...(questions.get(name)!.example as object), ...change })
const costMs = (name: string, change: object = {}) => questions.costMs(name, JSON.parse(example(name, change)))

describe('a question as text', () => {
  it('is answered as the same input is', () =>
    expect(askText(questions, 'thread.dims', example('thread.dims'))).toEqual(
      questions.ask('thread.dims', questions.get('thread.dims')!.example),
    ))
  it('says what is wrong with its text, and an unknown name before that', () => {
    for (const [text, words] of [
      ['{', /not JSON/],
      [`${'['.repeat(99)}${']'.repeat(99)}`, /nested/],
      [`[${'0,'.repeat(400_001)}0]`, /values/],
    ] as const)
      expect(JSON.stringify(askText(questions, 'thread.dims', text))).toMatch(words)
    expect(askText(questions, 'thread.dim', '{')).toMatchObject({ error: { kind: 'unknown-question' } })
  })
  it('is handed back where it is likely to take longer than there is', () => {
    expect(askText(questions, 'puddle.run', example('puddle.run'), 12)).toBeNull()
    expect(askText(questions, 'thread.dims', example('thread.dims'), 12)).not.toBeNull()
    expect(askText(questions, 'puddle.run', '{}', 12)).toMatchObject({ error: { kind: 'invalid-input' } })
  })
})

describe('what a question costs', () => {
  it('is known by its sizes: cells, seconds, points, beads, draws', () => {
    for (const [name, more] of [
      ['puddle.run', { durationS: 500 }],
      ['puddle.run', { cellMm: 0.5 }],
      ['heat.simulate', { durationS: 3600 }],
      ['heat.simulate', { cellMm: 1 }],
      ['warp.simulate', { cellMm: 1 }],
      ['warp.simulate', { plastic: true }],
      ['hold.simulate', { cellMm: 1 }],
      ['job.matters', { draws: 4000 }],
      ['weld.crackMap', { points: 120 }],
      ['day.schedule', { effort: 20 }],
    ] as const)
      expect(costMs(name, more), `${name} ${JSON.stringify(more)}`).toBeGreaterThan(1.5 * costMs(name))
  })
  it('is nothing for what is refused or unknown', () => {
    expect(questions.costMs('puddle.run', {})).toBe(0)
    expect(questions.costMs('puddle.walk', {})).toBe(0)
  })
})
