import { pedalA } from '#core/puddle/trainer/pedal'
import { transfer } from 'comlink'
import { advise } from '#core/puddle/trainer/advice'
import { lessonById, type Lesson } from '#core/puddle/trainer/lessons.table'
import { Session, type HandFrame, type MarkAt, type Outcome } from '#core/puddle/trainer/session'
import type { TrainedJob } from '#core/job/trained.schema'
import { thisJob } from '#core/puddle/trainer/this-job'
import { paintCut, paintPlate, type Painted } from './puddle-paint'

export interface LessonCard {
  id: string
  title: string
  look: readonly string[]
  goals: { id: string; words: string }[]
  way: readonly (readonly [number, number])[]
  longestS: number
  wideMm: number
  deepMm: number
  thickMm: number
  /** What the pedal gives as it begins, A. */
  pedalA: number
}
export interface Shown {
  plate: Painted
  cut: Painted | null
  s: number
  widthMm: number
  depthMm: number
  partC: number
  newMarks: MarkAt[]
  workMs: number
}
export interface Judged {
  outcome: Outcome
  goals: { id: string; words: string; met: boolean; got: string }[]
  advice: string | null
  hand: HandFrame[]
}

let lesson: Lesson | null = null
let session: Session | null = null
let told = 0

const cardOf = (of: Lesson, mostA: number | null): LessonCard => ({
  id: of.id,
  title: of.title,
  look: of.look,
  goals: of.goals.map(({ id, words }) => ({ id, words })),
  way: of.way,
  longestS: of.longestS,
  wideMm: of.bench.plate.xMm,
  deepMm: of.bench.plate.yMm,
  thickMm: of.bench.plate.zMm,
  pedalA: pedalA(of.bench, mostA),
})

function shown(withCut: boolean, workMs: number): Shown {
  const { pool, marks, samples, hand, s } = session!
  const last = samples.at(-1)
  const newMarks = marks.slice(told)
  told = marks.length
  const held = hand.at(-1) ?? null
  const stray = session!.tungsten.stray()
  // The arc is drawn where it sits on the tip, not where the torch is held.
  const torch = held && { ...held, xMm: held.xMm + stray.xMm, yMm: held.yMm + stray.yMm }
  const [plate, cut] = [paintPlate(pool, torch), withCut ? paintCut(pool, torch) : null]
  return transfer(
    {
      plate,
      cut,
      s,
      widthMm: last?.widthMm ?? 0,
      depthMm: last?.depthMm ?? 0,
      partC: pool.temperature[0]!,
      newMarks,
      workMs,
    },
    [plate.rgba.buffer, ...(cut ? [cut.rgba.buffer] : [])],
  )
}

/** The trainer's physics, away from the screen: frames of the hand go in, pictures of the puddle come out. */
export const bench = {
  /** A plate laid out anew for a lesson, or for a job. */
  begin(which: string | TrainedJob): LessonCard {
    lesson = typeof which === 'string' ? lessonById(which) : thisJob(which)
    session = new Session(lesson.bench)
    told = 0
    return cardOf(lesson, typeof which === 'string' ? null : which.mostA)
  },
  look: (withCut: boolean): Shown => shown(withCut, 0),
  frames(hands: readonly HandFrame[], withCut: boolean): Shown {
    const from = performance.now()
    for (const hand of hands) session!.advance(hand)
    return shown(withCut, (performance.now() - from) / Math.max(1, hands.length))
  },
  end(): Judged {
    const outcome = session!.outcome()
    const goals = lesson!.goals
    return {
      outcome: { ...outcome, samples: [...outcome.samples], marks: [...outcome.marks] },
      goals: goals.map(goal => ({ id: goal.id, words: goal.words, ...goal.judge(outcome) })),
      advice: advise(outcome, goals),
      hand: [...session!.hand],
    }
  },
}
