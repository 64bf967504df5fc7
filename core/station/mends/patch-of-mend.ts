import type { Fields, ValuesOf } from '../../field/field'
import { shapeOfCut } from '../../groove/cut'
import { grooveSection } from '../../groove/section'
import type { Drawn } from '../../mend/kind'
import { cut } from '../../mend/window/drawing'
import type { fields } from '../../mend/window/fields'
import { patchOutline, type Outline } from '../rebuild/drawings'

/** The outline of the patch that a mend lets in, bevelled as its groove is. For a mend of the kind `window`. */
export function patchOf(given: Drawn<Fields>): Outline[] {
  const values = given.values as ValuesOf<typeof fields>
  const shape = shapeOfCut(cut({ ...given, values }))
  const bevelMm = shape.depthMm > 0 ? grooveSection(shape).topWidthMm / 2 : 0
  return patchOutline(values.wideMm, values.highMm, values.cornerMm, bevelMm)
}
