import { assemble } from './assembly'
import type { Shape } from './shape.schema'

function meshSizeMm(trianglesMm: readonly number[]): readonly number[] {
  const low = [Infinity, Infinity, Infinity]
  const high = [-Infinity, -Infinity, -Infinity]
  trianglesMm.forEach((value, n) => {
    const axis = n % 3
    low[axis] = Math.min(low[axis]!, value)
    high[axis] = Math.max(high[axis]!, value)
  })
  return high.map((value, axis) => value - low[axis]!)
}

/** How many cells of an edge, mm, fill the box round a shape: known before anything is cut. */
export function roughCells(shape: Shape, cellMm: number): number {
  if (shape.kind === 'voxels') return shape.nx * shape.ny * shape.nz
  const sizeMm = shape.kind === 'mesh' ? meshSizeMm(shape.trianglesMm) : assemble(shape).sizeMm
  return sizeMm.reduce((product, size) => product * Math.max(1, size / cellMm), 1)
}
