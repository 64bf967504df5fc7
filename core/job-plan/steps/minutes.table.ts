/** Minutes of what is done once for a part. Common practice, no source. */
export const LOOK_MIN = 6
/** Each thing that may not move, measured before anything is heated. */
export const MEASURE_BEFORE_MIN = 1
/** Looking at one place of a part that is mended elsewhere. */
export const LOOK_AT_MIN = 1.5
export const EARTH_MIN = 0.5
export const CLEAN_LOOK_MIN = 0.5
export const FLUX_MIN = 0.5
/** Off the cold bench on to two strips, before it is warmed. */
export const INSULATE_MIN = 0.3
/**
 * Kept warm until nothing more leaves it, min, by why it was warmed: moisture, oil, frost. By itself, and judged by
 * what comes out. Common practice, no source.
 */
export const SOAK_MIN: Readonly<Record<string, number>> = { 'thick-wall': 3, 'drives-oil-out': 6, 'cold-part': 2 }
export const TORCH_OUT_MIN = 1.5
export const WIPE_AGAIN_MIN = 0.6
/** Warming a boss for its slug where there is no torch: in an oven or with hot water. */
export const OVEN_WARM_MIN = 6

/**
 * Boiling out by dirt: minutes of arc without rod, to begin and for each 100 mm of run; grinding out what it brought
 * up. Common practice, no source: one to three minutes along 110 mm of an oil-soaked crack, two to four of grinding.
 */
export const BOIL_OUT = {
  dry: { startMin: 0, per100Mm: 0, grindStartMin: 0, grindPer100Mm: 0 },
  handled: { startMin: 0, per100Mm: 0, grindStartMin: 0, grindPer100Mm: 0 },
  oily: { startMin: 0.3, per100Mm: 0.7, grindStartMin: 0.5, grindPer100Mm: 1 },
  'oil-soaked': { startMin: 0.6, per100Mm: 1.5, grindStartMin: 1, grindPer100Mm: 1.6 },
} as const
/** The arc that boils out is a gentle one: this share of what the wall wants. Common practice, no source. */
export const BOIL_SHARE = 0.45
/** A bake is worth its hour from this heat, °C. Judgement. */
export const LEAST_BAKE_C = 95
