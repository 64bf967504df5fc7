import { Matrix, pseudoInverse } from 'ml-matrix'
import { NoAnswer } from '../ask/question'
import { evaluateFlatness } from '../flat/evaluate'
import { level, spansPlane } from '../flat/plane'
import type { FaceShape } from '../flat/shape'
import { FACE_AXIS, INWARD, type Face } from '../solid/stored/faces.table'
import { nodeMm, type Lattice } from './lattice'
import { rigidFit, withMotion, type Motion, type Place } from './rigid'

export type Watch =
  /** The outermost face on a side; `atMm`: the one that lies at this place, a floor as well as a rim. */
  | { kind: 'face'; face: Face; atMm?: Place }
  | { kind: 'point'; atMm: Place }
  | { kind: 'bore'; axis: 'x' | 'y' | 'z'; atMm: Place; diameterMm: number }
  | { kind: 'holes'; atMm: readonly Place[] }

export type Watched =
  | {
      kind: 'face'
      minimumZoneMm: number
      shape: FaceShape
      /** Where on the face, by its two axes, and how high over the middle of the zone there. */
      atMm: [number, number][]
      heightsMm: number[]
    }
  | { kind: 'point'; movedMm: [number, number, number] }
  | { kind: 'bore'; ovalMm: number; shiftMm: number }
  | { kind: 'holes'; largestMissMm: number }

/** Places of a face that its flatness is worked out from at most, with the highest and lowest of all; round a bore. */
const MOST_FACE = 500
const EXTREMES = 60
const ROUND = 36
/** A round needs this many of its places in metal. */
const LEAST_ROUND = 8

const movedAt = (u: Float64Array, node: number): Place => [u[3 * node]!, u[3 * node + 1]!, u[3 * node + 2]!]

/** The outermost corners on a side of the part. @throws NoAnswer where they span no plane */
export function faceNodes(lattice: Lattice, face: Face): number[] {
  const [axis, high] = [FACE_AXIS[face], INWARD[face] < 0]
  let end = high ? -Infinity : Infinity
  for (let node = 0; node < lattice.nodes; node++)
    end = high ? Math.max(end, lattice.nodeAt[3 * node + axis]!) : Math.min(end, lattice.nodeAt[3 * node + axis]!)
  const found: number[] = []
  for (let node = 0; node < lattice.nodes; node++) if (lattice.nodeAt[3 * node + axis] === end) found.push(node)
  return found
}

/** Corners nearest to a place, and how far the nearest is, mm. */
function nearest(lattice: Lattice, at: Place, count: number): { nodes: number[]; awayMm: number } {
  const best: [number, number][] = []
  for (let node = 0; node < lattice.nodes; node++) {
    const away = Math.hypot(...nodeMm(lattice, node).map((value, axis) => value - at[axis]!))
    if (best.length < count || away < best.at(-1)![0]) {
      best.push([away, node])
      best.sort((a, b) => a[0] - b[0])
      if (best.length > count) best.pop()
    }
  }
  return { nodes: best.map(each => each[1]), awayMm: best[0]![0] }
}

/** What is needed to read a watched thing off any displacement: looked up once. */
type Reader = (u: Float64Array, motion: Motion) => Watched

/**
 * Corners of the skin that looks to a side, at the level nearest to a place on it; the outermost where the place lies
 * nearer to that than half a cell.
 */
function faceNodesAt(lattice: Lattice, face: Face, at: Place): number[] {
  const [axis, high] = [FACE_AXIS[face], INWARD[face] < 0]
  const { corner, cells, cellAt, nodeAt } = lattice
  const isCovered = new Uint8Array(lattice.nodes)
  const isSkin = new Uint8Array(lattice.nodes)
  for (let cell = 0; cell < cells; cell++)
    for (let n = 0; n < 8; n++) {
      const node = corner[8 * cell + n]!
      const isFar = nodeAt[3 * node + axis]! > cellAt[3 * cell + axis]!
      if (isFar === high) isSkin[node] = 1
      else isCovered[node] = 1
    }
  const wanted = (at[axis] - lattice.originMm[axis]) / lattice.stepMm[axis]
  const levels = new Map<number, number[]>()
  for (let node = 0; node < lattice.nodes; node++) {
    if (!isSkin[node] || isCovered[node]) continue
    const level = nodeAt[3 * node + axis]!
    const found = levels.get(level)
    if (found) found.push(node)
    else levels.set(level, [node])
  }
  const [nearestTo] = [...levels.keys()].toSorted((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))
  return nearestTo === undefined ? [] : levels.get(nearestTo)!
}

/** Places that a face's flatness may hang on: spread evenly over it, with the highest and the lowest of all. */
function telling(places: readonly Place3[]): readonly Place3[] {
  if (places.length <= MOST_FACE) return places
  const off = level(places.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm }))).points.map(place => place[2])
  const byHeight = off.map((_, n) => n).toSorted((a, b) => off[a]! - off[b]!)
  const ends = new Set([...byHeight.slice(0, EXTREMES), ...byHeight.slice(-EXTREMES)])
  const step = Math.ceil(places.length / (MOST_FACE - 2 * EXTREMES))
  return places.filter((_, n) => n % step === 0 || ends.has(n))
}

