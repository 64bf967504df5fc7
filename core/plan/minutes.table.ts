/**
 * Minutes of hand work by phase. Common practice (no source) and judgement; the shop's own records may later move them.
 */
export const DEGREASE_MIN = { dry: 3, handled: 5, oily: 12, 'oil-soaked': 22 } as const
export const BOIL_OUT_ARC_MIN = { dry: 0, handled: 0.5, oily: 3, 'oil-soaked': 9 } as const
export const UNCOAT_MIN = 6
export const EARLIER_REPAIR_MIN = { none: 0, weld: 10, epoxy: 12, insert: 8, braze: 12 } as const
export const FIND_ENDS_MIN = 4
export const STOP_HOLES_MIN = 4
export const GROOVE_MIN_PER_CM3 = 2.2
export const SET_UP_WELD_MIN = 6
/** Brushing, turning and looking between passes. */
export const BETWEEN_PASSES_MIN = 0.7
export const FACE_SET_UP_MIN = 12
export const FACE_MIN_PER_CUT = 2.5
export const DRESS_MIN = 8
export const PROTECT_MIN_EACH = 3
/** An oven bake for an oil-soaked part: unattended. */
export const BAKE_MIN = 60
export const BAKE_C = 200
export const COOL_MIN = 25

/** Clamping the earth, looking whether it is clean: judgement. */
export const EARTH_MIN = 2
export const CLEAN_CHECK_MIN = 3
export const FLUX_MIN = 2
