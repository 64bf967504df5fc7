import { FACE_AXIS, INWARD, type Face } from '../solid/stored/faces.table'
import { cellMm, type Lattice } from './lattice'

export interface Bead {
  id: string
  pathMm: readonly (readonly [number, number, number])[]
  face: Face
  widthMm: number
  depthMm: number
  strainAlong: number
  strainAcross: number
  fills: boolean
}
/** What of a bead's zone lies in each cell it touches: its share of the cell, and its own strain there. */
export interface Zone {
  cells: Int32Array
  /** Six a cell: xx yy zz xy yz zx, engineering shear, times the share of the cell that is zone. */
  strain: Float64Array
  /** Share of each cell that is zone. */
  share: Float64Array
}

/** Places looked at in a cell along each way. */
const LOOKS = 4

/**
 * The cells of a bead's zone: a rectangle across its path, its top at the path, inward from its face, with flat ends;
 * shrunk along and across the path, evenly through its depth.
 */
export function zoneOf(lattice: Lattice, bead: Bead): Zone {
  const [depthAxis, way] = [FACE_AXIS[bead.face], INWARD[bead.face]]
  const pieces = bead.pathMm.slice(1).map((to, n) => {
    const from = bead.pathMm[n]!
    const along = to.map((value, axis) => (axis === depthAxis ? 0 : value - from[axis]!))
    const long = Math.hypot(...along)
    return { from, long, tangent: along.map(value => value / (long || 1)) }
  })
  const reach = Math.max(bead.widthMm / 2, bead.depthMm) + Math.hypot(...lattice.stepMm)
  const cells: number[] = []
  const strain: number[] = []
  const share: number[] = []
  const [a, c] = [bead.strainAlong, bead.strainAcross]
  for (let cell = 0; cell < lattice.cells; cell++) {
    const middle = cellMm(lattice, cell)
    const near = pieces.filter(({ from, long, tangent }) => {
      const off = middle.map((value, axis) => value - from[axis]!)
      const along = off.reduce((sum, value, axis) => sum + value * tangent[axis]!, 0)
      const aside = Math.hypot(...off.map((value, axis) => value - along * tangent[axis]!))
      return along > -reach && along < long + reach && aside < reach * 1.5
    })
    if (!near.length) continue
    const sum = [0, 0, 0, 0, 0, 0]
    let found = 0
    for (let n = 0; n < LOOKS ** 3; n++) {
      const at = [n % LOOKS, Math.floor(n / LOOKS) % LOOKS, Math.floor(n / LOOKS ** 2)].map(
        (look, axis) => middle[axis]! + ((look + 0.5) / LOOKS - 0.5) * lattice.stepMm[axis]!,
      )
      const piece = near.find(({ from, long, tangent }) => {
        const off = at.map((value, axis) => value - from[axis]!)
        const along = off.reduce((total, value, axis) => total + value * tangent[axis]!, 0)
        const deep = off[depthAxis]! * way
        const aside = Math.hypot(...off.map((value, axis) => (axis === depthAxis ? 0 : value - along * tangent[axis]!)))
        return along >= 0 && along <= long && deep >= 0 && deep <= bead.depthMm && aside <= bead.widthMm / 2
      })
      if (!piece) continue
      found += 1
      const t = piece.tangent
      const across = [0, 0, 0]
      const [p, q] = [(depthAxis + 1) % 3, (depthAxis + 2) % 3]
      across[p] = -t[q]!
      across[q] = t[p]!
      const both = (i: number, j: number) => a * t[i]! * t[j]! + c * across[i]! * across[j]!
      sum[0]! += both(0, 0)
      sum[1]! += both(1, 1)
      sum[2]! += both(2, 2)
      sum[3]! += 2 * both(0, 1)
      sum[4]! += 2 * both(1, 2)
      sum[5]! += 2 * both(2, 0)
    }
    if (!found) continue
    cells.push(cell)
    share.push(found / LOOKS ** 3)
    strain.push(...sum.map(value => value / LOOKS ** 3))
  }
  return { cells: Int32Array.from(cells), strain: Float64Array.from(strain), share: Float64Array.from(share) }
}
