/** How dirty the metal is at the start: on its skin, and inside it. Shares of the worst there is; judgement. */
export const DIRT = {
  clean: { onSkin: 0, inside: 0 },
  handled: { onSkin: 0.12, inside: 0 },
  oily: { onSkin: 0.5, inside: 0.08 },
  'oil-soaked': { onSkin: 0.9, inside: 0.6 },
} as const
export type Dirt = keyof typeof DIRT

/** Oxide goes under the cleaning half-wave at so much a second for each 100 A and each whole share of it. Judgement. */
export const CLEANS_PER_S = 8
/** It cleans this many times as far out as its heat falls to 1/e². Common practice: the frosted band is wider. */
export const CLEANS_WIDE = 1.6
/**
 * Dirt on the skin burns off over this, °C, so much faster for each 100 K; in the melt it floats out at a rate of its
 * own, and what is inside comes up at another. Together a spot on soaked metal takes rod after some ten seconds of arc
 * and one on oily metal after five or six, as the minutes of boiling out in a plan have it: two along a crack of 110 mm
 * are nine seconds to each puddle's width. Common practice, no source.
 */
export const BURNS_FROM_C = 350
export const BURNS_PER_S = 0.03
export const FLOATS_PER_S = 0.11
export const COMES_UP_PER_S = 0.14
/** Specks to a square millimetre of the worst dirt frozen in. Judgement. */
export const SPECKS_PER_MM2 = 0.6
/** The rod wets where no more oxide than this is left on the puddle, and no more dirt. Judgement. */
export const WETS_OXIDE = 0.35
export const WETS_DIRT = 0.3
/** One dip melts off so much rod, mm: common practice, no source. */
export const DIP_MM = 5
