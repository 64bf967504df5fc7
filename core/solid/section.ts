import { differenceD, FillRule, unionD, type PathsD } from 'clipper2-ts'
import type { Assembly, PlacedPiece } from './assembly'
import { lastAxis, nextAxis, reach, type Axis, type Bend, type Flat, type Form, type Prism } from './forms'

/** A closed line in a plane; islands and holes stand beside one another and are told apart by the even–odd rule. */
export type Ring = readonly Flat[]

/** Decimals of a millimetre kept where outlines are joined; edges that lie together then do so exactly. */
export const DECIMALS = 4
/** Sides to a full circle in a drawing: its chord falls short by a thousandth of the radius. */
export const ROUND = 72
/** Sides to a bend's arc, and heights at which one cut along its axis is looked at. */
const BEND = 24

const rectangle = (u0: number, v0: number, u1: number, v1: number): Ring => [
  [u0, v0],
  [u1, v0],
  [u1, v1],
  [u0, v1],
]
const circle = ([u, v]: Flat, radius: number): Ring =>
  Array.from({ length: ROUND }, (_, n): Flat => {
    const angle = (2 * Math.PI * n) / ROUND
    return [u + radius * Math.cos(angle), v + radius * Math.sin(angle)]
  })

/** Where a line across a prism's outline is inside it. */
function stretches({ axis, rings }: Prism, cutAxis: Axis, at: number): [number, number][] {
  const [along, across] = nextAxis(axis) === cutAxis ? [1, 0] : [0, 1]
  const found: number[] = []
  for (const ring of rings)
    ring.forEach((b, n) => {
      const a = ring[(n || ring.length) - 1]!
      if (a[across]! > at !== b[across]! > at)
        found.push(a[along]! + ((at - a[across]!) * (b[along]! - a[along]!)) / (b[across]! - a[across]!))
    })
  found.sort((a, b) => a - b)
  return found.flatMap((from, n) =>
    n % 2 === 0 && n + 1 < found.length ? [[from, found[n + 1]!] as [number, number]] : [],
  )
}

/** A form's cut in the (u, v) order of the plane's axis, from stretches along its way and a height. */
function spanned(axis: Axis, cutAxis: Axis, way: readonly [number, number], height: readonly [number, number]): Ring {
  return nextAxis(cutAxis) === axis
    ? rectangle(height[0], way[0], height[1], way[1])
    : rectangle(way[0], height[0], way[1], height[1])
}

function bendRings({ axis, centre, bendMm, radius, level }: Bend, cutAxis: Axis, at: number): Ring[] {
  if (axis === cutAxis) {
    const half = Math.sqrt(Math.max(0, radius ** 2 - (at - level) ** 2))
    if (!half) return []
    const arc = (r: number) =>
      Array.from({ length: BEND + 1 }, (_, n): Flat => {
        const angle = (n * Math.PI) / 2 / BEND
        return [centre[0] + r * Math.cos(angle), centre[1] + r * Math.sin(angle)]
      })
    return [[...arc(bendMm - half), ...arc(bendMm + half).reverse()]]
  }
  // Cut along its axis: at each height of the tube one stretch between the inner and the outer ring.
  const first = nextAxis(axis) === cutAxis
  const off = at - centre[first ? 0 : 1]
  if (off <= 0) return []
  const middle = centre[first ? 1 : 0]
  const reachAt = (angle: number) => {
    const [up, half] = [radius * Math.sin(angle), radius * Math.cos(angle)]
    const far = (bendMm + half) ** 2 - off * off
    return far <= 0
      ? null
      : {
          up: level + up,
          far: middle + Math.sqrt(far),
          near: middle + Math.sqrt(Math.max(0, (bendMm - half) ** 2 - off * off)),
        }
  }
  const rows = Array.from({ length: 2 * BEND + 1 }, (_, n) => reachAt(((n / BEND - 1) * Math.PI) / 2)).filter(
    row => row !== null,
  )
  if (rows.length < 2) return []
  const place = (height: number, way: number): Flat => (nextAxis(cutAxis) === axis ? [height, way] : [way, height])
  return [[...rows.map(row => place(row.up, row.far)), ...rows.map(row => place(row.up, row.near)).reverse()]]
}

/** A form cut by the plane across an axis. */
function formRings(form: Form, cutAxis: Axis, at: number): readonly Ring[] {
  const { low, high } = reach(form)
  if (at <= low[cutAxis] || at >= high[cutAxis]) return []
  const [next, last] = [nextAxis(cutAxis), lastAxis(cutAxis)]
  if (form.form === 'block') return [rectangle(low[next], low[last], high[next], high[last])]
  if (form.form === 'bend') return bendRings(form, cutAxis, at)
  if (form.axis === cutAxis) return form.form === 'round' ? [circle(form.centre, form.radius)] : form.rings
  const height: [number, number] = [form.from, form.to]
  if (form.form === 'prism') return stretches(form, cutAxis, at).map(way => spanned(form.axis, cutAxis, way, height))
  const first = nextAxis(form.axis) === cutAxis
  const half = Math.sqrt(form.radius ** 2 - (at - form.centre[first ? 0 : 1]) ** 2)
  const middle = form.centre[first ? 1 : 0]
  return [spanned(form.axis, cutAxis, [middle - half, middle + half], height)]
}

export const toPaths = (rings: readonly Ring[]): PathsD => rings.map(ring => ring.map(([x, y]) => ({ x, y })))
const joinedRings = (forms: readonly Form[], axis: Axis, at: number): PathsD => {
  const cut = forms.map(form => toPaths(formRings(form, axis, at))).filter(paths => paths.length)
  // Of one outline with holes in it the holes are turned against it, as everywhere else.
  if (cut.length < 2) return cut[0]?.length === 1 ? cut[0] : unionD(cut[0] ?? [], [], FillRule.EvenOdd, DECIMALS)
  return cut.reduce((whole, paths) => unionD(whole, paths, FillRule.EvenOdd, DECIMALS))
}

/**
 * A solid cut by the plane across an axis at a height along it: closed lines in (u, v), the two axes next after it in
 * their ring. Exact for flat-sided forms; rounds have 72 sides.
 */
export function sectionAt({ pieces }: Pick<Assembly, 'pieces'>, axis: Axis, at: number): Ring[] {
  const pathsOf = ({ adds, cuts }: PlacedPiece): PathsD => {
    const solid = joinedRings(adds, axis, at)
    const hollow = solid.length ? joinedRings(cuts, axis, at) : []
    return hollow.length ? differenceD(solid, hollow, FillRule.EvenOdd, DECIMALS) : solid
  }
  const whole = pieces.reduce<PathsD>((found, piece) => {
    const paths = pathsOf(piece)
    if (!paths.length) return found
    if (!found.length) return piece.cut ? found : paths
    return (piece.cut ? differenceD : unionD)(found, paths, FillRule.EvenOdd, DECIMALS)
  }, [])
  return whole.filter(path => path.length > 2).map(path => path.map(({ x, y }): Flat => [x, y]))
}
