import { describe, expect, it } from 'vitest'
import { kitSchema } from '../../job/job.schema'
import { lessonById } from './lessons.table'
import { unpackHand } from './kept-hand'
import { HANDS_EACH, runToKeep, withRun } from './kept-run'
import { replay, Session } from './session'

const lesson = lessonById('puddle')
function made(id: string, frames = 90) {
  const session = new Session(lesson.bench)
  for (let n = 0; n < frames; n++) session.advance({ xMm: 30, yMm: 20, arcMm: 3, a: 160, dip: n === 80 })
  const outcome = session.outcome()
  const goals = lesson.goals.map(goal => goal.judge(outcome))
  const run = runToKeep({ id, at: '2026-03-01T08:00:00Z', lesson: lesson.id, on: null }, outcome, goals, session.hand)
  return { run, outcome }
}

describe('a run that is kept', () => {
  it('plays again to what it came to, by the hand in the kit’s own file', () => {
    const { run, outcome } = made('a')
    const kit = kitSchema.parse(JSON.parse(JSON.stringify({ trained: [run] })))
    const again = replay(lesson.bench, unpackHand(kit.trained[0]!.hand!)!).outcome()
    expect(again).toEqual(outcome)
    expect(kit.trained[0]).toMatchObject({ seconds: 1.5, dips: 1, of: lesson.goals.length })
  })

  it('is none where it was given up at once', () => {
    expect(made('a', 30).run).toBeNull()
  })

  it('keeps its hand while it is among the latest of its lesson, and its line longer', () => {
    const { run } = made('x')
    const other = { ...run!, id: 'other', lesson: 'feed' }
    let runs = [other]
    for (const id of ['a', 'b', 'c', 'd', 'e']) runs = withRun(runs, { ...run!, id })
    expect(runs.map(({ id }) => id)).toEqual(['other', 'a', 'b', 'c', 'd', 'e'])
    expect(runs.filter(({ hand }) => hand).map(({ id }) => id)).toEqual(['other', 'c', 'd', 'e'])
    expect(HANDS_EACH).toBe(3)
    for (let n = 0; n < 320; n++) runs = withRun(runs, { ...run!, id: `n${n}` })
    expect(runs).toHaveLength(300)
  })
})
