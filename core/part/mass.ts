import { NoAnswer } from '../ask/question'
import { measured, type Measured } from '../solid/measure'
import type { Shape } from '../solid/shape.schema'
import { lumpOfSizes, skinOfMassMm2 } from './size'

export interface PartSizes {
  lengthMm?: number | undefined
  widthMm?: number | undefined
  heightMm?: number | undefined
  massG?: number | undefined
  shape?: Shape | undefined
  /** What its shape measures, where that was worked out already. */
  measured?: Pick<Measured, 'volumeMm3' | 'skinMm2'> | undefined
}
export interface PartMass {
  massG: number
  skinMm2: number
  from: 'shape' | 'sizes' | 'mass'
}

/** No part is lighter than a tenth of a gram. */
const some = (massG: number): number => Math.max(0.1, massG)

/** What a shape measures. @throws NoAnswer for one in cells, which has no size of its own here */
const volumeAndSkin = (shape: Shape): Pick<Measured, 'volumeMm3' | 'skinMm2'> => {
  if (shape.kind !== 'voxels') return measured(shape)
  throw new NoAnswer('a part in cells has no size of its own: give its sizes, its mass, or another shape')
}

/**
 * Mass and skin of a part: from its shape, else from its sizes and wall, else from its mass alone; a mass that was
 * weighed goes. @throws NoAnswer where nothing says
 */
export function massOf(
  { lengthMm, widthMm, heightMm, massG, shape, measured: known }: PartSizes,
  densityGcm3: number,
  wallMm: number,
): PartMass {
  const found = known ?? (shape && volumeAndSkin(shape))
  if (found)
    return { massG: some(massG ?? (found.volumeMm3 * densityGcm3) / 1000), skinMm2: found.skinMm2, from: 'shape' }
  if (lengthMm && widthMm) {
    const lump = lumpOfSizes({ lengthMm, widthMm, heightMm, wallMm })
    return { massG: some(massG ?? (lump.volumeMm3 * densityGcm3) / 1000), skinMm2: lump.skinMm2, from: 'sizes' }
  }
  if (massG) return { massG: some(massG), skinMm2: skinOfMassMm2(some(massG), densityGcm3, wallMm), from: 'mass' }
  throw new NoAnswer('the part wants its length and width, its mass, or its shape')
}
