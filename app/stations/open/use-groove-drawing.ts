import { said } from '#core/job/fields/said'
import { computed } from 'vue'
import { grooveOutline, includedDegForHalfWidth } from '#core/groove/outline'
import { passNumber } from '#core/groove/sequence'
import { halfWidthMm } from '#core/groove/section'
import { write } from '#core/quantity/show'
import { useDrawing } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const WIDTH = 520
const TOP = 96
const HEIGHT = 330

/** The groove in section: its shape in millimetres laid into the drawing, and what dragging a lip or the root means. */
export function useGrooveDrawing() {
  const store = useJob()
  const settings = useSettings()
  const groove = computed(() => store.plan?.open.data.groove ?? null)
  const wallMm = computed(() => store.job?.takeIn.wallMm.value ?? 0)
  const sizes = computed(() => said(store.job!, 'open'))
  const sides = computed(() => store.job?.open.sides ?? 1)
  const shape = computed(() => ({
    depthMm: groove.value?.depthMm ?? 0,
    includedDeg: sizes.value.includedDeg,
    rootRadiusMm: sizes.value.rootRadiusMm,
  }))
  const capMm = computed(() => sizes.value.capMm)
  const box = computed(() => ({
    widthMm: (groove.value?.topWidthMm ?? 10) * 1.7,
    heightMm: wallMm.value + 2 * capMm.value,
  }))
  const { scale, scaleText } = useDrawing(box, { width: WIDTH, height: HEIGHT, margin: 30 })
  const px = (mm: number) => mm * scale.value
  const middle = WIDTH / 2
  const wallPx = computed(() => px(wallMm.value))
  /** Heights from the bottom of the groove, to drawing units; the second side is the first turned over. */
  const yOf = (heightMm: number) => TOP + px(shape.value.depthMm - heightMm)
  const outline = computed(() => (groove.value ? grooveOutline(shape.value) : []))
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
  const beads = computed(() => {
    if (!groove.value) return []
    const first = groove.value.beads.map(bead => ({
      ...bead,
      x: middle + px(bead.xMm),
      y: yOf(bead.heightMm),
      rx: px(bead.halfWidthMm),
      ry: px(bead.halfHeightMm),
    }))
    const both = ([1, 2] as const).slice(0, sides.value)
    return both.flatMap(side =>
      first.map(bead => ({
        ...bead,
        pass: passNumber(sides.value, side, bead.pass - 1),
        y: side === 1 ? bead.y : 2 * TOP + wallPx.value - bead.y,
      })),
    )
  })
  const lip = computed(() => ({ x: middle + px(halfWidthMm(shape.value, shape.value.depthMm)), y: TOP }))
  const root = computed(() => ({ x: middle, y: TOP + px(shape.value.depthMm) }))

  const put = (key: 'includedDeg' | 'landMm', value: number, unit: 'deg' | 'mm') => {
    const rounded = unit === 'deg' ? Math.round(value) : Math.round(value * 10) / 10
    store.edit(['open', key], {
      typed: unit === 'deg' ? `${rounded} °` : write(rounded, 'mm', 'metric'),
      value: rounded,
    })
  }
  function dragLip(x: number) {
    const half = Math.max(0, (x - middle) / scale.value)
    put(
      'includedDeg',
      Math.min(120, Math.max(20, includedDegForHalfWidth(shape.value.depthMm, shape.value.rootRadiusMm, half))),
      'deg',
    )
  }
  function dragRoot(y: number) {
    const depth = Math.min(wallMm.value / sides.value, Math.max(wallMm.value * 0.1, (y - TOP) / scale.value))
    const land = Math.max(0, wallMm.value - depth * sides.value)
    store.edit(['open', 'keepBreak'], land > 0.05)
    put('landMm', land, 'mm')
  }
  const nudgeLip = (deg: number) =>
    put('includedDeg', Math.min(120, Math.max(20, shape.value.includedDeg + deg)), 'deg')
  const nudgeRoot = (mm: number) => dragRoot(TOP + px(shape.value.depthMm + mm))

  return {
    groove,
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
    settings,
    dragLip,
    dragRoot,
    nudgeLip,
    nudgeRoot,
    TOP,
    WIDTH,
  }
}
