import type { Drawn, KindSketch } from '../kind'
import { box, poly, type Section } from '../section/shapes'
import { PROUD_MM } from './proud'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 12q10 5 20 1t20 3v10H4z', gone: 'M4 10h40' }

export const section = ({ values, wallMm }: Drawn<typeof fields>): Section => {
  const wide = values.wideMm ?? Math.sqrt(values.areaMm2 ?? 0)
  const low = values.lowMm
  return {
    title: 'Across the face',
    shapes: [
      box('metal', -wide / 2, low, wide, Math.max(wallMm, low * 3)),
      box('new', -wide / 2, -PROUD_MM, wide, low + PROUD_MM),
      poly(
        'gone',
        [
          [-wide / 2, 0],
          [wide / 2, 0],
        ],
        false,
      ),
    ],
    sizes: [
      { from: [-wide / 2, -3.2], to: [wide / 2, -3.2], mm: wide },
      { from: [wide / 2 + 2, 0], to: [wide / 2 + 2, low], mm: low },
    ],
  }
}
