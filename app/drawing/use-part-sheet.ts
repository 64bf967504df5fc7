import { computed, type Ref } from 'vue'
import type { Flat, Triple } from '#core/solid/forms'
import type { Shape } from '#core/solid/shape.schema'
import { onSheet, sectionView, viewOf, VIEWS, type ViewId } from '#core/solid/views'

const [WIDTH, HIGHEST, MARGIN] = [560, 430, 62]

export type SolidShape = Exclude<Shape, { kind: 'voxels' }>
export interface Looking {
  view: ViewId
  /** Where the part is cut through, as a share of its way along the view's axis; null, it is seen whole. */
  cutShare: number | null
}

/**
 * One view of a solid, or a section through it, fitted on a sheet: the paths to draw from the far side to the near one.
 */
export function usePartSheet(shape: Ref<SolidShape | null>, looking: Ref<Looking>) {
  const seen = computed(() => (shape.value ? viewOf(shape.value, looking.value.view) : null))
  const low = computed<Flat>(() => seen.value?.low ?? [0, 0])
  const wide = computed(() => (seen.value ? seen.value.high[0] - seen.value.low[0] : 1))
  const high = computed(() => (seen.value ? seen.value.high[1] - seen.value.low[1] : 1))
  const scale = computed(() =>
    Math.min((WIDTH - 2 * MARGIN) / Math.max(0.1, wide.value), (HIGHEST - 2 * MARGIN) / Math.max(0.1, high.value)),
  )
  const left = computed(() => (WIDTH - wide.value * scale.value) / 2)
  /** Millimetres on the sheet, up being up, to the drawing's own units. */
  const at = ([x, y]: Flat): Flat => [
    left.value + (x - low.value[0]) * scale.value,
    MARGIN + (high.value - (y - low.value[1])) * scale.value,
  ]
  const back = ([px, py]: Flat): Flat => [
    (px - left.value) / scale.value + low.value[0],
    high.value - (py - MARGIN) / scale.value + low.value[1],
  ]
  const pathOf = (rings: readonly (readonly Flat[])[]) =>
    rings
      .map(
        ring =>
          `M${ring
            .map(point =>
              at(point)
                .map(value => value.toFixed(1))
                .join(' '),
            )
            .join('L')}Z`,
      )
      .join('')

  /** The cut's height along the axis looked along, mm. */
  const cutMm = computed(() => {
    const { view, cutShare } = looking.value
    if (cutShare === null || !seen.value?.layers.length) return null
    const heights = seen.value.layers.map(layer => layer.atMm)
    const [from, to] = [Math.min(...heights), Math.max(...heights)]
    // Looked at from the front and the left, the near side is the low one.
    const share = VIEWS[view].axis === 2 ? cutShare : 1 - cutShare
    return from + (to - from) * share
  })
  const layers = computed(() =>
    (seen.value?.layers ?? [])
      .filter(
        layer =>
          cutMm.value === null || (looking.value.view === 'plan' ? layer.atMm < cutMm.value : layer.atMm > cutMm.value),
      )
      .map(layer => ({ d: pathOf(layer.rings), edge: layer.edge })),
  )
  const section = computed(() =>
    cutMm.value === null || !shape.value ? null : pathOf(sectionView(shape.value, looking.value.view, cutMm.value)),
  )
  const scaleText = computed(() => {
    const ratio = (scale.value * 25.4) / 96
    return ratio >= 1 ? `${Number(ratio.toPrecision(2))} : 1` : `1 : ${Number((1 / ratio).toPrecision(2))}`
  })
  return {
    WIDTH,
    MARGIN,
    height: computed(() => high.value * scale.value + 2 * MARGIN),
    layers,
    section,
    cutMm,
    scale,
    scaleText,
    wide,
    high,
    at,
    back,
    /** A place in the part, on the drawing. */
    placed: (place: Readonly<Triple>) => at(onSheet(looking.value.view, place)),
  }
}
