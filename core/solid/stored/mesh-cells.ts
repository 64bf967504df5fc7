import { NoAnswer } from '../../ask/question'
import { cut } from '../mask'
import type { Shape } from '../shape.schema'

/** So many cells a part is cut into for warming; some are put together for the run. */
const WARM_CELLS = 20_000
const CELL_MM = { least: 1, most: 6 }

/** The edge of the cells that a part of this volume is warmed in, mm. */
export const warmCellMm = (volumeMm3: number): number =>
  Math.max(CELL_MM.least, Math.min(CELL_MM.most, Math.cbrt(volumeMm3 / WARM_CELLS)))

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
  try {
    const { nx, ny, nz, solid, stepMm } = cut({ kind: 'mesh', trianglesMm }, warmCellMm(volumeMm3))
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
