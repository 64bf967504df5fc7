import { computed, type Ref } from 'vue'
import type { DrawnGroove } from '#core/groove/drawn'
import { grooveOutline, includedDegForHalfWidth } from '#core/groove/outline'
import { halfWidthMm } from '#core/groove/section'
import { useDrawing } from '~/composables/use-drawing'

const WIDTH = 520
const TOP = 96
const HEIGHT = 330
const [LEAST_DEG, MOST_DEG] = [20, 120]

/** What a hand on the drawing sets. */
export interface GrooveHands {
  readonly angle: (includedDeg: number) => void
  readonly land: (landMm: number) => void
}

/** The groove in section: its shape in millimetres laid into the drawing, and what dragging a lip or the root means. */
/** @param liveDeg the included angle as it is typed now: a hand that goes on does not wait for the plan */
export function useGrooveAcross(groove: Ref<DrawnGroove>, liveDeg: Ref<number | undefined>, hands: GrooveHands) {
  const wallMm = computed(() => groove.value.wallMm)
  const sides = computed(() => groove.value.sides)
  const shape = computed(() => ({
    ...groove.value.shape,
    includedDeg: liveDeg.value ?? groove.value.shape.includedDeg,
  }))
  const capMm = computed(() => groove.value.capMm)
  const box = computed(() => ({ widthMm: groove.value.topWidthMm * 1.7, heightMm: wallMm.value + 2 * capMm.value }))
  const { scale, scaleText } = useDrawing(box, { width: WIDTH, height: HEIGHT, margin: 30 })
  const px = (mm: number) => mm * scale.value
  const middle = WIDTH / 2
  const wallPx = computed(() => px(wallMm.value))
  /** Heights from the bottom of the groove, to drawing units; the second side is the first turned over. */
  const yOf = (heightMm: number) => TOP + px(shape.value.depthMm - heightMm)
  const outline = computed(() => grooveOutline(shape.value))
  const edge = computed(() => {
    if (outline.value.length === 0) return ''
    const top = outline.value.map(point => `${middle + px(point.xMm)} ${yOf(point.heightMm)}`)
    return `M10 ${TOP}L${top.join('L')}L${WIDTH - 10} ${TOP}`
  })
  const metal = computed(() => {
    if (!edge.value) return ''
    const bottom = TOP + wallPx.value
    const back =
      sides.value === 2
        ? [...outline.value]
            .reverse()
            .map(point => `${middle + px(point.xMm)} ${bottom - px(shape.value.depthMm - point.heightMm)}`)
        : []
    return `${edge.value}L${WIDTH - 10} ${bottom}${back.length ? `L${back.join('L')}` : ''}L10 ${bottom}z`
  })
  const beads = computed(() =>
    groove.value.beads.map(bead => {
      const y = yOf(bead.heightMm)
      return {
        number: bead.number,
        x: middle + px(bead.xMm),
        y: bead.side === 1 ? y : 2 * TOP + wallPx.value - y,
        rx: px(bead.halfWidthMm),
        ry: px(bead.halfHeightMm),
      }
    }),
  )
  const lip = computed(() => ({ x: middle + px(halfWidthMm(shape.value, shape.value.depthMm)), y: TOP }))
  const root = computed(() => ({ x: middle, y: TOP + px(shape.value.depthMm) }))

  const setAngle = (deg: number) => hands.angle(Math.round(Math.min(MOST_DEG, Math.max(LEAST_DEG, deg))))
  function dragLip(x: number) {
    const half = Math.max(0, (x - middle) / scale.value)
    setAngle(includedDegForHalfWidth(shape.value.depthMm, shape.value.rootRadiusMm, half))
  }
  /** The root goes no higher than a tenth of the wall, and no lower than through it. */
  function dragRoot(y: number) {
    const depth = Math.min(wallMm.value / sides.value, Math.max(wallMm.value * 0.1, (y - TOP) / scale.value))
    hands.land(Math.round(Math.max(0, wallMm.value - depth * sides.value) * 10) / 10)
  }
  const nudgeLip = (deg: number) => setAngle(shape.value.includedDeg + deg)
  const nudgeRoot = (mm: number) => dragRoot(TOP + px(shape.value.depthMm + mm))

  return {
    wallMm,
    wallPx,
    capMm,
    sides,
    shape,
    scaleText,
    edge,
    metal,
    beads,
    lip,
    root,
    middle,
    px,
    dragLip,
    dragRoot,
    nudgeLip,
    nudgeRoot,
    TOP,
    WIDTH,
    LEAST_DEG,
    MOST_DEG,
  }
}
