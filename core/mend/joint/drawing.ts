import { acrossGroove } from '../section/across-groove'
import { EDGE_TO_EDGE, type GrooveCut } from '../../groove/cut'
import type { Drawn, KindSketch } from '../kind'
import { lapped } from '../section/lapped'
import { box, fillet, poly, type DrawnSize, type Section } from '../section/shapes'
import type { ValuesOf } from '../../field/field'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 20h40v6H4zM21 4h6v16h-6z', fresh: 'M21 20l-5 0 5-5zM27 20l5 0-5-5z' }

/** Walls up to this are butted square, mm: common practice, no source. */
const SQUARE_TO_MM = 3
const BEVELLED = { includedDeg: 60, rootRadiusMm: 1, landMm: 1, capMm: 1 } as const
const SQUARE = { ...BEVELLED, sides: 1, rootRadiusMm: 0.5, landMm: 0 } as const

/** Whether two pieces edge to edge are thin enough to be butted without a bevel. */
export const isSquare = (wallMm: number, otherMm: number) => Math.min(wallMm, otherMm) <= SQUARE_TO_MM

/** Sides that are welded: the second only where it can be got to. */
export const sidesOf = ({ reach, sidesWelded }: ValuesOf<typeof fields>) => (reach === 'one' ? 1 : sidesWelded)

/** The leg of its fillets: as said, else the thinner wall. */
export const legOf = (values: ValuesOf<typeof fields>, wallMm: number, otherMm: number) =>
  values.legMm ?? Math.min(wallMm, otherMm)

/** Edge to edge it is grooved through the thinner; laid in corners it is not grooved. */
export const cut = ({ values, wallMm, otherMm }: Drawn<typeof fields>): GrooveCut | null =>
  values.joint === 'butt'
    ? {
        ...EDGE_TO_EDGE,
        ...(isSquare(wallMm, otherMm) ? SQUARE : { ...BEVELLED, sides: sidesOf(values) }),
        wallMm: Math.min(wallMm, otherMm),
        alongMm: values.lengthMm,
      }
    : null

export function section(given: Drawn<typeof fields>): Section {
  const { values, wallMm, otherMm } = given
  const leg = legOf(values, wallMm, otherMm)
  const two = values.sidesWelded === 2
  const long = 5 * Math.max(wallMm, otherMm) + 2 * leg
  const title = 'Across the joint'
  const bevel = cut(given)
  if (bevel) return acrossGroove(title, bevel)
  if (values.joint === 'lap') return lapped(title, wallMm, otherMm, long)
  const size: DrawnSize = { from: [otherMm / 2, wallMm * 1.5], to: [otherMm / 2 + leg, wallMm * 1.5], mm: leg }
  if (values.joint === 'corner')
    return {
      title,
      shapes: [
        box('metal', 0, 0, long, wallMm),
        box('other', -otherMm, 0, otherMm, long * 0.8),
        fillet(0, wallMm, leg, 1, -1),
        poly('new', [
          [0, 0],
          [-otherMm, 0],
          [-otherMm / 3, -otherMm / 3],
        ]),
      ],
      sizes: [{ ...size, from: [0, wallMm + leg * 1.6], to: [leg, wallMm + leg * 1.6] }],
    }
  return {
    title,
    shapes: [
      box('metal', -long / 2, 0, long, wallMm),
      box('other', -otherMm / 2, -long * 0.55, otherMm, long * 0.55),
      fillet(otherMm / 2, 0, leg, 1),
      ...(two ? [fillet(-otherMm / 2, 0, leg, -1)] : []),
    ],
    sizes: [size],
  }
}
