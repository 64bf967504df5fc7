<script setup lang="ts">
import { computed, ref, toRef, useId } from 'vue'
import type { Triple } from '#core/solid/forms'
import { VIEWS } from '#core/solid/views'
import { seenWarm } from '#core/warm/heat-map'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { pointIn } from '~/composables/use-drawing'
import { useSettings } from '~/stores/settings'
import { balloonsApart } from './apart'
import { heatCss, shareOfScale } from './heat-colours'
import type { DrawnMark } from './marks'
import { usePartSheet, type Looking, type SolidShape } from './use-part-sheet'
import type { WarmDrawn } from './use-warm-colours'

const props = defineProps<{
  shape: SolidShape
  looking: Looking
  marks: readonly DrawnMark[]
  lit?: string | null
  /** The part's warmth, laid over its metal in colours. */
  warm?: WarmDrawn | null
  /** Whether a tap puts something down. */
  aim?: boolean
  name: string
}>()
const emit = defineEmits<{
  pick: [u: number, v: number]
  light: [id: string]
  move: [id: string, du: number, dv: number]
}>()
const sheet = usePartSheet(toRef(props, 'shape'), toRef(props, 'looking'))
const { WIDTH, MARGIN, height, layers, section, scaleText, wide, high, at, back, placed, scale, cutMm } = sheet
const settings = useSettings()
const hatch = `hatch-${useId().replace(/\W/g, '')}`
const metal = `metal-${useId().replace(/\W/g, '')}`
const svg = ref<SVGSVGElement | null>(null)

const drawn = computed(() => {
  const starts = props.marks.map(mark => placed(mark.path[0]!))
  const numbered = props.marks.flatMap((mark, n) => (mark.number ? [n] : []))
  const balloons = balloonsApart(
    numbered.map(n => starts[n]!),
    11,
    21,
    [WIDTH, height.value],
  )
  return props.marks.map((mark, n) => {
    const points = mark.path.map(placed)
    return {
      ...mark,
      points,
      line:
        points.length > 1 ? `M${points.map(point => point.map(value => value.toFixed(1)).join(' ')).join('L')}` : null,
      across: mark.acrossMm ? (mark.acrossMm / 2) * scale.value : 0,
      balloon: balloons[numbered.indexOf(n)] ?? points[0]!,
    }
  })
})
/** Colours a temperature apart are told by eye; more of them would only be more paths. */
const BANDS = 24
/** Cells of one colour as one path each. */
const bands = computed(() => {
  const { warm } = props
  if (!warm) return []
  const paths = new Map<number, string>()
  for (const { low, high: far, c } of seenWarm(warm.map, warm.moment, props.looking.view, cutMm.value)) {
    const band = Math.round(shareOfScale(c, warm) * BANDS)
    const [[x1, y1], [x2, y2]] = [at(low), at(far)]
    const square = `M${x1.toFixed(1)} ${y1.toFixed(1)}H${x2.toFixed(1)}V${y2.toFixed(1)}H${x1.toFixed(1)}Z`
    paths.set(band, (paths.get(band) ?? '') + square)
  }
  return [...paths].map(([band, d]) => ({ band, d, fill: heatCss(band / BANDS) }))
})
const frame = computed(() => {
  const [left, right] = [(WIDTH - wide.value * scale.value) / 2, (WIDTH + wide.value * scale.value) / 2]
  return { left, right, top: MARGIN, bottom: MARGIN + high.value * scale.value }
})

let dragged: { id: string; x: number; y: number } | null = null
function press(event: PointerEvent, mark: DrawnMark) {
  emit('light', mark.id)
  if (!props.aim || !svg.value) return
  dragged = { id: mark.id, ...pointIn(svg.value, event) }
  svg.value.setPointerCapture(event.pointerId)
}
function release(event: PointerEvent) {
  if (!svg.value) return
  const { x, y } = pointIn(svg.value, event)
  if (dragged) {
    const moved = [(x - dragged.x) / scale.value, -(y - dragged.y) / scale.value] as const
    if (Math.hypot(x - dragged.x, y - dragged.y) > 4) emit('move', dragged.id, ...moved)
    dragged = null
  } else if (props.aim) emit('pick', ...back([x, y]))
}
const STEPS: Record<string, Triple> = {
  ArrowLeft: [-1, 0, 0],
  ArrowRight: [1, 0, 0],
  ArrowUp: [0, 1, 0],
  ArrowDown: [0, -1, 0],
}
function nudge(event: KeyboardEvent, mark: DrawnMark) {
  const way = STEPS[event.key]
  if (!way || !props.aim) return
  event.preventDefault()
  const by = event.shiftKey ? 10 : 1
  emit('move', mark.id, way[0] * by, way[1] * by)
}
</script>

