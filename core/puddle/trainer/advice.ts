import type { Goal } from './goals'
import type { Outcome, TrainerMark } from './session'

/** What each mark says where it happened. */
export const MARK_WORDS: Record<TrainerMark, string> = {
  puddle: 'puddle',
  wetted: 'rod ran in',
  'no-puddle': 'rod on metal that was not molten',
  skin: 'rod on a skin of oxide',
  dirty: 'rod on dirt',
  touched: 'tungsten in the puddle',
  through: 'molten right through',
  sags: 'it sags',
  wanders: 'the arc wanders',
  fell: 'it fell out',
  overheated: 'so hot that it spits',
  crater: 'stopped short: a crater',
  specks: 'dirt frozen in',
}
/** Marks that tell well of a run are not what to do differently. */
export const GOOD_MARKS: readonly TrainerMark[] = ['puddle', 'wetted', 'through']

/** For the worst that happened, what to do next time: the first that applies. Common practice, no source. */
const NEXT_TIME: readonly (readonly [TrainerMark, string])[] = [
  [
    'fell',
    'Less current, or faster, as soon as the puddle is twice as wide as the metal is thick: it falls when it is wider.',
  ],
  ['touched', 'Hold the arc two or three millimetres long: a tungsten in the puddle has to be ground anew.'],
  [
    'wanders',
    'The tip is past what it stands: a thicker tungsten, less current, or less cleaning on the dial; then grind it anew.',
  ],
  ['sags', 'Less current, or go on, once it is molten right through: it hangs farther the wider it is.'],
  ['overheated', 'Ease the pedal once the puddle is there: it needs far less than it took to make it.'],
  ['no-puddle', 'Wait with the rod until the spot is bright and as wide as the rod is thick twice over.'],
  ['skin', 'Give the arc time to clean: rod goes in when the frosted band is all round the puddle.'],
  ['dirty', 'Let it boil: hold the puddle without rod until nothing comes up, or freeze it, grind and go again.'],
  ['specks', 'Keep it molten until the specks have floated out, then let it freeze.'],
  ['crater', 'Take a second or two over letting the pedal up, with a dip of rod in the hollow.'],
]
const BY_GOAL: Readonly<Record<string, string>> = {
  width: 'Watch the rim of the puddle, not the arc: ease off when it widens, wait when it narrows.',
  run: 'Go on to the end of the line: move when the puddle is as wide as the bead should be.',
  dips: 'Dip oftener, at the front edge, each time the puddle is bright again.',
  through: 'A little more current or a little slower: the far side has not melted.',
  filled: 'There is metal missing still: feed the low places, layer on layer.',
  both: 'Point more at the side that stays dull, until both are bright.',
  eased: 'Start hotter, and let the pedal come up as you go: the part keeps the heat.',
  specks: 'Keep it molten until the specks have floated out, then let it freeze.',
  crater: 'Let the pedal up slowly, all the way to nothing.',
}

/** What to do differently, in one sentence; null where every goal is met and nothing else is amiss. */
export function advise(run: Outcome, goals: readonly Goal[]): string | null {
  const missed = goals.filter(goal => !goal.judge(run).met)
  if (!missed.length)
    return run.marks.some(mark => mark.code === 'crater')
      ? 'Passed, but with a crater at its end, where a crack begins: let the pedal up over a second or two.'
      : null
  if (!run.marks.some(mark => mark.code === 'puddle'))
    return 'There was no puddle: more current, a shorter arc, and hold still until it runs.'
  const worst = NEXT_TIME.find(([code]) => run.marks.some(mark => mark.code === code))
  return worst?.[1] ?? BY_GOAL[missed[0]!.id] ?? null
}
