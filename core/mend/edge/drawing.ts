import type { Drawn, KindSketch } from '../kind'
import { box, poly, type Section } from '../section/shapes'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 8h40v8l-9 2-6 6H4z', gone: 'M44 16v8H29' }

export const section = ({ values }: Drawn<typeof fields>): Section => {
  const { wideMm: wide, highMm: high, proudMm: proud } = values
  return {
    title: 'Across the edge',
    shapes: [
      box('metal', -wide / 2, 0, wide, high * 1.5),
      box('new', -wide / 2 - proud, -high - proud, wide + 2 * proud, high + proud),
      poly(
        'gone',
        [
          [-wide / 2, 0],
          [-wide / 2, -high],
          [wide / 2, -high],
          [wide / 2, 0],
        ],
        false,
      ),
    ],
    sizes: [
      { from: [-wide / 2, high * 1.8], to: [wide / 2, high * 1.8], mm: wide },
      { from: [wide / 2 + proud + wide * 0.3, -high], to: [wide / 2 + proud + wide * 0.3, 0], mm: high },
    ],
  }
}
