import { lastAxis, nextAxis, type Axis, type Triple } from './forms'

/** A ray is moved off its place by this, mm, so that it does not run along an edge drawn on round figures. */
const NUDGE_MM = [1.37e-4, 2.71e-4] as const

/**
 * Stretches of metal along an axis through a place, from low to high: every triangle is crossed by a ray along that
 * axis, and what lies between a first and a second crossing is metal (even–odd rule). Of an open mesh the last, odd
 * crossing is left out.
 */
export function meshStretches(trianglesMm: ArrayLike<number>, axis: Axis, at: Readonly<Triple>): [number, number][] {
  const [p, q] = [nextAxis(axis), lastAxis(axis)]
  const [u, v] = [at[p] + NUDGE_MM[0], at[q] + NUDGE_MM[1]]
  const crossings: number[] = []
  for (let n = 0; n < trianglesMm.length; n += 9) {
    const corner = (k: number, way: Axis) => trianglesMm[n + 3 * k + way]!
    const side = (a: number, b: number) =>
      (corner(b, p) - corner(a, p)) * (v - corner(a, q)) - (corner(b, q) - corner(a, q)) * (u - corner(a, p))
    const [c, a, b] = [side(0, 1), side(1, 2), side(2, 0)]
    const area = a + b + c
    if (area === 0 || a < 0 !== b < 0 || b < 0 !== c < 0) continue
    crossings.push((a * corner(0, axis) + b * corner(1, axis) + c * corner(2, axis)) / area)
  }
  crossings.sort((x, y) => x - y)
  return crossings.flatMap((from, n): [number, number][] =>
    n % 2 || crossings[n + 1] === undefined ? [] : [[from, crossings[n + 1]!]],
  )
}
