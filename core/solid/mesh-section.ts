import { lastAxis, nextAxis, type Axis, type Flat } from './forms'
import type { Ring } from './section'

/** Ends nearer than this belong together, mm: corners of files are written to about this. */
const SNAP_MM = 1e-3
/** A plane is nudged by this off the corners it might run through, mm. */
const NUDGE_MM = 1.7e-5

/** Chains the pieces of a cut into closed lines; what doesn't close is left out. */
function chained(pieces: readonly (readonly [Flat, Flat])[]): Ring[] {
  const key = ([u, v]: Flat) => `${Math.round(u / SNAP_MM)},${Math.round(v / SNAP_MM)}`
  const from = new Map<string, [Flat, Flat][]>()
  for (const piece of pieces)
    for (const [a, b] of [piece, [piece[1], piece[0]] as const]) {
      const list = from.get(key(a)) ?? []
      list.push([a, b])
      from.set(key(a), list)
    }
  const used = new Set<string>()
  const edge = (a: Flat, b: Flat) => [key(a), key(b)].sort().join(';')
  const rings: Ring[] = []
  for (const [start, first] of pieces) {
    if (used.has(edge(start, first))) continue
    used.add(edge(start, first))
    const ring: Flat[] = [start]
    let at = first
    while (key(at) !== key(start)) {
      ring.push(at)
      const next = from.get(key(at))?.find(([a, b]) => !used.has(edge(a, b)))
      if (!next) break
      used.add(edge(...next))
      at = next[1]
    }
    if (key(at) === key(start) && ring.length > 2) rings.push(ring)
  }
  return rings
}

/** Triangles cut by planes across an axis at several heights: closed lines in (u, v) at each. */
export function meshSlices(trianglesMm: readonly number[], axis: Axis, heights: readonly number[]): Ring[][] {
  const pieces: [Flat, Flat][][] = heights.map(() => [])
  const [next, last] = [nextAxis(axis), lastAxis(axis)]
  for (let t = 0; t + 8 < trianglesMm.length; t += 9) {
    const corner = (n: number, way: Axis) => trianglesMm[t + 3 * n + way]!
    const high = [corner(0, axis), corner(1, axis), corner(2, axis)]
    const [least, most] = [Math.min(...high), Math.max(...high)]
    for (let h = 0; h < heights.length; h++) {
      const at = heights[h]! + NUDGE_MM
      if (at <= least || at >= most) continue
      const ends: Flat[] = []
      for (let n = 0; n < 3; n++) {
        const m = (n + 1) % 3
        if (high[n]! > at === high[m]! > at) continue
        const share = (at - high[n]!) / (high[m]! - high[n]!)
        const between = (way: Axis) => corner(n, way) + share * (corner(m, way) - corner(n, way))
        ends.push([between(next), between(last)])
      }
      if (ends.length === 2) pieces[h]!.push([ends[0]!, ends[1]!])
    }
  }
  return pieces.map(chained)
}

export const meshSection = (trianglesMm: readonly number[], axis: Axis, at: number): Ring[] =>
  meshSlices(trianglesMm, axis, [at])[0]!
