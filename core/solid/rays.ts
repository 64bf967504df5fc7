import type { PlacedPiece } from './assembly'
import { lastAxis, nextAxis, reach, type Axis, type Bend, type Flat, type Form, type Prism, type Round } from './forms'

/** Where a ray along an axis passes a skin: how far along, mm, and how squarely it meets it, |n·axis|. */
export interface Crossing {
  at: number
  square: number
  /** On the skin of a hollow that the air cannot reach. */
  shut: boolean
}
/** Crossings in order, in and out by turns. */
export type Crossings = readonly Crossing[]
/** A ray along its axis at the two coordinates across it. */
type Ray = (u: number, v: number) => Crossings

const NONE: Crossings = []
const between = (from: number, to: number, square: number, shut: boolean): Crossings => [
  { at: from, square, shut },
  { at: to, square, shut },
]

function throughRound({ axis, centre, radius, from, to, shut = false }: Round, along: Axis): Ray {
  if (axis === along)
    return (u, v) => (Math.hypot(u - centre[0], v - centre[1]) < radius ? between(from, to, 1, shut) : NONE)
  // The ray runs along one of the round's own two ways; the other and the height are held.
  const first = nextAxis(axis) === along
  const [middle, off] = first ? centre : [centre[1], centre[0]]
  return (u, v) => {
    const [height, other] = nextAxis(along) === axis ? [u, v] : [v, u]
    const aside = other - off
    if (height <= from || height >= to || Math.abs(aside) >= radius) return NONE
    const half = Math.sqrt(radius * radius - aside * aside)
    return between(middle - half, middle + half, half / radius, shut)
  }
}

function throughPrism({ axis, rings, from, to, shut = false }: Prism, along: Axis): Ray {
  const edges = rings.flatMap(ring => ring.map((b, n): [Flat, Flat] => [ring[(n || ring.length) - 1]!, b]))
  if (axis === along)
    return (u, v) => {
      let inside = false
      for (const [[x0, y0], [x1, y1]] of edges)
        if (y0 > v !== y1 > v && u < x0 + ((v - y0) * (x1 - x0)) / (y1 - y0)) inside = !inside
      return inside ? between(from, to, 1, shut) : NONE
    }
  const [p, q] = nextAxis(axis) === along ? [0, 1] : [1, 0]
  const lines = edges.map(([a, b]) => ({
    a0: a[p]!,
    b0: a[q]!,
    a1: b[p]!,
    b1: b[q]!,
    square: Math.abs(b[q]! - a[q]!) / (Math.hypot(b[0] - a[0], b[1] - a[1]) || 1),
  }))
  return (u, v) => {
    const [height, other] = nextAxis(along) === axis ? [u, v] : [v, u]
    if (height <= from || height >= to) return NONE
    const found: Crossing[] = []
    for (const { a0, b0, a1, b1, square } of lines)
      if (b0 > other !== b1 > other) found.push({ at: a0 + ((other - b0) * (a1 - a0)) / (b1 - b0), square, shut })
    return found.sort((a, b) => a.at - b.at)
  }
}

/** A bend cut level is a quarter of a flat ring; cut along its axis, a strip as high as the tube is there. */
function throughBend({ axis, centre, bendMm, radius, level, shut = false }: Bend, along: Axis): Ray {
  if (axis === along)
    return (u, v) => {
      const [a, b] = [u - centre[0], v - centre[1]]
      const off = Math.hypot(a, b) - bendMm
      if (a <= 0 || b <= 0 || Math.abs(off) >= radius) return NONE
      const half = Math.sqrt(radius * radius - off * off)
      return between(level - half, level + half, half / radius, shut)
    }
  const first = nextAxis(axis) === along
  const [middle, aside] = first ? centre : [centre[1], centre[0]]
  return (u, v) => {
    const [height, other] = nextAxis(along) === axis ? [u, v] : [v, u]
    const [up, off] = [height - level, other - aside]
    if (Math.abs(up) >= radius || off <= 0) return NONE
    const half = Math.sqrt(radius * radius - up * up)
    const [inner, outer] = [bendMm - half, bendMm + half]
    if (off >= outer) return NONE
    // A skin that meets the ray at `t` leans by the tube's own slope there and by the way the ring turns.
    const square = (t: number) => ((half / radius) * t) / Math.hypot(t, off)
    const far = Math.sqrt(outer * outer - off * off)
    const near = off < inner ? Math.sqrt(inner * inner - off * off) : 0
    return [
      { at: middle + near, square: near > 0 ? square(near) : 1, shut },
      { at: middle + far, square: square(far), shut },
    ]
  }
}

