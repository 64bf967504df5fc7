<script setup lang="ts">
import { computed } from 'vue'
import type { DrawnGroove } from '#core/groove/drawn'
import DimensionLine from '~/bench/DimensionLine.vue'
import { useDrawing } from '~/composables/use-drawing'
import { useSettings } from '~/stores/settings'

/** A groove along its run: stop-holes, tacks in their order, and which way the root goes. */
const props = defineProps<{ groove: DrawnGroove }>()
const settings = useSettings()
const along = computed(() => props.groove.alongMm)
const { scale, scaleText } = useDrawing(
  computed(() => ({ widthMm: props.groove.runMm, heightMm: props.groove.topWidthMm * 3 })),
  { width: 520, height: 150, margin: 44 },
)
const from = computed(() => 260 - (along.value * scale.value) / 2)
const x = (alongMm: number) => from.value + alongMm * scale.value
const line = computed(() => {
  const sixth = (along.value * scale.value) / 6
  return `M${from.value} 74 q ${sixth / 2} -9 ${sixth} -2 t ${sixth} 4 t ${sixth} -3 t ${sixth} 2 t ${sixth} -4 t ${sixth} 1`
})
const half = computed(() => (props.groove.topWidthMm * scale.value) / 2)
const root = computed(() => props.groove.sequence.runs.filter(run => run.pass === 1))
const tackX = (alongMm: number) => x(props.groove.fromMm + alongMm)
</script>

<template>
  <p class="label gap">
    {{ groove.closed ? 'Round it, rolled out' : 'Along it' }}, {{ scaleText }}: tacks in their order, and which way the
    root runs
  </p>
  <svg
    class="drawing"
    viewBox="0 0 520 168"
    role="img"
    aria-label="The crack from above with its groove, stop-holes and direction of passes"
  >
    <rect class="metal edge" x="8" y="24" width="504" height="100" />
    <path class="new-line" :style="{ strokeWidth: half * 2 }" stroke-linecap="round" opacity="0.25" :d="line" />
    <path class="crack" :d="line" />
    <circle
      v-for="hole in groove.stopHoles"
      :key="hole.alongMm"
      class="removed"
      :cx="x(hole.alongMm)"
      cy="74"
      :r="Math.max(3, (hole.diameterMm * scale) / 2)"
    />
    <g v-for="(tack, n) in groove.sequence.tacks" :key="n">
      <circle class="new" :cx="tackX(tack.alongMm)" cy="44" r="9" />
      <text :x="tackX(tack.alongMm)" y="48" text-anchor="middle" class="pass">{{ n + 1 }}</text>
    </g>
    <g v-for="(run, n) in root" :key="`run${n}`">
      <path
        class="new-line"
        :d="`M${tackX(run.fromMm)} 108H${tackX(run.toMm)}m${run.toMm > run.fromMm ? -7 : 7} -5l${run.toMm > run.fromMm ? 7 : -7} 5l${run.toMm > run.fromMm ? -7 : 7} 5`"
      />
      <text :x="tackX((run.fromMm + run.toMm) / 2)" y="102" text-anchor="middle" class="pass">
        {{ String.fromCharCode(97 + n) }}
      </text>
    </g>
    <DimensionLine
      :x1="x(0)"
      :y1="152"
      :x2="x(along)"
      :y2="152"
      :text="groove.closed ? settings.text(along, 'mm') : `${settings.text(along, 'mm')} seen`"
    />
  </svg>
  <ul class="small why">
    <li v-for="reason in groove.sequence.why" :key="reason">{{ reason }}</li>
  </ul>
</template>

<style scoped>
.why {
  color: var(--slate);
  padding-left: 18px;
  margin: 6px 0 0;
}
.gap {
  margin-top: 14px;
}
.pass {
  fill: var(--soot);
  font-weight: 700;
}
</style>
