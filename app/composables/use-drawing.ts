import { computed, type Ref } from 'vue'

export interface Box {
  widthMm: number
  heightMm: number
}

/**
 * Fits a thing in millimetres into a drawing of given pixels with room round it; gives the scale and both ways between
 * mm and px.
 */
export function useDrawing(box: Ref<Box>, pixels: { width: number; height: number; margin: number }) {
  const scale = computed(() =>
    Math.min(
      (pixels.width - 2 * pixels.margin) / Math.max(1e-6, box.value.widthMm),
      (pixels.height - 2 * pixels.margin) / Math.max(1e-6, box.value.heightMm),
    ),
  )
  /** The drawing's scale as it is written on one: 10 : 1, or 1 : 2.5 (at 96 pixels an inch). */
  const scaleText = computed(() => {
    const ratio = (scale.value * 25.4) / 96
    return ratio >= 1 ? `${Number(ratio.toPrecision(2))} : 1` : `1 : ${Number((1 / ratio).toPrecision(2))}`
  })
  return { scale, scaleText }
}

/** Where a pointer is in the drawing's own units. */
export function pointIn(svg: SVGSVGElement, event: PointerEvent): { x: number; y: number } {
  const matrix = svg.getScreenCTM()
  if (!matrix) return { x: 0, y: 0 }
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return { x: point.x, y: point.y }
}
