import { MOST_TRAINED, type TrainedJob, type TrainedRun } from '../../job/trained.schema'
import type { Goal } from './goals'
import { packHand } from './kept-hand'
import type { HandFrame, Outcome } from './session'

/** Runs of each lesson that keep the hand that made them. */
export const HANDS_EACH = 3
/** A run given up sooner is none, s. */
const LEAST_S = 1

const to = (digits: number, value: number) => Math.round(value * 10 ** digits) / 10 ** digits

/** A run as it is kept; null where it was given up before it began. */
export function runToKeep(
  made: { id: string; at: string; lesson: string; on: TrainedJob | null },
  outcome: Outcome,
  goals: readonly ReturnType<Goal['judge']>[],
  hand: readonly HandFrame[],
): TrainedRun | null {
  if (outcome.s < LEAST_S) return null
  const { on, ...known } = made
  return {
    ...known,
    ...(on && { on }),
    met: goals.filter(goal => goal.met).length,
    of: goals.length,
    seconds: to(1, outcome.s),
    wetted: outcome.wetted,
    dips: outcome.dips,
    specks: outcome.specks,
    addedG: to(2, outcome.addedG),
    hand: packHand(hand),
  }
}

/** The runs with one more, the oldest left out where there are too many; of each lesson the latest keep their hand. */
export function withRun(runs: readonly TrainedRun[], run: TrainedRun): TrainedRun[] {
  const hands = runs.filter(each => each.lesson === run.lesson && each.hand !== undefined)
  const gone = new Set(hands.slice(0, Math.max(0, hands.length - HANDS_EACH + 1)).map(({ id }) => id))
  const kept = runs.map(each => {
    if (!gone.has(each.id)) return each
    const { hand: _hand, ...rest } = each
    return rest
  })
  return [...kept, run].slice(-MOST_TRAINED)
}