<template>
  <svg
    ref="svg"
    class="drawing"
    :class="{ aim }"
    :viewBox="`0 0 ${WIDTH} ${height}`"
    role="group"
    :aria-label="`${name}, ${VIEWS[looking.view].name}${section ? ', cut through' : ''}, to scale ${scaleText}`"
    data-testid="part-sheet"
    @pointerup="release"
  >
    <defs>
      <HatchPattern :id="hatch" />
      <clipPath v-if="bands.length" :id="metal">
        <path v-for="(layer, n) in layers" :key="n" :d="layer.d" clip-rule="evenodd" />
        <path v-if="section" :d="section" clip-rule="evenodd" />
      </clipPath>
    </defs>
    <path v-for="(layer, n) in layers" :key="n" class="layer" :class="{ faint: !layer.edge }" :d="layer.d" />
    <template v-if="bands.length">
      <g :clip-path="`url(#${metal})`" data-testid="warm-on-part">
        <path v-for="band in bands" :key="band.band" class="band" :d="band.d" :fill="band.fill" :stroke="band.fill" />
      </g>
      <path v-for="(layer, n) in layers.filter(({ edge }) => edge)" :key="`e${n}`" class="layer over" :d="layer.d" />
    </template>
    <path v-if="section" class="section" :d="section" :fill="`url(#${hatch})`" data-testid="section-cut" />
    <DimensionLine
      :x1="frame.left"
      :y1="frame.top - 40"
      :x2="frame.right"
      :y2="frame.top - 40"
      :text="settings.text(wide, 'mm')"
    />
    <DimensionLine
      :x1="frame.right + 38"
      :y1="frame.top"
      :x2="frame.right + 38"
      :y2="frame.bottom"
      :text="settings.text(high, 'mm')"
      turned
    />
    <g
      v-for="mark in drawn"
      :key="mark.id"
      class="mark"
      :class="[mark.role, { lit: lit === mark.id, laid: mark.laid }]"
      tabindex="0"
      role="button"
      :aria-label="`${mark.number ?? ''} ${mark.name}`"
      :data-mark="mark.id"
      @pointerdown.stop="press($event, mark)"
      @keydown="nudge($event, mark)"
      @focus="emit('light', mark.id)"
    >
      <path v-if="mark.line && bands.length" class="halo" :d="mark.line" />
      <path v-if="mark.line" class="line" :d="mark.line" />
      <circle v-if="mark.across" class="across" :cx="mark.points[0]![0]" :cy="mark.points[0]![1]" :r="mark.across" />
      <circle class="spot" :cx="mark.points[0]![0]" :cy="mark.points[0]![1]" r="4" />
      <template v-if="mark.number">
        <path
          class="leader"
          :d="`M${mark.points[0]![0]} ${mark.points[0]![1]}L${mark.balloon[0]} ${mark.balloon[1]}`"
        />
        <rect
          v-if="mark.role === 'guard'"
          class="balloon"
          :x="mark.balloon[0] - 10"
          :y="mark.balloon[1] - 10"
          width="20"
          height="20"
        />
        <circle v-else class="balloon" :cx="mark.balloon[0]" :cy="mark.balloon[1]" r="11" />
        <text class="number" :x="mark.balloon[0]" :y="mark.balloon[1] + 4.5" text-anchor="middle">
          {{ mark.number }}
        </text>
      </template>
    </g>
    <text class="note" :x="8" :y="height - 8">{{ scaleText }}</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 430px;
  touch-action: none;
}
.aim {
  cursor: crosshair;
}
.layer {
  fill: var(--metal);
  fill-rule: evenodd;
  stroke: var(--soot);
  stroke-width: 1.1;
  stroke-linejoin: round;
}
.faint {
  stroke: var(--hatch);
  stroke-width: 0.4;
}
/* Dark in either light: the colours under it are the same in both. */
.over {
  fill: none;
  stroke: #26211f;
}
.band {
  stroke-width: 0.6;
}
.section {
  fill-rule: evenodd;
  stroke: var(--soot);
  stroke-width: 2.2;
  stroke-linejoin: round;
}
.mark {
  cursor: pointer;
  outline: none;
}
.line {
  fill: none;
  stroke: var(--stop);
  stroke-width: 2.4;
  stroke-linejoin: round;
  stroke-dasharray: 9 2 2 2;
}
.halo {
  fill: none;
  stroke: var(--sheet);
  stroke-width: 5;
  stroke-linejoin: round;
}
.laid .line {
  stroke: var(--new-metal);
  stroke-width: 5;
  stroke-dasharray: none;
}
.spot {
  fill: var(--stop);
  stroke: var(--sheet);
}
.guard .spot,
.plain .spot {
  fill: var(--slate);
}
.laid .spot {
  fill: var(--new-metal);
}
.across {
  fill: none;
  stroke: var(--slate);
  stroke-width: 1.2;
  stroke-dasharray: 6 3;
}
.leader {
  stroke: var(--soot);
  stroke-width: 0.8;
}
.balloon {
  fill: var(--sheet);
  stroke: var(--soot);
  stroke-width: 1.3;
}
.lit .balloon,
.mark:focus-visible .balloon {
  fill: var(--chestnut);
}
.number {
  font-size: 12px;
  font-weight: 650;
}
.lit .number,
.mark:focus-visible .number {
  fill: var(--paper);
}
.mark:focus-visible .spot {
  stroke: var(--chestnut);
  stroke-width: 3;
}
.note {
  font-size: 12px;
  fill: var(--slate);
}
</style>
