import type { Alloy } from '../metal/alloys.table'

/** How a place stands a load that comes and goes: the range that two million may have, MPa, and the slope. */
export interface Category {
  mPa: number
  slope: number
  source: string
}

const IIW = 'IIW recommendations for fatigue design (Hobbacher), aluminium, from memory'
/**
 * Classes by place. Welded: transverse butt welds as a bench lays them, neither ground nor X-rayed. Plain: rolled or
 * extruded metal of the 5xxx and 6xxx, of the 7xxx.
 */
const WELDED: Category = { mPa: 32, slope: 3, source: `class of a transverse butt weld as laid: ${IIW}` }
const PLAIN: Category = { mPa: 71, slope: 5, source: `class of plain metal: ${IIW}` }
const PLAIN_7: Category = { mPa: 80, slope: 5, source: `class of plain 7xxx metal: ${IIW}` }
/** Pores and a cast skin start cracks sooner than a rolled surface does. Judgement. */
const CAST: Category = {
  mPa: 50,
  slope: 5,
  source: 'plain castings: judgement, below the class of plain wrought metal',
}

/** The class of a place where nobody says one. Metal beside a weld is plain: softening does not lower its class. */
export function categoryOf(
  place: 'base' | 'weld' | 'softened',
  { form, family }: Pick<Alloy, 'form' | 'family'>,
): Category {
  if (place === 'weld') return WELDED
  if (form === 'cast') return CAST
  return family.startsWith('wrought-7') ? PLAIN_7 : PLAIN
}

/** Loads that a class is named for. */
const NAMED_AT = 2e6
/** A class is what nearly all survive; the middle of them, and the most, as multiples of that. */
const [MIDDLE, MOST] = [3, 10]
/** More than this is for ever, as far as anybody tries. */
const FOR_EVER = 1e12

/** How often a range of stress may come and go: low is what nearly all survive. */
export function lifeOf(
  rangeMPa: number,
  { mPa, slope }: Category,
): { cycles: number; lowCycles: number; highCycles: number } {
  const low = Math.min(FOR_EVER, NAMED_AT * (mPa / rangeMPa) ** slope)
  return { cycles: MIDDLE * low, lowCycles: low, highCycles: MOST * low }
}
