import type { Drawn, KindSketch } from '../kind'
import { poly, type Section } from '../section/shapes'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 20h24l12-9 3 4-14 11H4z', gone: 'M28 20h16v6H28' }

export const section = ({ values, wallMm }: Drawn<typeof fields>): Section => {
  const { bentMm: bent, overMm: over } = values
  const thick = Math.min(wallMm, over / 6)
  return {
    title: 'Along it',
    shapes: [
      poly('metal', [
        [-over, 0],
        [0, 0],
        [over, bent],
        [over, bent + thick],
        [0, thick],
        [-over, thick],
      ]),
      poly(
        'gone',
        [
          [0, 0],
          [over, 0],
        ],
        false,
      ),
    ],
    sizes: [
      { from: [over * 1.06, 0], to: [over * 1.06, bent], mm: bent },
      { from: [0, thick + bent + over * 0.12], to: [over, thick + bent + over * 0.12], mm: over },
    ],
  }
}
