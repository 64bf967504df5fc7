import { NoAnswer } from '../ask/question'
import { assemble, distanceTo, type Assembly } from './assembly'
import type { Distance } from './distance'
import { insideMesh } from './mesh'
import type { Shape } from './shape.schema'

/**
 * A part cut into equal cells. Cell (i, j, k) is number i + nx·(j + ny·k); its middle lies at origin + (i + ½, j + ½, k
 * + ½)·step.
 */
export interface Mask {
  nx: number
  ny: number
  nz: number
  /** Sides of a cell, mm: the size asked for, stretched so that whole cells fill the part's bounding box. */
  stepMm: [number, number, number]
  originMm: [number, number, number]
  solid: Uint8Array
  count: number
  /** Signed distance to the true skin, where the shape has one: says how a stepped skin stands for a smooth one. */
  distance: Distance | null
}

/** Cells that are looked at one by one; past this a cut takes tens of seconds. */
export const MOST_BOX_CELLS = 40_000_000
/** Solid cells; at 40 bytes each this stays near 80 MB. */
export const MOST_SOLID_CELLS = 2_000_000

const round2 = (value: number) => Math.ceil(value * 100) / 100
function refuse(what: string, count: number, most: number, cellMm: number): never {
  throw new NoAnswer(
    `${what} of ${cellMm} mm are ${Math.round(count / 1000)} thousand, more than the ${Math.round(most / 1e6)} million that fit: the least cell for this part is about ${round2(cellMm * Math.cbrt(count / most) * 1.02)} mm`,
  )
}

const withDistance = (assembly: Assembly) => ({ ...assembly, distance: distanceTo(assembly) })

type Triple = readonly [number, number, number]

/**
 * Fills in the cells whose middles lie in the metal. Where a block's middle lies further from the skin than its
 * furthest cell does from it, all of it is metal or none is; else it is halved. A distance may fall short of the true
 * one, never exceed it.
 */
export function carve(
  distance: Distance,
  solid: Uint8Array,
  [nx, ny, nz]: Triple,
  [dx, dy, dz]: Triple,
  [x0, y0, z0]: Triple,
): void {
  const halve = (i0: number, i1: number, j0: number, j1: number, k0: number, k1: number): void => {
    const d = distance(x0 + ((i0 + i1) / 2) * dx, y0 + ((j0 + j1) / 2) * dy, z0 + ((k0 + k1) / 2) * dz)
    const [wide, deep, high] = [(i1 - i0 - 1) * dx, (j1 - j0 - 1) * dy, (k1 - k0 - 1) * dz]
    if (Math.abs(d) > Math.hypot(wide, deep, high) / 2 || i1 - i0 + j1 - j0 + k1 - k0 === 3) {
      if (d < 0)
        for (let k = k0; k < k1; k++)
          for (let j = j0; j < j1; j++) solid.fill(1, i0 + nx * (j + ny * k), i1 + nx * (j + ny * k))
    } else if (wide >= deep && wide >= high) {
      const middle = (i0 + i1) >> 1
      halve(i0, middle, j0, j1, k0, k1)
      halve(middle, i1, j0, j1, k0, k1)
    } else if (deep >= high) {
      const middle = (j0 + j1) >> 1
      halve(i0, i1, j0, middle, k0, k1)
      halve(i0, i1, middle, j1, k0, k1)
    } else {
      const middle = (k0 + k1) >> 1
      halve(i0, i1, j0, j1, k0, middle)
      halve(i0, i1, j0, j1, middle, k1)
    }
  }
  halve(0, nx, 0, ny, 0, nz)
}

/**
 * Cuts a shape into cells of about `cellMm`: a cell is solid where its middle lies in the metal.
 * @throws NoAnswer when that is more cells than fit, naming the least cell that does; or when nothing is left solid
 */
export function cut(shape: Shape, cellMm: number): Mask {
  if (shape.kind === 'voxels') {
    const { nx, ny, nz } = shape
    if (nx * ny * nz > MOST_BOX_CELLS)
      throw new NoAnswer(`${nx} × ${ny} × ${nz} cells are more than the ${MOST_BOX_CELLS / 1e6} million that fit`)
    const solid = new Uint8Array(nx * ny * nz)
    let at = 0
    shape.runs.forEach((run, index) => {
      solid.fill(index % 2, at, (at += run))
    })
    const stepMm = shape.stepMm ?? ([cellMm, cellMm, cellMm] as const)
    return finish({ nx, ny, nz, stepMm, originMm: [0, 0, 0], solid, distance: null }, cellMm)
  }
  const { sizeMm, originMm, ...inside } =
    shape.kind === 'mesh' ? insideMesh(shape.trianglesMm) : withDistance(assemble(shape))
  const [nx, ny, nz] = sizeMm.map(size => Math.max(1, Math.round(size / cellMm))) as [number, number, number]
  if (nx * ny * nz > MOST_BOX_CELLS) refuse('Cells', nx * ny * nz, MOST_BOX_CELLS, cellMm)
  const stepMm: [number, number, number] = [sizeMm[0] / nx, sizeMm[1] / ny, sizeMm[2] / nz]
  const solid = new Uint8Array(nx * ny * nz)
  if ('fill' in inside) inside.fill(solid, [nx, ny, nz], stepMm)
  else carve(inside.distance, solid, [nx, ny, nz], stepMm, originMm)
  return finish(
    { nx, ny, nz, stepMm, originMm, solid, distance: 'distance' in inside ? inside.distance : null },
    cellMm,
  )
}

function finish(mask: Omit<Mask, 'count'>, cellMm: number): Mask {
  let count = 0
  for (const cell of mask.solid) count += cell
  if (count === 0)
    throw new NoAnswer(
      `no cell of ${cellMm} mm lies in the metal: the walls are thinner than the cells, take smaller ones`,
    )
  if (count > MOST_SOLID_CELLS) refuse('Solid cells', count, MOST_SOLID_CELLS, cellMm)
  return { ...mask, count }
}
