import type { SeenInPuddle } from '../job/words.table'
import { PUDDLE_RULES, type PuddleRule } from './rules.table'

export interface Seen {
  pass: number
  saw: SeenInPuddle
}
export interface NextMove extends PuddleRule {
  /** The how many-th time in a row on this pass. */
  times: number
}

/** How often in a row, up to an entry, the same thing was seen on its pass; wetting clean begins the count anew. */
function timesInRow(history: readonly Seen[], at: number): number {
  const { pass, saw } = history[at]!
  let times = 0
  for (let n = at; n >= 0; n--) {
    const entry = history[n]!
    if (entry.pass !== pass) continue
    if (entry.saw === 'wets-clean' && saw !== 'wets-clean') break
    if (entry.saw === saw) times += 1
  }
  return times
}

const ruleAt = (history: readonly Seen[], at: number): NextMove => {
  const rules = PUDDLE_RULES[history[at]!.saw]
  const times = timesInRow(history, at)
  return { ...rules[Math.min(times, rules.length) - 1]!, times }
}

/**
 * The next move after what was seen last, looking at how often it came on this pass; null before anything was seen. The
 * same history gives the same move.
 */
export const nextMove = (history: readonly Seen[]): NextMove | null =>
  history.length ? ruleAt(history, history.length - 1) : null

/** Passes' worth of bead that the moves so far had ground out and laid again: more filler and more minutes. */
export const groundOutPasses = (history: readonly Seen[]): number =>
  history.reduce((sum, _, at) => sum + (ruleAt(history, at).groundOut ?? 0), 0)
