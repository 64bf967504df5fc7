import { computed, type Ref } from 'vue'
import type { PointMm, Section } from '#core/mend/section/shapes'

const [WIDTH, HEIGHT, MARGIN] = [560, 320, 46]
/** Wide enough for what a dimension at the side says. */
const BESIDE = 70

/** A section in millimetres fitted into a drawing: paths, dimension lines, and its scale as it is written on one. */
export function useSection(section: Ref<Section>) {
  const bounds = computed(() => {
    const all = [
      ...section.value.shapes.flatMap(shape => shape.points),
      ...section.value.sizes.flatMap(size => [size.from, size.to]),
    ]
    const [xs, ys] = [all.map(point => point[0]), all.map(point => point[1])]
    return {
      left: Math.min(...xs),
      top: Math.min(...ys),
      wide: Math.max(...xs) - Math.min(...xs),
      high: Math.max(...ys) - Math.min(...ys),
    }
  })
  const scale = computed(() =>
    Math.min(
      (WIDTH - 2 * BESIDE) / Math.max(0.1, bounds.value.wide),
      (HEIGHT - 2 * MARGIN) / Math.max(0.1, bounds.value.high),
    ),
  )
  const at = ([x, y]: PointMm): PointMm => [
    BESIDE + (x - bounds.value.left) * scale.value + (WIDTH - 2 * BESIDE - bounds.value.wide * scale.value) / 2,
    MARGIN + (y - bounds.value.top) * scale.value,
  ]
  const path = (points: readonly PointMm[], closed: boolean) =>
    `M${points
      .map(point =>
        at(point)
          .map(value => value.toFixed(1))
          .join(' '),
      )
      .join('L')}${closed ? 'Z' : ''}`
  const height = computed(() => bounds.value.high * scale.value + 2 * MARGIN)
  /** At 96 pixels an inch. */
  const scaleText = computed(() => {
    const ratio = (scale.value * 25.4) / 96
    return ratio >= 1 ? `${Number(ratio.toPrecision(2))} : 1` : `1 : ${Number((1 / ratio).toPrecision(2))}`
  })
  return {
    WIDTH,
    height,
    scaleText,
    shapes: computed(() =>
      section.value.shapes.map(shape => ({ role: shape.role, d: path(shape.points, shape.closed) })),
    ),
    sizes: computed(() => section.value.sizes.map(size => ({ from: at(size.from), to: at(size.to), mm: size.mm }))),
  }
}
