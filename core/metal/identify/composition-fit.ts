import type { Alloy } from '../alloys.table'

/** Limit of an element that an alloy's own list does not name: the usual "others, each". */
const OTHERS_PCT = 0.15

/** Least and most of an element that an alloy allows, weight percent. */
export function limitsOf(alloy: Alloy, element: string): readonly [min: number, max: number] {
  const limit = alloy.limits[element] ?? OTHERS_PCT
  return typeof limit === 'number' ? [0, limit] : limit
}

/**
 * How well an analyser's reading fits an alloy's limits: 1 inside every limit, falling as a Gaussian outside.
 * One standard deviation of a reading is 8 % of it, at least 0.06 % (hand-held analysers on silicon and magnesium are
 * no better): judgement.
 * Elements the reading does not list do not count; an element the limits do not list is held to 0.15 % (the usual
 * "others").
 */
export function compositionFit(pct: Readonly<Record<string, number>>, alloy: Alloy): number {
  let squares = 0
  for (const [element, measured] of Object.entries(pct)) {
    if (element === 'Al' && !('Al' in alloy.limits)) {
      const others = Object.values(alloy.pct).reduce((sum, value) => sum + value, 0)
      squares += (Math.max(0, Math.abs(measured - (100 - others)) - 3) / 2) ** 2
      continue
    }
    const [min, max] = limitsOf(alloy, element)
    const deviation = Math.max(0.06, 0.08 * measured)
    squares += (Math.max(0, min - measured, measured - max) / deviation) ** 2
  }
  return Math.exp(-squares / 2)
}
