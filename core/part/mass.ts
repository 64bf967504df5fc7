import { NoAnswer } from '../ask/question'
import { gridOf } from '../heat/field/grid'
import { cut } from '../heat/solid/mask'
import type { Shape } from '../heat/solid/shape.schema'
import { lumpOfSizes, skinOfMassMm2 } from './size'

export interface PartSizes {
  lengthMm?: number | undefined
  widthMm?: number | undefined
  heightMm?: number | undefined
  massG?: number | undefined
  shape?: Shape | undefined
}
export interface PartMass {
  massG: number
  skinMm2: number
  from: 'shape' | 'sizes' | 'mass'
}

/**
 * A first look finds how large a shape is, mm; then so many cells along its longest way: within a few per cent of its
 * closed form, in milliseconds.
 */
const LOOK_MM = 4
const CELLS_ALONG = 48
const FINEST_MM = 0.5

function cellFor(shape: Shape): number {
  const {
    nx,
    ny,
    nz,
    stepMm: [x, y, z],
  } = cut(shape, LOOK_MM)
  return Math.max(FINEST_MM, Math.max(nx * x, ny * y, nz * z) / CELLS_ALONG)
}

/**
 * Mass and skin of a part: from its shape, else from its sizes and wall, else from its mass alone; a mass that was
 * weighed goes. @throws NoAnswer where nothing says
 */
export function massOf(
  { lengthMm, widthMm, heightMm, massG, shape }: PartSizes,
  densityGcm3: number,
  wallMm: number,
): PartMass {
  if (shape) {
    const grid = gridOf(cut(shape, cellFor(shape)))
    const [x, y, z] = grid.stepMm
    return {
      massG: massG ?? (grid.count * x * y * z * densityGcm3) / 1000,
      skinMm2: grid.areaMm2.reduce((sum, area) => sum + area, 0),
      from: 'shape',
    }
  }
  if (lengthMm && widthMm) {
    const lump = lumpOfSizes({ lengthMm, widthMm, heightMm, wallMm })
    return { massG: massG ?? (lump.volumeMm3 * densityGcm3) / 1000, skinMm2: lump.skinMm2, from: 'sizes' }
  }
  if (massG) return { massG, skinMm2: skinOfMassMm2(massG, densityGcm3, wallMm), from: 'mass' }
  throw new NoAnswer('the part wants its length and width, its mass, or its shape')
}
