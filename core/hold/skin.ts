import { FACE_AXIS, INWARD } from '../solid/stored/faces.table'
import { cellMm, type Lattice } from '../warp/lattice'
import { cellGrid } from './cracked'
import type { OnSkin } from './schema'

type Axis = 0 | 1 | 2
/** One face of a cell that sees air: which cell, which way out, where its middle lies and its four corners. */
export interface SkinFace {
  cell: number
  axis: Axis
  out: 1 | -1
  middleMm: readonly [number, number, number]
  areaMm2: number
  nodes: readonly number[]
}
/** A face with the share of it that a place covers. */
export interface Covered {
  face: SkinFace
  share: number
}

const AXES = [0, 1, 2] as const
/** Each way, a face is looked at in so many places to see how much of it a patch covers. */
const LOOKS = 6

/** The skin of a part's cells; what a crack lays open is none of it. */
export function skinOf(lattice: Lattice): SkinFace[] {
  const grid = cellGrid(lattice)
  const { stepMm, cellAt, corner } = lattice
  const faces: SkinFace[] = []
  for (let cell = 0; cell < lattice.cells; cell++) {
    const at = [cellAt[3 * cell]!, cellAt[3 * cell + 1]!, cellAt[3 * cell + 2]!] as const
    for (const axis of AXES)
      for (const out of [1, -1] as const) {
        const beside = [...at] as [number, number, number]
        beside[axis] += out
        if (grid(...beside) >= 0) continue
        const middleMm = cellMm(lattice, cell)
        middleMm[axis] += (out * stepMm[axis]) / 2
        const [p, q] = [(axis + 1) % 3, (axis + 2) % 3]
        const nodes: number[] = []
        for (let n = 0; n < 8; n++) if (((n >> axis) & 1) === (out > 0 ? 1 : 0)) nodes.push(corner[8 * cell + n]!)
        faces.push({ cell, axis, out, middleMm, areaMm2: stepMm[p]! * stepMm[q]!, nodes })
      }
  }
  return faces
}

/** How much of a face lies within reach of a place. */
function shareWithin(
  { middleMm, axis }: SkinFace,
  { stepMm }: Lattice,
  at: readonly number[],
  radiusMm: number,
): number {
  const [p, q] = [(axis + 1) % 3, (axis + 2) % 3] as [Axis, Axis]
  let within = 0
  for (let a = 0; a < LOOKS; a++)
    for (let b = 0; b < LOOKS; b++) {
      const x = middleMm[p] + ((a + 0.5) / LOOKS - 0.5) * stepMm[p] - at[p]!
      const y = middleMm[q] + ((b + 0.5) / LOOKS - 0.5) * stepMm[q] - at[q]!
      if (Math.hypot(x, y, middleMm[axis] - at[axis]!) <= radiusMm) within += 1
    }
  return within / LOOKS ** 2
}

/** A round patch: of the faces within reach those that look the way most of them near its middle do. */
function patchOf(skin: readonly SkinFace[], lattice: Lattice, at: readonly number[], radiusMm: number): Covered[] {
  const near = (face: SkinFace) =>
    Math.abs(face.middleMm[face.axis] - at[face.axis]!) <= 0.75 * lattice.stepMm[face.axis]
  const byWay = new Map<string, Covered[]>()
  for (const face of skin) {
    if (!near(face)) continue
    const share = shareWithin(face, lattice, at, radiusMm)
    const key = `${face.axis} ${face.out} ${face.middleMm[face.axis].toFixed(6)}`
    if (share > 0) byWay.set(key, [...(byWay.get(key) ?? []), { face, share }])
  }
  const areaOf = (list: readonly Covered[]) => list.reduce((sum, { face, share }) => sum + share * face.areaMm2, 0)
  const [best] = [...byWay.values()].toSorted((a, b) => areaOf(b) - areaOf(a))
  if (best) return best
  // A patch smaller than a cell is the face that it lies on.
  const on = skin.filter(
    face =>
      near(face) &&
      AXES.every(way => way === face.axis || Math.abs(face.middleMm[way] - at[way]!) <= lattice.stepMm[way] / 2 + 1e-9),
  )
  return on.slice(0, 1).map(face => ({ face, share: 1 }))
}

/** The wall of a hole: faces that look at its axis, as far along as they go on from the place that was named. */
function holeOf(
  skin: readonly SkinFace[],
  lattice: Lattice,
  hole: { atMm: readonly number[]; axis: string; diameterMm: number },
): Covered[] {
  const axis = { x: 0, y: 1, z: 2 }[hole.axis] as Axis
  const [p, q] = [(axis + 1) % 3, (axis + 2) % 3] as [Axis, Axis]
  const slack = 0.75 * Math.hypot(lattice.stepMm[p], lattice.stepMm[q])
  const byLevel = new Map<number, SkinFace[]>()
  for (const face of skin) {
    if (face.axis === axis) continue
    const away = [face.middleMm[p] - hole.atMm[p]!, face.middleMm[q] - hole.atMm[q]!] as const
    const inward = face.out * (face.axis === p ? away[0] : away[1]) < 0
    if (!inward || Math.abs(Math.hypot(...away) - hole.diameterMm / 2) > slack) continue
    const level = lattice.cellAt[3 * face.cell + axis]!
    byLevel.set(level, [...(byLevel.get(level) ?? []), face])
  }
  const named = (hole.atMm[axis]! - lattice.originMm[axis]) / lattice.stepMm[axis] - 0.5
  const [start] = [...byLevel.keys()].toSorted((a, b) => Math.abs(a - named) - Math.abs(b - named))
  if (start === undefined || Math.abs(start - named) > 1.5) return []
  const found: SkinFace[] = []
  for (let level = start; byLevel.has(level); level++) found.push(...byLevel.get(level)!)
  for (let level = start - 1; byLevel.has(level); level--) found.push(...byLevel.get(level)!)
  return found.map(face => ({ face, share: 1 }))
}

/** The skin that a place names, with how much of each face; empty where there is none. */
export function coveredBy(skin: readonly SkinFace[], lattice: Lattice, on: OnSkin): Covered[] {
  if ('hole' in on) return holeOf(skin, lattice, on.hole)
  if ('atMm' in on) return patchOf(skin, lattice, on.atMm, on.radiusMm)
  const [axis, out] = [FACE_AXIS[on.face], INWARD[on.face] === 1 ? -1 : 1]
  const looking = skin.filter(face => face.axis === axis && face.out === out)
  const outermost = Math.max(...looking.map(face => out * face.middleMm[axis]))
  return looking
    .filter(face => Math.abs(out * face.middleMm[axis] - outermost) < 1e-6)
    .map(face => ({ face, share: 1 }))
}
