import type { ValuesOf } from '../../field/field'
import type { fields } from './fields'
import { roundOf } from './pocket'

/**
 * Opened to this included angle from the side it is filled from, degrees; a plated one is drilled out one size, mm.
 * Common practice, no source.
 */
const OPEN_DEG = 60
const ONE_SIZE_MM = 0.5
const BLIND_SHARE = 2 / 3

type Values = ValuesOf<typeof fields>
/** A pocket of any outline is blind, and counts as the round hole that holds as much. */
export const throughOf = ({ through, pocket }: Values): boolean => through && !pocket
export const diameterOf = ({ diameterMm = 0, pocket }: Values): number => (pocket ? roundOf(pocket) : diameterMm)

/** The cone that a hole is opened to before it is filled: across its bottom, across its mouth, and how deep. */
export function coneOf(values: Values, wallMm: number) {
  const deepMm = throughOf(values) ? wallMm : values.deepMm || BLIND_SHARE * wallMm
  const acrossMm = diameterOf(values) + (values.plated ? ONE_SIZE_MM : 0)
  return { acrossMm, deepMm, mouthMm: acrossMm + 2 * deepMm * Math.tan(((OPEN_DEG / 2) * Math.PI) / 180) }
}
