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
  let [least, inside] = [Infinity, false]
  for (const ring of rings)
    for (let n = 0, last = ring.length - 1; n < ring.length; last = n++) {
      const [[x0, y0], [x1, y1]] = [ring[last]!, ring[n]!]
      const [dx, dy] = [x1 - x0, y1 - y0]
      const share = Math.min(1, Math.max(0, ((a - x0) * dx + (b - y0) * dy) / (dx * dx + dy * dy || 1)))
      least = Math.min(least, Math.hypot(a - x0 - share * dx, b - y0 - share * dy))
      if (y0 > b !== y1 > b && a < x0 + ((b - y0) * dx) / dy) inside = !inside
    }
  return inside ? -least : least
}

function prism({ axis, rings, from, to }: Prism): Distance {
  const [next, last, middle, half] = [nextAxis(axis), lastAxis(axis), (from + to) / 2, (to - from) / 2]
  return (x, y, z) => {
    const at = [x, y, z]
    return drawnOut(inPlane(rings, at[next]!, at[last]!), Math.abs(at[axis]! - middle) - half)
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
