/**
 * What raises and lowers the chance that a repair lasts, in percentage points: judgement, from common practice
 * (a part that never held oil welds well, over nine in ten lasting; one that held oil for decades may never stop
 * bubbling).
 */
export const SOUND_CHANCE_PCT = 94

export const SOAK_POINTS = { dry: 0, handled: -2, oily: -12, 'oil-soaked': -27 } as const
export const EARLIER_POINTS = { none: 0, weld: -8, epoxy: -6, insert: -3, braze: -30 } as const
export const EARLIER_WORDS: Readonly<Record<keyof typeof EARLIER_POINTS, string>> = {
  none: 'no earlier repair',
  weld: 'welded before',
  epoxy: 'epoxy or filler in it',
  insert: 'a thread insert',
  braze: 'brazed or soldered before',
}
export const FUSION_POINTS = { good: 0, fair: -7, poor: -22, never: -88 } as const
export const LOAD_POINTS = { seal: -3, static: 0, cyclic: -12 } as const
/** A gun on metal that held oil: dirt is laid over, not boiled out. Beside what the oil itself costs. */
export const GUN_ON_OIL_POINTS = { dry: 0, handled: 0, oily: -4, 'oil-soaked': -8 } as const
/** A heavy casting struck cold: it starts in pinholes and pulls harder. Judgement. */
export const COLD_HEAVY_MM = [7, 9] as const
export const COLD_HEAVY_POINTS = -3
/** A casting struck cold keeps what damp and oil there is in it, and throws it up as pinholes. Judgement. */
export const COLD_DAMP_POINTS = { dry: -1, handled: -1, oily: -3, 'oil-soaked': -5 } as const
/** The chill taken off leaves what only a preheat drives out: deep oil, and what an earlier weld shut in. Judgement. */
export const CHILLED_OIL_POINTS = { dry: 0, handled: 0, oily: 0, 'oil-soaked': -2 } as const
export const CHILLED_WELD_POINTS = -1
/** A clean casting holds that over these walls, an oily one whatever its wall, mm. */
export const COLD_DAMP_MM = [3, 4] as const
/** A filler by what its own ranking says of it: one that works is a shade less than the first. */
export const FILLER_POINTS = { first: 0, works: -1, avoid: -8, never: -40 } as const
/** What a kind of mend takes or gives beside the rest. Judgement; kinds not named take nothing. */
export const KIND_POINTS = {
  bent: [-4, 'pressed back: metal worked twice'],
  bore: [-2, 'a bore moves as it is welded'],
} as const
/** The state that a thread's hole is in, worst counting. Judgement. */
export const STATE_POINTS: Readonly<Record<string, readonly [points: number, why: string]>> = {
  stripped: [0, 'a stripped hole'],
  oversize: [-1, 'a hole too wide'],
  crooked: [-1, 'a crooked hole'],
  leaking: [-4, 'a hole that leaks'],
  'broken-stud': [-3, 'a stud to be got out first'],
  'failed-insert': [-4, 'an insert that failed there before'],
  cracked: [-6, 'a cracked boss'],
  gone: [-4, 'a boss that is gone'],
}
/** A repair without the cause comes back. */
export const CAUSE_POINTS = { unknown: -8, known: -4, 'put-right': 0 } as const
/** A wall counts as thin, or as heavy, over these stretches, mm. */
export const THIN_WALL_MM = [1.5, 2.5] as const
export const THIN_WALL_POINTS = -10
export const HEAVY_WALL_MM = [14, 18] as const
export const HEAVY_WALL_POINTS = -5
export const LEAST_CHANCE_PCT = 2
export const MOST_CHANCE_PCT = 98

/** Below the first the answer is no; below the second, or under repeated load, only with limits. */
export const DECLINE_BELOW_PCT = 35
export const LIMITS_BELOW_PCT = 75
/** Below this a repair is likelier to fail than to last. */
export const EVENS_PCT = 50
/** Past this probability of a metal that is not fusion welded the answer is no. */
export const HOPELESS_AT = 0.5
/** A repair dearer than this share of new is not worth the risk. */
export const TOO_DEAR_SHARE = 0.8
/** A new one this far off, in weeks, is worth a dearer repair: up to its full price. */
export const LONG_WAIT_WEEKS = 8

export const SAFETY_CRITICAL = ['none', 'wheel', 'steering-brake', 'lifting', 'pressure', 'aircraft'] as const
export type SafetyCritical = (typeof SAFETY_CRITICAL)[number]
export const SAFETY_WORDS: Readonly<Record<SafetyCritical, string>> = {
  none: 'none of these',
  wheel: 'a wheel',
  'steering-brake': 'steering or brakes',
  lifting: 'lifting gear',
  pressure: 'a pressure vessel',
  aircraft: 'an aircraft part',
}
