import type { ValuesOf } from '../../field/field'
import type { fields } from './fields'

/**
 * Opened to this included angle from the side it is filled from, degrees; a plated one is drilled out one size, mm.
 * Common practice, no source.
 */
const OPEN_DEG = 60
const ONE_SIZE_MM = 0.5
const BLIND_SHARE = 2 / 3

/** The cone that a hole is opened to before it is filled: across its bottom, across its mouth, and how deep. */
export function coneOf(values: ValuesOf<typeof fields>, wallMm: number) {
  const deepMm = values.through ? wallMm : values.deepMm || BLIND_SHARE * wallMm
  const acrossMm = values.diameterMm + (values.plated ? ONE_SIZE_MM : 0)
  return { acrossMm, deepMm, mouthMm: acrossMm + 2 * deepMm * Math.tan(((OPEN_DEG / 2) * Math.PI) / 180) }
}
