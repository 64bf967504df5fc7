<script setup lang="ts">
import { ref, toRef, useId } from 'vue'
import type { DrawnGroove } from '#core/groove/drawn'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { pointIn } from '~/composables/use-drawing'
import { useSettings } from '~/stores/settings'
import { useGrooveAcross } from './use-groove-across'

/** A groove across, bead by bead, with its lip and its root to take hold of where they can be set. */
const props = defineProps<{ groove: DrawnGroove; title: string; liveDeg?: number; lip?: boolean; root?: boolean }>()
const emit = defineEmits<{ angle: [includedDeg: number]; land: [landMm: number] }>()
const settings = useSettings()

const {
  wallMm,
  wallPx,
  capMm,
  sides,
  shape,
  scaleText,
  edge,
  metal,
  beads,
  lip: lipAt,
  root: rootAt,
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
} = useGrooveAcross(toRef(props, 'groove'), toRef(props, 'liveDeg'), {
  angle: deg => emit('angle', deg),
  land: mm => emit('land', mm),
})
const hatch = `hatch-${useId().replace(/\W/g, '')}`
const svg = ref<SVGSVGElement | null>(null)
const dragging = ref<'lip' | 'root' | null>(null)

function grab(what: 'lip' | 'root', event: PointerEvent) {
  dragging.value = what
  svg.value?.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (!dragging.value || !svg.value) return
  const point = pointIn(svg.value, event)
  if (dragging.value === 'lip') dragLip(point.x)
  else dragRoot(point.y)
}
</script>

<template>
  <p class="label">{{ title }}, {{ scaleText }}</p>
  <svg
    ref="svg"
    class="drawing"
    :viewBox="`0 0 ${WIDTH} ${TOP + wallPx + 60}`"
    role="group"
    aria-label="The groove in section with its passes"
    @pointermove="move"
    @pointerup="dragging = null"
    @pointercancel="dragging = null"
  >
    <defs><HatchPattern :id="hatch" /></defs>
    <path :d="metal" :fill="`url(#${hatch})`" />
    <path class="edge" :d="edge" />
    <path class="edge" :d="metal" fill="none" />
    <path
      v-if="shape.depthMm * sides < wallMm"
      class="crack"
      :d="
        sides === 1
          ? `M${middle} ${rootAt.y}l-3 ${(TOP + wallPx - rootAt.y) / 4}l6 ${(TOP + wallPx - rootAt.y) / 4}l-5 ${(TOP + wallPx - rootAt.y) / 4}L${middle} ${TOP + wallPx}`
          : `M${middle} ${rootAt.y}l-2 ${(wallPx - 2 * px(shape.depthMm)) / 2}L${middle} ${TOP + wallPx - px(shape.depthMm)}`
      "
    />
    <path
      v-if="capMm > 0"
      class="new-line"
      stroke-dasharray="5 4"
      :d="`M${2 * middle - lipAt.x} ${TOP}Q${middle} ${TOP - 2 * px(capMm)} ${lipAt.x} ${TOP}`"
    />
    <g v-for="bead in beads" :key="bead.number">
      <ellipse class="new" :cx="bead.x" :cy="bead.y" :rx="bead.rx" :ry="bead.ry" />
      <text :x="bead.x" :y="bead.y + 5" text-anchor="middle" class="pass">{{ bead.number }}</text>
    </g>
    <DimensionLine
      :x1="2 * middle - lipAt.x"
      :y1="34"
      :x2="lipAt.x"
      :y2="34"
      :text="settings.text(groove.topWidthMm, 'mm')"
    />
    <path class="thin" :d="`M${2 * middle - lipAt.x} 28V${TOP - 4}M${lipAt.x} 28V${TOP - 4}`" />
    <DimensionLine :x1="36" :y1="TOP" :x2="36" :y2="rootAt.y" :text="settings.text(shape.depthMm, 'mm')" />
    <DimensionLine :x1="WIDTH - 84" :y1="TOP" :x2="WIDTH - 84" :y2="TOP + wallPx" :text="settings.text(wallMm, 'mm')" />
    <text v-if="shape.depthMm * sides < wallMm" class="note" :x="middle + 16" :y="TOP + wallPx + 22">
      break kept, {{ settings.text(wallMm - shape.depthMm * sides, 'mm') }}
    </text>
    <circle
      v-if="props.lip"
      class="handle"
      role="slider"
      tabindex="0"
      aria-label="Lip: the included angle"
      :aria-valuenow="Math.round(shape.includedDeg)"
      :aria-valuemin="LEAST_DEG"
      :aria-valuemax="MOST_DEG"
      :cx="lipAt.x"
      :cy="lipAt.y"
      r="8"
      @pointerdown="grab('lip', $event)"
      @keydown.right.prevent="nudgeLip(1)"
      @keydown.left.prevent="nudgeLip(-1)"
    />
    <circle
      v-if="props.root"
      class="handle"
      role="slider"
      tabindex="0"
      aria-label="Root: the depth"
      :aria-valuenow="Number(shape.depthMm.toFixed(1))"
      aria-valuemin="0"
      :aria-valuemax="wallMm"
      :cx="rootAt.x"
      :cy="rootAt.y"
      r="8"
      @pointerdown="grab('root', $event)"
      @keydown.down.prevent="nudgeRoot(0.1)"
      @keydown.up.prevent="nudgeRoot(-0.1)"
    />
  </svg>
</template>

<style scoped>
.pass {
  font-weight: 700;
  fill: var(--soot);
}
</style>
