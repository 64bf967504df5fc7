import type { Drawn, KindSketch } from '../kind'
import { box, poly, type DrawnShape, type Section } from '../section/shapes'
import { PROUD_MM } from './proud'
import type { fields } from './fields'

export const sketch: KindSketch = {
  metal: 'M6 16a18 11 0 1 0 36 0a18 11 0 1 0-36 0zM16 16a8 6 0 1 0 16 0a8 6 0 1 0-16 0z',
  fresh: 'M16 16a8 6 0 0 1 16 0h-3a5 4 0 0 0-10 0z',
}

/** Drawn where only an area is known, mm. */
const DRAWN_BORE_MM = 20

export const section = ({ values, wallMm }: Drawn<typeof fields>): Section => {
  const r = (values.boreMm ?? DRAWN_BORE_MM) / 2
  const [deep, low] = [values.deepMm ?? r, values.lowMm]
  const side = (sign: 1 | -1): DrawnShape[] => [
    box('metal', sign > 0 ? r + low : -r - low - wallMm, 0, wallMm, deep),
    box('new', sign > 0 ? r - PROUD_MM : -r - low, 0, low + PROUD_MM, deep),
    poly(
      'gone',
      [
        [sign * r, 0],
        [sign * r, deep],
      ],
      false,
    ),
  ]
  return {
    title: 'Across the bore',
    shapes: [...side(1), ...side(-1)],
    sizes: [
      { from: [-r, -r * 0.25], to: [r, -r * 0.25], mm: 2 * r },
      { from: [r + low + wallMm * 1.4, 0], to: [r + low + wallMm * 1.4, deep], mm: deep },
    ],
  }
}
