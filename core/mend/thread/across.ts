import { box, fillet, poly, type DrawnShape, type DrawnSize, type Section } from '../section/shapes'
import type { Drawn } from '../kind'
import type { fields } from './fields'
import { BOSS_LEG_MM, BRIGHT_MM, CAST_WIDE_MM, PROUD_MM } from './sizes.table'
import { bossOf } from './ways'
import { slugAcrossMm } from '../../fit/slug-size'
import { castDeepMm } from '../../thread/cast-depth'

/** A boss in section with what each way of giving its thread back lays or puts in. */
export function bossed({ values, wallMm, way }: Drawn<typeof fields>): Section {
  const { thread, deepMm: deep } = values
  const r = thread.majorMm / 2
  const R = bossOf(thread, values.bossMm) / 2
  const floor = deep + Math.max(2, wallMm * 0.6)
  const half = (sign: 1 | -1, inner: number): DrawnShape => box('metal', sign > 0 ? inner : -R, 0, R - inner, floor)
  const title = `Across the boss, ${thread.designation}`
  const sizes: DrawnSize[] = [
    { from: [-R, -r * 0.9], to: [R, -r * 0.9], mm: 2 * R },
    { from: [R + r * 0.7, 0], to: [R + r * 0.7, deep], mm: deep },
  ]
  const base = (inner: number): DrawnShape[] => [
    half(-1, inner),
    half(1, inner),
    box('metal', -inner, deep, 2 * inner, floor - deep),
  ]
  switch (way) {
    case 'weld-and-tap':
      return {
        title,
        sizes,
        shapes: [...base(r + BRIGHT_MM), box('new', -r - BRIGHT_MM, -PROUD_MM, 2 * (r + BRIGHT_MM), deep + PROUD_MM)],
      }
    case 'pressed-slug': {
      const s = slugAcrossMm(thread.majorMm, values.slugMm) / 2
      return {
        title,
        sizes,
        shapes: [
          half(-1, s),
          half(1, s),
          box('other', -s, 0, 2 * s, deep),
          poly('new', [
            [-s - 2, 0],
            [-s + 2, 0],
            [-s, 2.5],
          ]),
          poly('new', [
            [s - 2, 0],
            [s + 2, 0],
            [s, 2.5],
          ]),
          box('metal', -s, deep, 2 * s, floor - deep),
        ],
      }
    }
    case 'new-boss':
      return {
        title,
        sizes,
        shapes: [
          box('metal', -2 * R, deep, 4 * R, wallMm),
          box('other', -R, 0, R - r, deep),
          box('other', r, 0, R - r, deep),
          fillet(R, deep, BOSS_LEG_MM, 1),
          fillet(-R, deep, BOSS_LEG_MM, -1),
        ],
      }
    case 'cast-on-screw':
      return {
        title,
        sizes,
        shapes: [
          ...base(r),
          box('other', -r, -deep * 0.3, 2 * r, deep),
          box('new', -r - CAST_WIDE_MM, 0, CAST_WIDE_MM, castDeepMm(thread.majorMm, deep)),
          box('new', r, 0, CAST_WIDE_MM, castDeepMm(thread.majorMm, deep)),
        ],
      }
    case 'wire-insert':
    case 'solid-insert': {
      const wall = way === 'wire-insert' ? r * 0.25 : r * 0.5
      return {
        title,
        sizes,
        shapes: [
          ...base(r + wall),
          box('other', -r - wall, 0.5, wall, deep * 0.9),
          box('other', r, 0.5, wall, deep * 0.9),
        ],
      }
    }
    default:
      return { title, sizes, shapes: base(r) }
  }
}
