import { SOLUTES, SOLUTE_NAMES } from './solutes.table'
import { freezingPath, temperatureAt, type FreezingPath } from './solidification'

export type CrackRating = 'low' | 'moderate' | 'high' | 'severe'

export interface CrackParts {
  /** Index: 0 best; 1 is bare 6061 melted with no filler. */
  index: number
  rating: CrackRating
  /** Fall of temperature while only films are left, K, above and below the temperature where restraint has built up. */
  lateDropK: number
  persistentDropK: number
  /** Growth-restriction factor Σ m (k − 1) C, K. */
  restrictionK: number
  path: FreezingPath
}

/**
 * Constants of the criterion. Judgement, set once so that the peaks lie where the published cracking curves have them
 * (Singer and Jennings 1946–47; Pumphrey and Lyons 1948; Dudas and Collins 1966).
 */
/** Films only: from this solid fraction on liquid no longer runs in freely. */
const FILM_FRACTION = 0.85
/** Below this a joint's contraction has built up whatever the metal above did. */
const RESTRAINT_C = 560
/** Growth restriction at which grains are fine enough to share the strain, and how sharply. */
const RESTRICTION_K = 7.5
const RESTRICTION_POWER = 6
/** Eutectic liquid that refills what opens, and how sharply. */
const HEALING_FRACTION = 0.35
const HEALING_POWER = 4
/** From this share of copper, zinc and silicon in the last liquid on, a film is as weak as any. */
const WEAK_SHARE = 0.5

/** Upper bounds of the ratings: judgement. */
const RATINGS: readonly (readonly [upTo: number, rating: CrackRating])[] = [
  [0.12, 'low'],
  [0.5, 'moderate'],
  [0.8, 'high'],
  [Infinity, 'severe'],
]

/** Growth-restriction factor, K (Easton and StJohn 1999). */
export function growthRestrictionK(pct: Readonly<Record<string, number>>): number {
  return SOLUTE_NAMES.reduce((sum, name) => sum + SOLUTES[name]!.m * (SOLUTES[name]!.k - 1) * (pct[name] ?? 0), 0)
}

function rawIndex(pct: Readonly<Record<string, number>>): Omit<CrackParts, 'index' | 'rating'> & { raw: number } {
  const path = freezingPath(pct)
  const filmC = temperatureAt(path, FILM_FRACTION)
  const lateDropK = Math.max(0, filmC - Math.max(path.solidusC, RESTRAINT_C))
  const persistentDropK = Math.max(0, Math.min(filmC, RESTRAINT_C) - path.solidusC)
  const restrictionK = growthRestrictionK(pct)
  const coarse = 1 / (1 + (restrictionK / RESTRICTION_K) ** RESTRICTION_POWER)
  const unhealed = 1 / (1 + (path.eutecticFraction / HEALING_FRACTION) ** HEALING_POWER)
  return {
    raw: lateDropK * coarse + persistentDropK * unhealed * Math.min(1, path.weakFilmShare / WEAK_SHARE),
    lateDropK,
    persistentDropK,
    restrictionK,
    path,
  }
}

const BARE_6061 = rawIndex({ Si: 0.6, Cu: 0.275, Mg: 1.0 }).raw

/**
 * Hot-cracking index of a weld metal.
 *
 * From its own freezing path: (fall of temperature while only films are left, above 560 °C) ÷ (1 + growth restriction)
 * plus (fall below 560 °C) × (films that eutectic cannot refill) × (share of the last liquid's depression not due to
 * magnesium), over the same for bare 6061. The first term is the shrinkage that thin films must bear (after Kou 2015),
 * shared out by fine grains (Easton and StJohn 1999); the second is a film that persists while the joint pulls
 * (Al-Cu-Mg, Al-Zn-Mg-Cu).
 * @param pct weight percent by element
 * Accuracy: ranks and peaks against published curves and recommendations (docs/method.md); it is no stress analysis.
 */
export function crackIndex(pct: Readonly<Record<string, number>>): CrackParts {
  const { raw, ...parts } = rawIndex(pct)
  const index = raw / BARE_6061
  return { index, rating: RATINGS.find(([upTo]) => index < upTo)![1], ...parts }
}
