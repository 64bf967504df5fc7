import { keptBy } from '../ask/kept'
import { NoAnswer } from '../ask/question'
import { assemble, type Assembly } from './assembly'
import { lastAxis, nextAxis, reach, type Axis, type Triple } from './forms'
import { raysThrough } from './rays'
import type { Shape } from './shape.schema'

export interface Measured {
  volumeMm3: number
  /** All of it that air reaches. */
  skinMm2: number
  sizeMm: Triple
  originMm: Triple
  /** Middle of mass, mm. */
  middleMm: Triple
}

/** Rays over the longest way of the part, and at least so many between two edges that lie side by side. */
const ACROSS = 100
const LEAST_BETWEEN = 4
/** As many times as close where rays run along a round or an outline, whose edge they either meet or miss. */
const CLOSER = 2.5
/** An outline of more corners than this is looked over evenly. */
const MOST_CORNERS = 24

const curvedAlong = ({ pieces }: Assembly, axis: Axis) =>
  pieces.some(piece => [...piece.adds, ...piece.cuts].some(form => form.form !== 'block' && form.axis === axis))

/** Where a ray's result can jump: the edges of every form along an axis. */
function edges({ pieces, originMm, sizeMm }: Assembly, axis: Axis): number[] {
  const [from, to] = [originMm[axis], originMm[axis] + sizeMm[axis]]
  const at = pieces
    .flatMap(piece => [...piece.adds, ...piece.cuts])
    .flatMap(form => {
      const { low, high } = reach(form)
      const corners =
        form.form === 'prism' && form.axis !== axis && form.rings.flat().length <= MOST_CORNERS
          ? form.rings.flat().map(point => point[nextAxis(form.axis) === axis ? 0 : 1])
          : []
      return [low[axis], high[axis], ...corners]
    })
    .filter(value => value > from && value < to)
  return [from, ...[...new Set(at)].sort((a, b) => a - b), to]
}

/** Places across an axis, each with the width it stands for: whole stretches between edges, so flat faces count. */
function places(between: readonly number[], stepMm: number): { at: number; wide: number }[] {
  return between.slice(1).flatMap((to, n) => {
    const from = between[n]!
    const count = Math.max(LEAST_BETWEEN, Math.ceil((to - from) / stepMm))
    const wide = (to - from) / count
    return wide > 1e-9 ? Array.from({ length: count }, (_, index) => ({ at: from + (index + 0.5) * wide, wide })) : []
  })
}

/**
 * Volume, skin and middle of a solid made of pieces, from rays along each axis in turn. Each crossing stands for its
 * share dA of the section across its ray: the volume is Σ ± t dA along any axis, the
 * skin Σ |n·axis| dA over the three axes, since n² over them is one. Faces along the axes count exactly.
 *
 * Source: the divergence theorem. Accuracy: within 0.3 % of the closed form of every simple solid and of an independent
 * mesh library on joined ones (tested).
 * @throws NoAnswer where nothing is left
 */
export function measureAssembly(assembly: Assembly): Measured {
  const volumes: number[] = []
  const doubts: number[] = []
  let skin = 0
  const moment: Triple = [0, 0, 0]
  for (const axis of [0, 1, 2] as const) {
    const rays = raysThrough(assembly.pieces, axis)
    const step = Math.max(...assembly.sizeMm) / ACROSS / (curvedAlong(assembly, axis) ? CLOSER : 1)
    const across = places(edges(assembly, lastAxis(axis)), step)
    const before = new Float64Array(across.length)
    let [volume, doubt] = [0, 0]
    for (const { at: u, wide } of places(edges(assembly, nextAxis(axis)), step)) {
      const ray = rays(u)
      for (let row = 0; row < across.length; row++) {
        const { at: v, wide: high } = across[row]!
        const share = wide * high
        const crossings = ray(v)
        let long = 0
        for (let n = 0; n < crossings.length; n += 2) {
          const [from, to] = [crossings[n]!, crossings[n + 1]!]
          long += to.at - from.at
          moment[axis] += ((to.at ** 2 - from.at ** 2) * share) / 2
          if (!from.shut) skin += from.square * share
          if (!to.shut) skin += to.square * share
        }
        volume += long * share
        doubt += ((long - before[row]!) * share) ** 2
        before[row] = long
      }
    }
    volumes.push(volume)
    doubts.push(doubt)
  }
  // Each axis counts by how little its rays differ from one another: where they jump, an edge runs between them.
  const trust = doubts.map(doubt => 1 / (doubt || 1e-12))
  const volume =
    volumes.reduce((sum, value, axis) => sum + value * trust[axis]!, 0) / trust.reduce((sum, value) => sum + value, 0)
  if (!(volume > 0)) throw new NoAnswer('nothing is left of this shape: what is cut out takes all of it')
  const { sizeMm, originMm } = assembly
  return {
    volumeMm3: volume,
    skinMm2: skin,
    sizeMm,
    originMm,
    middleMm: moment.map((sum, axis) => sum / volumes[axis]!) as Triple,
  }
}

/** The same of a closed skin of triangles, nine figures each: exact. Source: the divergence theorem. */
export function measureMesh(trianglesMm: ArrayLike<number>): Measured {
  const [low, high]: [Triple, Triple] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ]
  let [volume, skin] = [0, 0]
  const moment: Triple = [0, 0, 0]
  for (let t = 0; t + 8 < trianglesMm.length; t += 9) {
    const corner = (n: number): Triple => [
      trianglesMm[t + 3 * n]!,
      trianglesMm[t + 3 * n + 1]!,
      trianglesMm[t + 3 * n + 2]!,
    ]
    const [a, b, c] = [corner(0), corner(1), corner(2)]
    const [p, q] = [a, a].map((from, n) => (n ? c : b).map((value, axis) => value - from[axis]!)) as [Triple, Triple]
    const across = [p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]]
    const sixth = (a[0] * across[0]! + a[1] * across[1]! + a[2] * across[2]!) / 6
    volume += sixth
    skin += Math.hypot(...across) / 2
    for (const axis of [0, 1, 2] as const) {
      moment[axis] += (sixth * (a[axis] + b[axis] + c[axis])) / 4
      low[axis] = Math.min(low[axis], a[axis], b[axis], c[axis])
      high[axis] = Math.max(high[axis], a[axis], b[axis], c[axis])
    }
  }
  if (!(Math.abs(volume) > 0)) throw new NoAnswer('the triangles enclose nothing')
  return {
    volumeMm3: Math.abs(volume),
    skinMm2: skin,
    sizeMm: high.map((value, axis) => value - low[axis]!) as Triple,
    originMm: low,
    middleMm: moment.map(sum => sum / volume) as Triple,
  }
}

const ofPieces = keptBy('solid measured', 24, (shape: Parameters<typeof assemble>[0]) =>
  measureAssembly(assemble(shape)),
)

/** Volume, skin and middle of a shape. Cells are counted as they are: their skin is stepped, so it is not told here. */
export function measured(shape: Exclude<Shape, { kind: 'voxels' }>): Measured {
  return shape.kind === 'mesh' ? measureMesh(shape.trianglesMm) : ofPieces(shape)
}
