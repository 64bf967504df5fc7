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
const lookOff = (look: number) => (look + 0.5) / LOOKS - 0.5

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
    const tangent = along.map(value => value / (long || 1)) as [number, number, number]
    return { from, long, tangent }
  })
  const reach = Math.max(bead.widthMm / 2, bead.depthMm) + Math.hypot(...lattice.stepMm)
  const lies = { along: 0, deep: 0, aside: 0, away: 0 }
  /** Where a place lies to a piece of the path: along it, in from its face, aside of it, and off its line. */
  const place = ({ from, tangent }: (typeof pieces)[number], x: number, y: number, z: number) => {
    const [u, v, w] = [x - from[0], y - from[1], z - from[2]]
    const along = u * tangent[0] + v * tangent[1] + w * tangent[2]
    const [p, q, r] = [u - along * tangent[0], v - along * tangent[1], w - along * tangent[2]]
    const inward = depthAxis === 0 ? u : depthAxis === 1 ? v : w
    lies.along = along
    lies.deep = inward * way
    lies.away = Math.sqrt(p * p + q * q + r * r)
    lies.aside = Math.sqrt(Math.max(0, p * p + q * q + r * r - inward * inward))
  }
  const { stepMm } = lattice
  const cells: number[] = []
  const strain: number[] = []
  const share: number[] = []
  const [a, c] = [bead.strainAlong, bead.strainAcross]
  for (let cell = 0; cell < lattice.cells; cell++) {
    const middle = cellMm(lattice, cell)
    const near = pieces.filter(piece => {
      place(piece, middle[0], middle[1], middle[2])
      return lies.along > -reach && lies.along < piece.long + reach && lies.away < reach * 1.5
    })
    if (!near.length) continue
    const sum = [0, 0, 0, 0, 0, 0]
    let found = 0
    for (let n = 0; n < LOOKS ** 3; n++) {
      const x = middle[0] + lookOff(n % LOOKS) * stepMm[0]
      const y = middle[1] + lookOff(Math.floor(n / LOOKS) % LOOKS) * stepMm[1]
      const z = middle[2] + lookOff(Math.floor(n / LOOKS ** 2)) * stepMm[2]
      const piece = near.find(each => {
        place(each, x, y, z)
        const { along, deep, aside } = lies
        return along >= 0 && along <= each.long && deep >= 0 && deep <= bead.depthMm && aside <= bead.widthMm / 2
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
