import { lastAxis, nextAxis, type Bend, type Flat, type Form, type Prism, type Round } from './forms'

/** Signed distance from a point to a solid's skin, mm: negative inside. Exact near the skin, a bound further off. */
export type Distance = (xMm: number, yMm: number, zMm: number) => number

const drawnOut = (across: number, along: number) =>
  Math.hypot(Math.max(across, 0), Math.max(along, 0)) + Math.min(Math.max(across, along), 0)

function block([x0, y0, z0]: readonly number[], [x1, y1, z1]: readonly number[]): Distance {
  const [cx, cy, cz] = [(x0! + x1!) / 2, (y0! + y1!) / 2, (z0! + z1!) / 2]
  const [hx, hy, hz] = [(x1! - x0!) / 2, (y1! - y0!) / 2, (z1! - z0!) / 2]
  return (x, y, z) => {
    const [qx, qy, qz] = [Math.abs(x - cx) - hx, Math.abs(y - cy) - hy, Math.abs(z - cz) - hz]
    return Math.hypot(Math.max(qx, 0), Math.max(qy, 0), Math.max(qz, 0)) + Math.min(Math.max(qx, qy, qz), 0)
  }
}

function round({ axis, centre: [u, v], radius, from, to }: Round): Distance {
  const [next, last, middle, half] = [nextAxis(axis), lastAxis(axis), (from + to) / 2, (to - from) / 2]
  return (x, y, z) => {
    const at = [x, y, z]
    return drawnOut(Math.hypot(at[next]! - u, at[last]! - v) - radius, Math.abs(at[axis]! - middle) - half)
  }
}

/** Signed distance to the rings' edge in their plane, by the even–odd rule. */
export function inPlane(rings: readonly (readonly Flat[])[], a: number, b: number): number {
  let least = Infinity
  let inside = false
  // Plain indices: this is the innermost loop of cutting a part into cells.
  for (const ring of rings) {
    let x0 = ring.at(-1)?.[0] ?? 0
    let y0 = ring.at(-1)?.[1] ?? 0
    for (let n = 0; n < ring.length; n++) {
      const x1 = ring[n]![0]
      const y1 = ring[n]![1]
      const dx = x1 - x0
      const dy = y1 - y0
      const share = Math.min(1, Math.max(0, ((a - x0) * dx + (b - y0) * dy) / (dx * dx + dy * dy || 1)))
      const offX = a - x0 - share * dx
      const offY = b - y0 - share * dy
      const off = offX * offX + offY * offY
      if (off < least) least = off
      if (y0 > b !== y1 > b && a < x0 + ((b - y0) * dx) / dy) inside = !inside
      x0 = x1
      y0 = y1
    }
  }
  return inside ? -Math.sqrt(least) : Math.sqrt(least)
}

/**
 * Further than this from the box round its outline, a prism's distance is the box's: a bound, for a small part of the
 * work. In diagonals of the box, and at least, mm: coarser than any cell, so that near the skin it stays exact.
 */
const AWAY = { share: 0.25, leastMm: 12 }

function prism({ axis, rings, from, to }: Prism): Distance {
  const [next, last, middle, half] = [nextAxis(axis), lastAxis(axis), (from + to) / 2, (to - from) / 2]
  const all = rings.flat()
  const [as, bs] = [all.map(([a]) => a), all.map(([, b]) => b)]
  const [a0, a1, b0, b1] = [Math.min(...as), Math.max(...as), Math.min(...bs), Math.max(...bs)]
  const awayMm = Math.max(AWAY.leastMm, AWAY.share * Math.hypot(a1 - a0, b1 - b0))
  return (x, y, z) => {
    const a = next === 0 ? x : next === 1 ? y : z
    const b = last === 0 ? x : last === 1 ? y : z
    const along = axis === 0 ? x : axis === 1 ? y : z
    const boxMm = Math.hypot(Math.max(a0 - a, 0, a - a1), Math.max(b0 - b, 0, b - b1))
    return drawnOut(boxMm > awayMm ? boxMm : inPlane(rings, a, b), Math.abs(along - middle) - half)
  }
}

function bend({ axis, centre: [u, v], bendMm, radius, level }: Bend): Distance {
  const [next, last] = [nextAxis(axis), lastAxis(axis)]
  return (x, y, z) => {
    const at = [x, y, z]
    const [a, b, c] = [at[next]! - u, at[last]! - v, at[axis]! - level]
    const tube = Math.hypot(Math.hypot(a, b) - bendMm, c) - radius
    return drawnOut(tube, Math.max(-a, -b))
  }
}

export const distanceOf = (form: Form): Distance => {
  if (form.form === 'block') return block(form.low, form.high)
  if (form.form === 'round') return round(form)
  return form.form === 'prism' ? prism(form) : bend(form)
}
