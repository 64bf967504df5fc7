import { differenceD, FillRule, type PathsD } from 'clipper2-ts'
import { distanceTo, type Assembly } from './assembly'
import { place, reach, type Axis, type Bend, type Flat, type Form, type Prism, type Round, type Triple } from './forms'
import { less, raysThrough } from './rays'
import { DECIMALS, ROUND, sectionAt, toPaths, type Ring } from './section'

/** A flat piece of skin across an axis: an outer line and the holes in it. */
export interface FlatSkin {
  axis: Axis
  at: number
  outer: Ring
  holes: Ring[]
}
/** The skin of a solid for drawing: flat pieces, small four-sided ones where it is round, and the edges to be seen. */
export interface Skin {
  flats: FlatSkin[]
  quads: [Triple, Triple, Triple, Triple][]
  lines: [Triple, Triple][]
}

/** How far to either side of a skin metal and air are looked for, mm. */
const ASIDE_MM = 2e-3
/** A straight side of an outline is looked over in pieces no longer than this share of the part. */
const SIDE_SHARE = 1 / 40
/** Corners of an outline that turn more than this are seen as edges. */
const CORNER_DEG = 24
const BEND_ROUND = 24
const BEND_ALONG = 18

const areaOf = (ring: Ring) =>
  ring.reduce((sum, [x, y], n) => {
    const [p, q] = ring[(n + 1) % ring.length]!
    return sum + (x * q - p * y) / 2
  }, 0)
function holds(ring: Ring, [x, y]: Flat): boolean {
  let inside = false
  ring.forEach(([x1, y1], n) => {
    const [x0, y0] = ring[(n || ring.length) - 1]!
    if (y0 > y !== y1 > y && x < x0 + ((y - y0) * (x1 - x0)) / (y1 - y0)) inside = !inside
  })
  return inside
}
/** Slivers smaller than this come of faces that nearly lie on one another, mm². */
const SLIVER_MM2 = 1e-3

/** Lines of a boolean result as outer ones with their holes: the library runs holes the other way round. */
function nested(paths: PathsD): Omit<FlatSkin, 'axis' | 'at'>[] {
  const rings = paths
    .map((path): Ring => path.map(({ x, y }): Flat => [x, y]))
    .filter(ring => Math.abs(areaOf(ring)) > SLIVER_MM2)
  const holes = rings.filter(ring => areaOf(ring) < 0)
  return rings
    .filter(ring => areaOf(ring) > 0)
    .map(outer => ({ outer, holes: holes.filter(hole => holds(outer, hole[0]!)) }))
}

/** Heights along an axis at which flat skin can lie. */
function planes({ pieces }: Assembly, axis: Axis): number[] {
  const at = pieces
    .flatMap(piece => [...piece.adds, ...piece.cuts])
    .flatMap(form => {
      const { low, high } = reach(form)
      if (form.form === 'bend') return form.axis === axis ? [] : [low[axis]]
      return form.form === 'block' || form.axis === axis ? [low[axis], high[axis]] : []
    })
  return [...new Set(at.map(value => Math.round(value * 1e4) / 1e4))]
}
function flatSkins(assembly: Assembly, axis: Axis): FlatSkin[] {
  return planes(assembly, axis).flatMap(at => {
    const [below, above] = [at - ASIDE_MM, at + ASIDE_MM].map(height => toPaths(sectionAt(assembly, axis, height))) as [
      PathsD,
      PathsD,
    ]
    const faces = [
      ...(below.length ? nested(differenceD(below, above, FillRule.EvenOdd, DECIMALS)) : []),
      ...(above.length ? nested(differenceD(above, below, FillRule.EvenOdd, DECIMALS)) : []),
    ]
    return faces.map(face => ({ ...face, axis, at }))
  })
}

/** Where a side at two points, just inside and just outside a form, has metal on one hand alone. */
function stretches(rays: ReturnType<typeof raysThrough>, inside: Flat, outside: Flat, from: number, to: number) {
  const [a, b] = [rays(inside[0])(inside[1]), rays(outside[0])(outside[1])]
  return [less(a, b), less(b, a)].flatMap(found =>
    found.flatMap((low, n): [number, number][] => {
      if (n % 2) return []
      const [start, end] = [Math.max(from, low.at), Math.min(to, found[n + 1]!.at)]
      return end - start > ASIDE_MM ? [[start, end]] : []
    }),
  )
}

