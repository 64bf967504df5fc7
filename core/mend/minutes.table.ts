/**
 * Minutes of hand and machine by step. Common practice (no source) and judgement; the whole jobs of the trade hold them
 * (trade.test.ts).
 */
export const FIND_ENDS_MIN = 0.6
export const STOP_HOLE_MIN = 0.6
/** Cutting metal out with a burr or disc: to begin, and for each cubic centimetre. */
export const CUT_START_MIN = 0.7
export const CUT_MIN_PER_CM3 = 2.2
export const WIPE_MIN = 0.6
/** Copper held behind thin metal, over the walls where it is wanted less and less, mm. */
export const COPPER = { handMin: 0.5, belowMm: 3.5, aboveMm: 4.5 } as const
/** Setting a broken piece, clamping and tacking: to begin, and for each mm of the break. */
export const LOCATE_MIN = 6
export const LOCATE_BREAK = { startMin: 3.5, perMm: 0.05 } as const
/** Grinding the far side of a kept break back to sound weld. */
export const BACK_GRIND = { startMin: 1.5, perMm: 0.04 } as const
/** Dressing by hand: to begin and for each cm²; roughly, blended, and a seat to size. */
export const ROUGH = { startMin: 0.4, perCm2: 0.3 } as const
export const BLEND = { startMin: 3, perCm2: 1 } as const
export const SEAT = { startMin: 22, perCm2: 2 } as const
/** A flat face, to a straightedge. */
export const FLAT_SEAT = { startMin: 6, perCm2: 1 } as const
/** High spots of a fillet, which is left as it is laid but for them. */
export const ROUGH_FILLET = { startMin: 0.4, perCm2: 0.06 } as const
/** A patch with the hole it goes in; the hole alone. */
export const PATCH_CUT_MIN = 25
export const WINDOW_CUT_MIN = 10
export const PATCH_LAP_MIN = 6
export const PLATE_CUT_MIN = 15
export const JOINT_FIT_MIN = 6
export const HOLE_PREP_MIN = 1.5
export const STUD_OUT_MIN = 18
export const INSERT_OUT_MIN = 8
export const PRESS_STEP_MIN = 8
/** At the machine: a facing cut over so many cm², boring, drilling and tapping one hole. */
export const FACE_CUT_MIN = 2
export const FACE_CUT_MIN_PER_CM2 = 0.04
export const BORE_MIN = 14
/** A hole bored for a slug. */
export const SLUG_BORE_MIN = 6
export const DRILL_TAP_MIN = 8
/** Turning a slug, its hours in the freezer, and pressing it home once the body is warm. */
export const SLUG_TURN_MIN = 6
export const FREEZE_MIN = 120
export const SHRINK_MIN = 1.5
export const TURN_CUT_MIN = 5
/** Setting mill or lathe up, once for the part; and finding each mend on it. */
export const MILL_SET_UP_MIN = 10
export const MILL_FIND_MIN = 3

/** Taking in, and setting up to weld: once for the part. */
export const TAKE_IN_MIN = 1.5
export const WELD_SET_UP_MIN = 2
export const BRAZE_SET_UP_MIN = 3
export const DEGREASE_MIN = { dry: 1.5, handled: 2.5, oily: 10, 'oil-soaked': 20 } as const
/** Taking an earlier repair right out. */
export const EARLIER_REPAIR_MIN = { none: 0, weld: 10, epoxy: 12, insert: 8, braze: 12 } as const
/** Baring a coated place, so far beyond the bead on each side: to begin and for each cm². */
export const UNCOAT = { startMin: 0.3, perCm2: 0.1, besideMm: 12 } as const
export const PROTECT_MIN_EACH = 3
/** Brushing, turning and looking between passes. */
export const BETWEEN_PASSES_MIN = 0.25
/** Runs by itself: a bake for an oil-soaked part, and the cooling after a flame. */
export const BAKE_MIN = 60
export const BAKE_C = 200
export const COOL_MIN = 12
