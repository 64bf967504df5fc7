import { NoAnswer } from '../../ask/question'
import { cut } from '../mask'
import type { Shape } from '../shape.schema'

/** So many cells a part from a file is kept in beside its triangles: what warming is reckoned on. */
const KEPT_CELLS = 20_000
const CELL_MM = { least: 1, most: 6 }

/** A part cut into cells once, as it is stored: run lengths along x, then y, then z, empty first. */
export interface MeshCells {
  stepMm: [number, number, number]
  nx: number
  ny: number
  nz: number
  runs: string
}

/**
 * The cells of a closed mesh whose lowest corner lies at the origin, for sums that have no triangles at hand; null
 * where it cannot be cut.
 */
export function cellsOfMesh(trianglesMm: number[], volumeMm3: number): MeshCells | null {
  const cellMm = Math.max(CELL_MM.least, Math.min(CELL_MM.most, Math.cbrt(volumeMm3 / KEPT_CELLS)))
  try {
    const { nx, ny, nz, solid, stepMm } = cut({ kind: 'mesh', trianglesMm }, cellMm)
    const runs: number[] = []
    let [now, long] = [0, 0]
    for (const cell of solid) {
      if (cell === now) long++
      else {
        runs.push(long)
        ;[now, long] = [cell, 1]
      }
    }
    runs.push(long)
    return { stepMm: [...stepMm] as MeshCells['stepMm'], nx, ny, nz, runs: runs.join(' ') }
  } catch (error) {
    if (error instanceof NoAnswer) return null
    throw error
  }
}

/** The same as a shape. */
export const shapeOfCells = ({ runs, ...cells }: MeshCells): Extract<Shape, { kind: 'voxels' }> => ({
  kind: 'voxels',
  ...cells,
  runs: runs.split(' ').map(Number),
})
