<script setup lang="ts">
import { computed, ref } from 'vue'
import { pointIn } from '~/composables/use-drawing'
import { PLOT, useCrackMap } from './use-crack-map'

const { store, map, problem, tookMs, x, y, drawn, dilutionPct, setDilution, dragTo } = useCrackMap()
const svg = ref<SVGSVGElement | null>(null)
const dragging = ref(false)
const last = computed(() => map.value?.beads.at(-1))
const alloy = computed(() => store.plan?.know.data.alloy.name ?? '')
const filler = computed(() => store.plan?.call.data.fillerAlloy ?? '')

function grab(event: PointerEvent) {
  dragging.value = true
  svg.value?.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (!dragging.value || !svg.value) return
  const point = pointIn(svg.value, event)
  dragTo(point.x, point.y)
}
const ticks = (max: number) => Array.from({ length: Math.floor(max / 2) + 1 }, (_, i) => i * 2)
</script>

<template>
  <p class="label gap">Where the bead lies among the metals that crack</p>
  <p v-if="problem" class="quiet">{{ problem }}</p>
  <template v-if="map && last">
    <svg
      ref="svg"
      class="drawing"
      viewBox="0 0 520 384"
      role="group"
      aria-label="Crack map: silicon against magnesium"
      :data-took="Math.round(tookMs)"
      @pointermove="move"
      @pointerup="dragging = false"
      @pointercancel="dragging = false"
    >
      <rect class="ground" :x="PLOT.left" :y="PLOT.top" :width="PLOT.width" :height="PLOT.height" />
      <path v-for="contour in drawn" :key="contour.level" class="contour" :d="contour.path" />
      <text
        v-for="contour in drawn.filter(entry => entry.label)"
        :key="`t${contour.level}`"
        class="level"
        :x="contour.label!.x"
        :y="contour.label!.y"
      >
        {{ contour.level }}
      </text>
      <path class="edge" :d="`M${PLOT.left} ${PLOT.top}V${PLOT.top + PLOT.height}H${PLOT.left + PLOT.width}`" />
      <g v-for="tick in ticks(map.siMaxPct)" :key="`s${tick}`">
        <path class="thin" :d="`M${x(tick)} ${PLOT.top + PLOT.height}v5`" />
        <text :x="x(tick)" :y="PLOT.top + PLOT.height + 18" text-anchor="middle">{{ tick }}</text>
      </g>
      <g v-for="tick in ticks(map.mgMaxPct)" :key="`m${tick}`">
        <path class="thin" :d="`M${PLOT.left} ${y(tick)}h-5`" />
        <text :x="PLOT.left - 9" :y="y(tick) + 4" text-anchor="end">{{ tick }}</text>
      </g>
      <text class="note" :x="PLOT.left + PLOT.width" :y="PLOT.top + PLOT.height + 36" text-anchor="end">
        silicon, %
      </text>
      <text
        class="note"
        x="14"
        :y="PLOT.top + PLOT.height / 2"
        text-anchor="middle"
        :transform="`rotate(-90 14 ${PLOT.top + PLOT.height / 2})`"
      >
        magnesium, %
      </text>
      <path
        class="line"
        :d="`M${x(map.filler.siPct)} ${y(map.filler.mgPct)}L${x(map.base.siPct)} ${y(map.base.mgPct)}`"
      />
      <rect class="point" :x="x(map.base.siPct) - 6" :y="y(map.base.mgPct) - 6" width="12" height="12" />
      <text :x="x(map.base.siPct) + 12" :y="y(map.base.mgPct) - 8">base {{ alloy }}</text>
      <path class="point" :d="`M${x(map.filler.siPct)} ${y(map.filler.mgPct) - 8}l8 14h-16z`" />
      <text :x="x(map.filler.siPct) - 12" :y="y(map.filler.mgPct) - 14" text-anchor="middle">{{ filler }}</text>
      <g v-for="bead in map.beads.slice(1)" :key="bead.pass">
        <circle class="bead" :cx="x(bead.siPct)" :cy="y(bead.mgPct)" r="7" />
        <text class="pass" :x="x(bead.siPct)" :y="y(bead.mgPct) + 4" text-anchor="middle">{{ bead.pass }}</text>
      </g>
      <circle
        class="handle"
        role="slider"
        tabindex="0"
        aria-label="Dilution: share of the bead that is melted base"
        :aria-valuenow="dilutionPct"
        aria-valuemin="0"
        aria-valuemax="100"
        :cx="x(map.beads[0]!.siPct)"
        :cy="y(map.beads[0]!.mgPct)"
        r="9"
        @pointerdown="grab"
        @keydown.right.prevent="setDilution(dilutionPct + 1)"
        @keydown.left.prevent="setDilution(dilutionPct - 1)"
      />
    </svg>
    <p>
      At <b class="figure">{{ dilutionPct }} %</b> base melted in, pass {{ last.pass }} has an index of
      <b class="figure" data-testid="bead-index">{{ last.index.toFixed(2) }}</b>, {{ last.rating }}; bare
      {{ alloy }} has <span class="figure">{{ map.base.index.toFixed(2) }}</span>. The map is drawn at the bead's own
      <span class="figure">{{ map.cuPct.toFixed(2) }} %</span> copper and
      <span class="figure">{{ map.znPct.toFixed(2) }} %</span> zinc; bare 6061 is 1.
    </p>
    <div class="row">
      <span>Passes, each on the last</span>
      <v-btn-toggle
        :model-value="store.job!.call.passes"
        aria-label="Passes, each on the last"
        @update:model-value="store.edit(['call', 'passes'], $event)"
        ><v-btn v-for="n in 4" :key="n" :value="n">{{ n }}</v-btn></v-btn-toggle
      >
    </div>
  </template>
  <p v-else-if="!problem" class="quiet" role="status">Working the map out…</p>
</template>

<style scoped>
.gap {
  margin-top: 18px;
}
.ground {
  fill: var(--sheet);
}
.contour {
  fill: var(--removed);
  fill-opacity: 0.13;
  stroke: var(--removed);
  stroke-width: 1;
}
.level {
  font-size: 11px;
  fill: var(--soot);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.line {
  stroke: var(--new-metal);
  stroke-width: 2;
  stroke-dasharray: 6 4;
  fill: none;
}
.point {
  fill: var(--soot);
}
.bead {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
  stroke-width: 1.5;
}
.pass {
  font-size: 10px;
  fill: var(--new-metal);
  font-weight: 700;
}
</style>