function throughForm(form: Form, along: Axis): Ray {
  if (form.form === 'round') return throughRound(form, along)
  if (form.form === 'prism') return throughPrism(form, along)
  if (form.form === 'bend') return throughBend(form, along)
  const { low, high, shut = false } = form
  const [next, last] = [nextAxis(along), lastAxis(along)]
  const crossings = between(low[along], high[along], 1, shut)
  return (u, v) => (u > low[next] && u < high[next] && v > low[last] && v < high[last] ? crossings : NONE)
}

/** Stretches nearer than this are one, mm: faces that lie on one another. */
const TOUCH_MM = 1e-7

/** What lies in either of two lists of stretches. */
function joined(a: Crossings, b: Crossings): Crossings {
  if (!a.length) return b
  if (!b.length) return a
  const found: Crossing[] = []
  let [n, m] = [0, 0]
  while (n < a.length || m < b.length) {
    const fromA = m >= b.length || (n < a.length && a[n]!.at <= b[m]!.at)
    const [from, to] = fromA ? [a[n]!, a[n + 1]!] : [b[m]!, b[m + 1]!]
    if (fromA) n += 2
    else m += 2
    const open = found.at(-1)
    if (open && from.at <= open.at + TOUCH_MM) {
      if (to.at > open.at) found[found.length - 1] = to
    } else found.push(from, to)
  }
  return found
}

/** What lies in the first list of stretches and not in the second. */
export function less(a: Crossings, b: Crossings): Crossings {
  if (!a.length || !b.length) return a
  const found: Crossing[] = []
  for (let n = 0; n < a.length; n += 2) {
    let from = a[n]!
    const to = a[n + 1]!
    for (let m = 0; m < b.length && b[m]!.at < to.at; m += 2) {
      if (b[m + 1]!.at <= from.at) continue
      if (b[m]!.at > from.at + TOUCH_MM) found.push(from, b[m]!)
      from = b[m + 1]!
    }
    if (from.at < to.at - TOUCH_MM) found.push(from, to)
  }
  return found
}

interface Reaching {
  from: number
  to: number
  low: number
  high: number
  ray: Ray
}
function reaching(form: Form, along: Axis): Reaching {
  const { low, high } = reach(form)
  const [next, last] = [nextAxis(along), lastAxis(along)]
  return { from: low[next], to: high[next], low: low[last], high: high[last], ray: throughForm(form, along) }
}
const beside = (forms: readonly Reaching[], u: number) => forms.filter(form => u > form.from && u < form.to)
function all(forms: readonly Reaching[], u: number, v: number): Crossings {
  let found = NONE
  for (const form of forms) if (v > form.low && v < form.high) found = joined(found, form.ray(u, v))
  return found
}

/**
 * Rays along an axis through the whole: where each goes into metal and out of it. First the coordinate next after the
 * axis is given, which leaves few forms, then the last.
 */
export function raysThrough(pieces: readonly PlacedPiece[], along: Axis): (u: number) => (v: number) => Crossings {
  const made = pieces.map(({ cut, adds, cuts }) => ({
    cut,
    adds: adds.map(form => reaching(form, along)),
    cuts: cuts.map(form => reaching(form, along)),
  }))
  return u => {
    const near = made.flatMap(({ cut, adds, cuts }) => {
      const there = beside(adds, u)
      return there.length ? [{ cut, adds: there, cuts: beside(cuts, u) }] : []
    })
    return v => {
      let whole = NONE
      for (const { cut, adds, cuts } of near) {
        const solid = all(adds, u, v)
        if (!solid.length) continue
        const piece = cuts.length ? less(solid, all(cuts, u, v)) : solid
        whole = cut ? less(whole, piece) : joined(whole, piece)
      }
      return whole
    }
  }
}
