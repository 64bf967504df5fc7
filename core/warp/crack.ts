import { FACE_AXIS, type Face } from '../solid/stored/faces.table'
import { cellMm, nodeMm, type Lattice } from './lattice'
import { greatestTension } from './principal'
import type { Place } from './rigid'

/** Where a crack would run on, as a line on the part through the place that pulls hardest. */
export interface CrackRun {
  pathMm: Place[]
  lengthMm: number
}

/** It is taken to stop where the pull across it has fallen to this share of what it starts at. Judgement. */
const STOPS_AT = 0.5
/** A step, in cells. */
const STEP = 0.5
/** Stress is taken from cells within this many steps, the nearest counting most. */
const REACH = 1.5
/** Two ways less apart than this go the same way; pulled through the wall, a crack spreads under the skin. */
const SAME = 0.2

/** The stress at a place from the cells about it; null where no metal lies there. */
function stressAt(lattice: Lattice, cellOf: Map<number, number>, stress: ArrayLike<number>, at: Place) {
  const { stepMm, originMm } = lattice
  const ijk = at.map((mm, axis) => Math.floor((mm - originMm[axis]!) / stepMm[axis]!)) as [number, number, number]
  if (!cellOf.has(keyOf(...ijk))) return null
  const found = new Float64Array(6)
  let weights = 0
  for (let n = 0; n < 27; n++) {
    const cell = cellOf.get(
      keyOf(ijk[0] + (n % 3) - 1, ijk[1] + (Math.floor(n / 3) % 3) - 1, ijk[2] + Math.floor(n / 9) - 1),
    )
    if (cell === undefined) continue
    const off = Math.hypot(...cellMm(lattice, cell).map((mm, axis) => (mm - at[axis]!) / stepMm[axis]!))
    if (off >= REACH) continue
    const weight = (1 - off / REACH) ** 2
    weights += weight
    for (let p = 0; p < 6; p++) found[p]! += weight * stress[6 * cell + p]!
  }
  return weights > 0 ? found.map(value => value / weights) : null
}
/** Cells of any part that can be pulled about lie within this many along each way. */
const WIDE = 8192
const keyOf = (i: number, j: number, k: number) => i + 1 + WIDE * (j + 1 + WIDE * (k + 1))

/**
 * The line that a crack would follow over the part from a place, both ways: in the face it was welded on, everywhere
 * square to the greatest principal stress, until it comes out of the metal or the pull has halved.
 *
 * Source: the maximum principal stress rule (Erdogan and Sih 1963) for a crack that starts from nothing, on stress as
 * it stands without it: a crack eases what it runs through and gathers it at its tip, which is left out. Good for
 * where to look, not for a length of life.
 * @returns null where it is not pulled, or only through its wall
 */
export function crackRun(lattice: Lattice, stress: ArrayLike<number>, startMm: Place, face: Face): CrackRun | null {
  const normal = FACE_AXIS[face]
  const cellOf = new Map<number, number>()
  for (let cell = 0; cell < lattice.cells; cell++)
    cellOf.set(keyOf(lattice.cellAt[3 * cell]!, lattice.cellAt[3 * cell + 1]!, lattice.cellAt[3 * cell + 2]!), cell)
  const [p, q] = [(normal + 1) % 3, (normal + 2) % 3] as [number, number]
  /** The pull at a place, and the way in the face that is square to it; null outside the metal. */
  const wayAt = (at: Place) => {
    const found = stressAt(lattice, cellOf, stress, at)
    if (!found) return null
    const { mpa, along } = greatestTension(found)
    const way: [number, number, number] = [0, 0, 0]
    way[p] = -along[q]!
    way[q] = along[p]!
    const long = Math.hypot(...way)
    return long < SAME ? null : { mpa, way: way.map(value => value / long) as [number, number, number] }
  }
  const begun = wayAt(startMm)
  if (!begun || begun.mpa <= 0) return null
  const stepMm = STEP * Math.min(lattice.stepMm[p]!, lattice.stepMm[q]!)
  const most = Math.ceil(Math.hypot(...[0, 1, 2].map(axis => extentMm(lattice, axis as 0 | 1 | 2))) / stepMm)
  const half = (sign: 1 | -1): Place[] => {
    const line: Place[] = []
    let [at, way] = [startMm, begun.way.map(value => sign * value)]
    for (let n = 0; n < most; n++) {
      const next = at.map((mm, axis) => mm + stepMm * way[axis]!) as unknown as Place
      const there = wayAt(next)
      if (!there || there.mpa < STOPS_AT * begun.mpa) break
      line.push(next)
      const turned = there.way.reduce((sum, value, axis) => sum + value * way[axis]!, 0) < 0 ? -1 : 1
      ;[at, way] = [next, there.way.map(value => turned * value)]
    }
    return line
  }
  const [back, on] = [half(-1), half(1)]
  return { pathMm: [...back.toReversed(), startMm, ...on], lengthMm: (back.length + on.length) * stepMm }
}

function extentMm(lattice: Lattice, axis: 0 | 1 | 2): number {
  let [low, high] = [Infinity, -Infinity]
  for (let node = 0; node < lattice.nodes; node++) {
    const mm = nodeMm(lattice, node)[axis]
    low = Math.min(low, mm)
    high = Math.max(high, mm)
  }
  return high - low
}
