/**
 * What raises and lowers the chance that a repair lasts, in percentage points: judgement, from common practice
 * (a part that never held oil welds well, over nine in ten lasting; one that held oil for decades may never stop
 * bubbling).
 */
export const SOUND_CHANCE_PCT = 94

export const SOAK_POINTS = { dry: 0, handled: -2, oily: -12, 'oil-soaked': -27 } as const
export const EARLIER_POINTS = { none: 0, weld: -8, epoxy: -6, insert: -3, braze: -30 } as const
export const FUSION_POINTS = { good: 0, fair: -7, poor: -22, never: -88 } as const
export const LOAD_POINTS = { seal: -3, static: 0, cyclic: -12 } as const
/** A repair without the cause comes back. */
export const CAUSE_POINTS = { unknown: -8, known: -4, 'put-right': 0 } as const
export const THIN_WALL_MM = 2
export const THIN_WALL_POINTS = -10
export const HEAVY_WALL_MM = 16
export const HEAVY_WALL_POINTS = -5
export const LEAST_CHANCE_PCT = 2
export const MOST_CHANCE_PCT = 98

/** Below the first the answer is no; below the second, or under repeated load, only with limits. */
export const DECLINE_BELOW_PCT = 35
export const LIMITS_BELOW_PCT = 75
/** A repair dearer than this share of new is not worth the risk. */
/** Past this probability of a metal that is not fusion welded the answer is no. */
export const HOPELESS_AT = 0.5
export const TOO_DEAR_SHARE = 0.8
/** A new one this far off, in weeks, is worth a dearer repair: up to its full price. */
export const LONG_WAIT_WEEKS = 8

export const SAFETY_CRITICAL = ['none', 'wheel', 'steering-brake', 'lifting', 'pressure', 'aircraft'] as const
export type SafetyCritical = (typeof SAFETY_CRITICAL)[number]
