<script setup lang="ts">
import { computed } from 'vue'
import { lengthIn } from '#core/quantity/show'
import { useSettings } from '~/stores/settings'

interface MapPoint {
  designation: string
  system: string
  pitchMm: number
  diameterMm: number
  probability: number
}
const props = defineProps<{
  points: readonly MapPoint[]
  diameterMm: number | null
  pitchMm: number | null
  uncertaintyMm: number
  picked: string | null
}>()
const emit = defineEmits<{ pick: [designation: string] }>()
const settings = useSettings()
const WIDTH = 640
const HIGH = 430
const LEFT = 54
const FOOT = 40
/** Both scales by ratio: threads crowd at the small end. */
const window_ = computed(() =>
  props.diameterMm ? { low: props.diameterMm * 0.72, high: props.diameterMm * 1.38 } : { low: 2, high: 60 },
)
const pitchWindow = { low: 0.22, high: 6.5 }
const x = (mm: number) =>
  LEFT + (Math.log(mm / window_.value.low) / Math.log(window_.value.high / window_.value.low)) * (WIDTH - LEFT - 14)
const y = (mm: number) =>
  HIGH - FOOT - (Math.log(mm / pitchWindow.low) / Math.log(pitchWindow.high / pitchWindow.low)) * (HIGH - FOOT - 14)
const shown = computed(() =>
  props.points.filter(point => point.diameterMm > window_.value.low && point.diameterMm < window_.value.high),
)
const SHAPES: Record<string, string> = {
  metric: 'M-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  inch: 'M-4 -4H4V4H-4z',
  pipe: 'M0 -5L5 4H-5z',
}
const kind = (system: string) =>
  system.startsWith('metric') ? 'metric' : ['G', 'R', 'Rp', 'NPT', 'NPTF'].includes(system) ? 'pipe' : 'inch'
const ticks = computed(() =>
  [2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 40, 50, 60].filter(
    mm => mm > window_.value.low && mm < window_.value.high,
  ),
)
const named = computed(() =>
  shown.value
    .filter(point => point.probability > 0.03)
    .toSorted((a, b) => b.probability - a.probability)
    .slice(0, 6),
)
</script>

<template>
  <svg
    class="drawing map"
    :viewBox="`0 0 ${WIDTH} ${HIGH}`"
    role="img"
    aria-label="Every standard thread, diameter against pitch; what was measured is the shaded patch, the likely ones are dark"
  >
    <g v-for="mm in ticks" :key="`d${mm}`">
      <line class="faint" :x1="x(mm)" :x2="x(mm)" y1="10" :y2="HIGH - FOOT" />
      <text :x="x(mm)" :y="HIGH - FOOT + 18" text-anchor="middle">
        {{ settings.system === 'inch' ? lengthIn(mm, 'inch').toFixed(2) : mm }}
      </text>
    </g>
    <g v-for="mm in [0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 5]" :key="`p${mm}`">
      <line class="faint" :x1="LEFT" :x2="WIDTH - 14" :y1="y(mm)" :y2="y(mm)" />
      <text :x="LEFT - 6" :y="y(mm) + 4" text-anchor="end">
        {{ settings.system === 'inch' ? Math.round(1 / lengthIn(mm, 'inch')) : mm }}
      </text>
    </g>
    <text class="note" :x="WIDTH - 14" :y="HIGH - 4" text-anchor="end">
      diameter, {{ settings.system === 'inch' ? 'in' : 'mm' }}
    </text>
    <text class="note" x="2" y="10">{{ settings.system === 'inch' ? 'threads an inch' : 'pitch, mm' }}</text>
    <rect
      v-if="diameterMm"
      class="patch"
      :x="x(Math.max(window_.low * 1.001, diameterMm - 2 * uncertaintyMm))"
      :width="
        Math.max(
          4,
          x(diameterMm + 2 * uncertaintyMm) - x(Math.max(window_.low * 1.001, diameterMm - 2 * uncertaintyMm)),
        )
      "
      :y="pitchMm ? y(pitchMm * 1.024) : 10"
      :height="pitchMm ? Math.max(6, y(pitchMm * 0.976) - y(pitchMm * 1.024)) : HIGH - FOOT - 10"
    />
    <path
      v-for="point in shown"
      :key="point.designation"
      :d="SHAPES[kind(point.system)]"
      :transform="`translate(${x(point.diameterMm)} ${y(point.pitchMm)}) scale(${0.8 + 0.9 * Math.sqrt(point.probability)})`"
      :class="['point', { likely: point.probability > 0.03, picked: point.designation === picked }]"
      @click="emit('pick', point.designation)"
    >
      <title>{{ point.designation }}</title>
    </path>
    <text
      v-for="(point, n) in named"
      :key="`n${point.designation}`"
      class="name"
      :x="x(point.diameterMm) + 9"
      :y="y(point.pitchMm) + (n % 2 ? 16 : -6)"
    >
      {{ point.designation }}
    </text>
  </svg>
  <p class="quiet small">
    Round: metric. Square: inch bolts. Triangle: pipe. The patch is what you measured; dark ones fit it.
  </p>
</template>

<style scoped>
.map {
  touch-action: auto;
}
.faint {
  stroke: var(--hairline);
  stroke-width: 1;
}
.point {
  fill: var(--sheet);
  stroke: var(--hatch);
  stroke-width: 1.1;
  cursor: pointer;
}
.likely {
  fill: var(--chestnut);
  stroke: var(--soot);
}
.picked {
  stroke: var(--new-metal);
  stroke-width: 2.5;
}
.patch {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
  opacity: 0.85;
}
.name {
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