/** Sides of a form that stand along its axis: its outline as short pieces, each with the way out of it. */
function sidesOf(form: Round | Prism, longest: number): { a: Flat; b: Flat; corner: boolean }[] {
  if (form.form === 'round') {
    const [u, v] = form.centre
    const at = (n: number): Flat => {
      const angle = (2 * Math.PI * n) / ROUND
      return [u + form.radius * Math.cos(angle), v + form.radius * Math.sin(angle)]
    }
    return Array.from({ length: ROUND }, (_, n) => ({ a: at(n), b: at(n + 1), corner: false }))
  }
  return form.rings.flatMap(ring =>
    ring.flatMap((b, n) => {
      const [a, before] = [ring[(n || ring.length) - 1]!, ring[(n + 2 * ring.length - 2) % ring.length]!]
      const turn = Math.abs(Math.atan2(b[1] - a[1], b[0] - a[0]) - Math.atan2(a[1] - before[1], a[0] - before[0]))
      const corner = Math.min(turn, 2 * Math.PI - turn) > (CORNER_DEG * Math.PI) / 180
      const count = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / longest))
      const between = (share: number): Flat => [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])]
      return Array.from({ length: count }, (_, m) => ({
        a: between(m / count),
        b: between((m + 1) / count),
        corner: corner && m === 0,
      }))
    }),
  )
}

function standing(form: Round | Prism, assembly: Assembly, longest: number, skin: Skin) {
  const rays = raysThrough(assembly.pieces, form.axis)
  const { axis } = form
  for (const { a, b, corner } of sidesOf(form, longest)) {
    const long = Math.hypot(b[0] - a[0], b[1] - a[1])
    if (long < 1e-9) continue
    const middle: Flat = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
    // A round's chord lies inside its arc: what is looked at lies to either side of the arc itself.
    const out: Flat = [(b[1] - a[1]) / long, -(b[0] - a[0]) / long]
    const swell = form.form === 'round' ? form.radius * (1 - Math.cos(Math.PI / ROUND)) : 0
    const beside = (off: number): Flat => [middle[0] + out[0] * off, middle[1] + out[1] * off]
    for (const [from, to] of stretches(rays, beside(swell - ASIDE_MM), beside(swell + ASIDE_MM), form.from, form.to)) {
      skin.quads.push([place(axis, a, from), place(axis, b, from), place(axis, b, to), place(axis, a, to)])
      skin.lines.push([place(axis, a, from), place(axis, b, from)], [place(axis, a, to), place(axis, b, to)])
      if (corner) skin.lines.push([place(axis, a, from), place(axis, a, to)])
    }
  }
}

function bent(form: Bend, assembly: Assembly, skin: Skin) {
  const distance = distanceTo(assembly)
  const at = (along: number, about: number, off: number): Triple => {
    const [turn, angle] = [((along / BEND_ALONG) * Math.PI) / 2, (about / BEND_ROUND) * 2 * Math.PI]
    const out = form.bendMm + (form.radius + off) * Math.cos(angle)
    return place(
      form.axis,
      [form.centre[0] + out * Math.cos(turn), form.centre[1] + out * Math.sin(turn)],
      form.level + (form.radius + off) * Math.sin(angle),
    )
  }
  for (let n = 0; n < BEND_ALONG; n++)
    for (let m = 0; m < BEND_ROUND; m++) {
      const [inside, outside] = [-ASIDE_MM, ASIDE_MM].map(off => distance(...at(n + 0.5, m + 0.5, off)) < 0)
      if (inside !== outside) skin.quads.push([at(n, m, 0), at(n + 1, m, 0), at(n + 1, m + 1, 0), at(n, m + 1, 0)])
    }
}

/**
 * The skin of a solid in its place, for drawing. Flat faces are exact; round ones have 72 sides; where two round ones
 * meet, their line is true to a side's width. A closed skin for other programs comes from the mesh library instead.
 */
export function skinOf(assembly: Assembly): Skin {
  const skin: Skin = { flats: ([0, 1, 2] as const).flatMap(axis => flatSkins(assembly, axis)), quads: [], lines: [] }
  for (const { axis, at, outer, holes } of skin.flats)
    for (const ring of [outer, ...holes])
      ring.forEach((b, n) => skin.lines.push([place(axis, ring[(n || ring.length) - 1]!, at), place(axis, b, at)]))
  const longest = Math.max(...assembly.sizeMm) * SIDE_SHARE
  const forms: Form[] = assembly.pieces.flatMap(piece => [...piece.adds, ...piece.cuts])
  for (const form of forms) {
    if (form.form === 'round' || form.form === 'prism') standing(form, assembly, longest, skin)
    if (form.form === 'bend') bent(form, assembly, skin)
  }
  return skin
}
