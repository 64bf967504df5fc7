/** Below this there is no telling one way from another, MPa. */
const NO_STRESS_MPA = 1e-9

/** The greatest pull in a place, and which way it goes. */
export interface Tension {
  mpa: number
  /** A direction of length 1; either way along it is the same. */
  along: [number, number, number]
}

const length = (v: readonly number[]) => Math.hypot(v[0]!, v[1]!, v[2]!)
const crossed = (a: readonly number[], b: readonly number[]): [number, number, number] => [
  a[1]! * b[2]! - a[2]! * b[1]!,
  a[2]! * b[0]! - a[0]! * b[2]!,
  a[0]! * b[1]! - a[1]! * b[0]!,
]

/** Greatest principal value of xx yy zz xy yz zx. Source: Smith 1961, by the deviator's third invariant. */
export function greatestPrincipal(stress: ArrayLike<number>, at = 0): number {
  const [x, y, z] = [stress[at]!, stress[at + 1]!, stress[at + 2]!]
  const [xy, yz, zx] = [stress[at + 3]!, stress[at + 4]!, stress[at + 5]!]
  const mean = (x + y + z) / 3
  const [a, b, c] = [x - mean, y - mean, z - mean]
  const size = Math.sqrt((a * a + b * b + c * c + 2 * (xy * xy + yz * yz + zx * zx)) / 6)
  if (size < NO_STRESS_MPA) return mean
  const third = (a * (b * c - yz * yz) - xy * (xy * c - yz * zx) + zx * (xy * yz - b * zx)) / (2 * size ** 3)
  return mean + 2 * size * Math.cos(Math.acos(Math.min(1, Math.max(-1, third))) / 3)
}

/** The greatest pull and its direction: square to the two rows of (stress − its value) that are least alike. */
export function greatestTension(stress: ArrayLike<number>, at = 0): Tension {
  const mpa = greatestPrincipal(stress, at)
  const [xy, yz, zx] = [stress[at + 3]!, stress[at + 4]!, stress[at + 5]!]
  const rows = [
    [stress[at]! - mpa, xy, zx],
    [xy, stress[at + 1]! - mpa, yz],
    [zx, yz, stress[at + 2]! - mpa],
  ]
  const square = [crossed(rows[0]!, rows[1]!), crossed(rows[1]!, rows[2]!), crossed(rows[2]!, rows[0]!)]
  const best = square.reduce((found, each) => (length(each) > length(found) ? each : found))
  if (length(best) > 1e-9 * (mpa * mpa || 1))
    return { mpa, along: best.map(value => value / length(best)) as Tension['along'] }
  // Two ways pull alike: any direction square to the one row that is left is as good.
  const row = rows.reduce((found, each) => (length(each) > length(found) ? each : found))
  const aside = crossed(row, Math.abs(row[0]!) < Math.abs(row[1]!) ? [1, 0, 0] : [0, 1, 0])
  const long = length(aside)
  return { mpa, along: long > 0 ? (aside.map(value => value / long) as Tension['along']) : [1, 0, 0] }
}
