import { NoAnswer } from '../ask/question'
import type { Triple } from './forms'

/** An opening in the skin of a mesh. */
export interface Opening {
  /** Its middle. */
  atMm: Triple
  /** The farthest that two of its corners lie apart. */
  acrossMm: number
  /** How far it departs from a plane. */
  unevenMm: number
}

export interface ClosedMesh {
  /** Nine figures a triangle, the caps behind the rest. */
  trianglesMm: Float32Array
  closed: Opening[]
}

/** Corners nearer than this share of the mesh's size are one: files hold each corner once a triangle. */
const ONE_CORNER = 1e-6
/** Wider than this share of the part, or less flat than this share of its width, a cap would be a guess: judgement. */
const WIDEST = 0.5
const UNEVENEST = 0.1
const MOST_OPENINGS = 200

/** Corners of a mesh, each once, and the three of every triangle. */
function welded(triangles: ArrayLike<number>): { corners: Triple[]; of: Int32Array; sizeMm: number } {
  const low = [Infinity, Infinity, Infinity]
  const high = [-Infinity, -Infinity, -Infinity]
  for (let i = 0; i < triangles.length; i += 1) {
    low[i % 3] = Math.min(low[i % 3]!, triangles[i]!)
    high[i % 3] = Math.max(high[i % 3]!, triangles[i]!)
  }
  const sizeMm = Math.max(...high.map((value, axis) => value - low[axis]!))
  const step = sizeMm * ONE_CORNER || 1
  const known = new Map<string, number>()
  const corners: Triple[] = []
  const of = new Int32Array(triangles.length / 3)
  for (let n = 0; n < of.length; n += 1) {
    const at: Triple = [triangles[3 * n]!, triangles[3 * n + 1]!, triangles[3 * n + 2]!]
    const key = at.map((value, axis) => Math.round((value - low[axis]!) / step)).join()
    const corner = known.get(key) ?? corners.push(at) - 1
    known.set(key, corner)
    of[n] = corner
  }
  return { corners, of, sizeMm }
}

/**
 * Rings of corners round the openings, so turned that a cap faces the way its neighbours do. An edge that no second
 * triangle shares is at an opening; which way the triangles are turned does not matter to that, since files do not
 * always turn them alike.
 */
function rims(of: Int32Array, corners: number): number[][] {
  const edges = new Map<number, { a: number; b: number; shared: boolean }>()
  for (let t = 0; t < of.length; t += 3)
    for (const [a, b] of [
      [of[t]!, of[t + 1]!],
      [of[t + 1]!, of[t + 2]!],
      [of[t + 2]!, of[t]!],
    ] as const) {
      if (a === b) continue
      const key = Math.min(a, b) * corners + Math.max(a, b)
      const known = edges.get(key)
      edges.set(key, { a, b, shared: known !== undefined && !known.shared })
    }
  // What no neighbour shares, run backwards.
  const next = new Map<number, number[]>()
  for (const { a, b, shared } of edges.values()) if (!shared) next.set(b, [...(next.get(b) ?? []), a])
  const rings: number[][] = []
  for (const start of next.keys())
    while (next.get(start)?.length) {
      const ring: number[] = []
      let at = start
      do {
        ring.push(at)
        const on = next.get(at)?.pop()
        if (on === undefined) break
        at = on
      } while (at !== start)
      if (ring.length > 2) rings.push(ring)
    }
  return rings
}

const less = (a: Triple, b: Triple): Triple => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const dot = (a: Triple, b: Triple) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

function openingOf(ring: readonly Triple[]): Opening {
  const middle = [0, 1, 2].map(axis => ring.reduce((sum, at) => sum + at[axis]!, 0) / ring.length) as Triple
  // Newell's normal of the ring, whatever its shape.
  const normal: Triple = [0, 0, 0]
  ring.forEach((a, n) => {
    const b = ring[(n + 1) % ring.length]!
    normal[0] += (a[1] - b[1]) * (a[2] + b[2])
    normal[1] += (a[2] - b[2]) * (a[0] + b[0])
    normal[2] += (a[0] - b[0]) * (a[1] + b[1])
  })
  const long = Math.hypot(...normal) || 1
  const off = ring.map(at => dot(less(at, middle), normal) / long)
  let acrossMm = 0
  for (const a of ring) for (const b of ring) acrossMm = Math.max(acrossMm, Math.hypot(...less(a, b)))
  return { atMm: middle, acrossMm, unevenMm: Math.max(...off) - Math.min(...off) }
}

const round = (mm: number) => Math.round(mm * 10) / 10

/** An opening in words: how wide it is and where. */
export const openingWords = ({ atMm, acrossMm }: Opening) =>
  `${round(acrossMm)} mm across at ${atMm.map(round).join(', ')}`

/**
 * Closes the openings in the skin of a mesh, each with a fan of triangles from its middle. Of a flat opening the cap is
 * exact whatever its outline: where a fan overlaps itself it does so an even number of times more, which neither the
 * volume nor the count of crossings sees.
 *
 * @param triangles nine figures a triangle, mm
 * @throws NoAnswer naming the opening, where one is wider than half the part or too uneven for a cap to be more than a
 *   guess, or where there are more than 200
 */
export function closeMesh(triangles: ArrayLike<number>): ClosedMesh {
  const { corners, of, sizeMm } = welded(triangles)
  const rings = rims(of, corners.length).map(ring => ring.map(corner => corners[corner]!))
  if (rings.length > MOST_OPENINGS)
    throw new NoAnswer(`its skin is torn in ${rings.length} places: mend the file where it was made`)
  const caps: number[] = []
  const closed = rings.map(ring => {
    const opening = openingOf(ring)
    // One triangle missing is put back whatever its size.
    if (ring.length > 3 && opening.acrossMm > WIDEST * sizeMm)
      throw new NoAnswer(
        `its skin is open, ${openingWords(opening)}: too wide to be closed by guess; close it where the file was made`,
      )
    if (opening.unevenMm > UNEVENEST * opening.acrossMm)
      throw new NoAnswer(
        `its skin is open, ${openingWords(opening)}: too uneven to be closed by guess; close it where the file was made`,
      )
    ring.forEach((at, n) => caps.push(...at, ...ring[(n + 1) % ring.length]!, ...opening.atMm))
    return opening
  })
  const all = new Float32Array(triangles.length + caps.length)
  all.set(triangles)
  all.set(caps, triangles.length)
  return { trianglesMm: all, closed }
}
