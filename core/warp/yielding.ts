/** Past yield by no more than rounding, a share of it, a cell does not flow. */
const TINY = 1e-12

/** Von Mises stress of xx yy zz xy yz zx, MPa. */
export function misesOf(stress: ArrayLike<number>, at = 0): number {
  const [x, y, z] = [stress[at]!, stress[at + 1]!, stress[at + 2]!]
  const [xy, yz, zx] = [stress[at + 3]!, stress[at + 4]!, stress[at + 5]!]
  return Math.sqrt(0.5 * ((x - y) ** 2 + (y - z) ** 2 + (z - x) ** 2) + 3 * (xy * xy + yz * yz + zx * zx))
}

/**
 * What a stress past yield leaves behind as strain, brought back along its own way: perfectly plastic von Mises metal.
 * Adds it to `plastic` (engineering shear) from `at`; tells whether there was any.
 * Source: Wilkins 1964, radial return.
 */
export function returned(
  trial: ArrayLike<number>,
  yieldMPa: number,
  shearMPa: number,
  plastic: Float64Array,
  at: number,
): boolean {
  const mises = misesOf(trial)
  if (mises <= yieldMPa * (1 + TINY)) return false
  const mean = (trial[0]! + trial[1]! + trial[2]!) / 3
  const share = (mises - yieldMPa) / (2 * shearMPa) / mises
  for (let n = 0; n < 3; n++) plastic[at + n]! += share * (trial[n]! - mean)
  for (let n = 3; n < 6; n++) plastic[at + n]! += 2 * share * trial[n]!
  return true
}
