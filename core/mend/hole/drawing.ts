import { acrossGroove } from '../section/across-groove'
import { ROUND, type GrooveCut } from '../../groove/cut'
import type { Drawn, KindSketch } from '../kind'
import { poly, box, type Section } from '../section/shapes'
import { coneOf, diameterOf } from './cone'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 8h40v16H4z', gone: 'M29 16a5 5 0 1 1-10 0a5 5 0 1 1 10 0z' }

/** Metal shown from its middle to either side, as radii of its mouth. */
const BESIDE_HOLE = 1.9
const PATCH_BEVEL = { sides: 1, includedDeg: 70, rootRadiusMm: 1, landMm: 0, capMm: 1 } as const

/** A bevel all round the disc that closes it; none where it is filled. */
export const cut = ({ values, wallMm, way }: Drawn<typeof fields>): GrooveCut | null =>
  way === 'patched' ? { ...ROUND, ...PATCH_BEVEL, wallMm, alongMm: Math.PI * diameterOf(values) } : null

export const section = (given: Drawn<typeof fields>): Section => {
  const bevel = cut(given)
  if (bevel) return acrossGroove('Across the bevel round the disc', bevel)
  const { values, wallMm } = given
  const { acrossMm, mouthMm, deepMm: deep } = coneOf(values, wallMm)
  const [r, R, cap] = [acrossMm / 2, mouthMm / 2, values.capMm]
  const half = R * BESIDE_HOLE + wallMm
  return {
    title: 'Across the hole',
    shapes: [
      box('metal', -half, 0, 2 * half, wallMm),
      poly('new', [
        [-r, deep],
        [r, deep],
        [R, 0],
        [R / 2, -cap * 0.75],
        [0, -cap],
        [-R / 2, -cap * 0.75],
        [-R, 0],
      ]),
    ],
    sizes: [
      { from: [-r, wallMm * 1.35], to: [r, wallMm * 1.35], mm: acrossMm },
      { from: [half * 0.9, 0], to: [half * 0.9, wallMm], mm: wallMm },
    ],
  }
}
