import type { Drawn, KindSketch } from '../kind'
import { box, poly, type Section } from '../section/shapes'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M8 6h10v6h12V6h10v20H30v-6H18v6H8z', gone: 'M18 12h12M18 20h12' }

export const section = ({ values }: Drawn<typeof fields>): Section => {
  const { turnedMm: D, wideMm: wide, deepMm: deep, proudMm: proud } = values
  const half = wide * 1.4 + deep
  const shown = Math.min(D / 2, deep * 3)
  return {
    title: 'Along the axis, the upper half',
    shapes: [
      poly('metal', [
        [-half, 0],
        [-wide / 2, 0],
        [-wide / 2, deep],
        [wide / 2, deep],
        [wide / 2, 0],
        [half, 0],
        [half, shown],
        [-half, shown],
      ]),
      box('new', -wide / 2, -proud, wide, deep + proud),
    ],
    sizes: [
      { from: [-wide / 2, -proud * 2.6], to: [wide / 2, -proud * 2.6], mm: wide },
      { from: [half * 0.9, 0], to: [half * 0.9, deep], mm: deep },
    ],
  }
}