type Place3 = [number, number, number]

function faceReader(lattice: Lattice, face: Face, at?: Place): Reader {
  const [axis, high] = [FACE_AXIS[face], INWARD[face] < 0]
  const nodes = at ? faceNodesAt(lattice, face, at) : faceNodes(lattice, face)
  const [p, q] = [(axis + 1) % 3, (axis + 2) % 3] as [0 | 1 | 2, 0 | 1 | 2]
  const seen = nodes.map(node => nodeMm(lattice, node)).map(at => ({ xMm: at[p]!, yMm: at[q]!, zMm: 0 }))
  if (!spansPlane(seen)) throw new NoAnswer('no face of the part lies at that place, looking to that side')
  return (u, motion) => {
    const all = nodes.map((node): Place3 => {
      const at = nodeMm(lattice, node)
      const off = withMotion(motion, at)
      const up = (u[3 * node + axis]! - off[axis]) * (high ? 1 : -1)
      return [at[p]!, at[q]!, up]
    })
    const points = telling(all)
    const { minimumZoneMm, shape, heightsMm } = evaluateFlatness(points.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm })))
    return { kind: 'face', minimumZoneMm, shape, atMm: points.map(([x, y]) => [x, y]), heightsMm }
  }
}

function boreReader(lattice: Lattice, axisName: 'x' | 'y' | 'z', at: Place, diameterMm: number): Reader {
  const axis = { x: 0, y: 1, z: 2 }[axisName]
  const [p, q] = [(axis + 1) % 3, (axis + 2) % 3]
  const reach = Math.hypot(lattice.stepMm[p]!, lattice.stepMm[q]!)
  const found = Array.from({ length: ROUND }, (_, n) => {
    const angle = (2 * Math.PI * n) / ROUND
    const place = [...at] as [number, number, number]
    place[p]! += (diameterMm / 2) * Math.cos(angle)
    place[q]! += (diameterMm / 2) * Math.sin(angle)
    const { nodes, awayMm } = nearest(lattice, place, 2)
    return awayMm <= reach ? { angle, nodes } : null
  }).filter(each => each !== null)
  if (found.length < LEAST_ROUND)
    throw new NoAnswer(`there is no metal round a bore of ${diameterMm} mm at ${at.join(', ')} mm`)
  const columns = (angle: number) => [1, Math.cos(angle), Math.sin(angle), Math.cos(2 * angle), Math.sin(2 * angle)]
  const fit = pseudoInverse(new Matrix(found.map(({ angle }) => columns(angle))))
  return (u, motion) => {
    const out = found.map(({ angle, nodes }) => {
      let sum = 0
      for (const node of nodes) {
        const off = withMotion(motion, nodeMm(lattice, node))
        sum += (u[3 * node + p]! - off[p]!) * Math.cos(angle) + (u[3 * node + q]! - off[q]!) * Math.sin(angle)
      }
      return [sum / nodes.length]
    })
    const [, a1, b1, a2, b2] = fit.mmul(new Matrix(out)).to1DArray() as [number, number, number, number, number]
    return { kind: 'bore', ovalMm: 4 * Math.hypot(a2, b2), shiftMm: Math.hypot(a1, b1) }
  }
}

function holesReader(lattice: Lattice, places: readonly Place[]): Reader {
  const near = places.map(at => nearest(lattice, at, 6).nodes)
  return u => {
    const moved = near.map(nodes => {
      const sum = [0, 0, 0]
      for (const node of nodes) movedAt(u, node).forEach((value, axis) => (sum[axis]! += value / nodes.length))
      return sum as unknown as Place
    })
    const own = rigidFit(
      places.length,
      n => places[n]!,
      n => moved[n]!,
    )
    const misses = places.map((at, n) =>
      Math.hypot(...withMotion(own, at).map((value, axis) => moved[n]![axis]! - value)),
    )
    return { kind: 'holes', largestMissMm: Math.max(...misses) }
  }
}

/** A reader of one watched thing on a part's corners. @throws NoAnswer where there is no metal at it */
export function readerOf(lattice: Lattice, watch: Watch): Reader {
  if (watch.kind === 'face') return faceReader(lattice, watch.face, watch.atMm)
  if (watch.kind === 'bore') return boreReader(lattice, watch.axis, watch.atMm, watch.diameterMm)
  if (watch.kind === 'holes') return holesReader(lattice, watch.atMm)
  const { nodes, awayMm } = nearest(lattice, watch.atMm, 1)
  if (awayMm > 2 * Math.hypot(...lattice.stepMm))
    throw new NoAnswer(`the place ${watch.atMm.join(', ')} mm lies outside the metal`)
  return (u, motion) => {
    const off = withMotion(motion, nodeMm(lattice, nodes[0]!))
    return {
      kind: 'point',
      movedMm: movedAt(u, nodes[0]!).map((value, axis) => value - off[axis]!) as [number, number, number],
    }
  }
}
