<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const settings = useSettings()
const found = computed(() => store.plan?.prove.data.runOut ?? null)
const runOut = computed(() => (found.value && 'answer' in found.value ? found.value.answer : null))
const readings = computed(() =>
  store.job!.prove.runOut.flatMap(reading => (reading.value === null ? [] : [reading.value])),
)
const R = 96
const mean = computed(() => readings.value.reduce((sum, value) => sum + value, 0) / Math.max(1, readings.value.length))
/** Readings are drawn this many pixels a millimetre, so that the largest is seen. */
const grown = computed(() => 44 / Math.max(1e-6, ...readings.value.map(value => Math.abs(value - mean.value))))
const at = (deg: number, r: number) =>
  [180 + r * Math.cos((deg * Math.PI) / 180), 140 - r * Math.sin((deg * Math.PI) / 180)] as const
const outline = computed(
  () =>
    `M${readings.value
      .map((value, n) =>
        at((360 * n) / readings.value.length, R + (value - mean.value) * grown.value)
          .map(c => c.toFixed(1))
          .join(' '),
      )
      .join('L')}Z`,
)
const high = computed(() => at(runOut.value?.highDeg ?? 0, R + 52))
</script>

<template>
  <template v-if="runOut">
    <p class="label gap">Run-out, drawn round, {{ Math.round(grown / 3.78) }} times larger than it is</p>
    <svg class="drawing" viewBox="0 0 520 280" role="img" aria-label="The readings round a turn against a true circle">
      <circle class="thin ring" cx="180" cy="140" :r="R" />
      <path class="new" :d="outline" />
      <path class="thin" d="M172 140h16M180 132v16" />
      <path class="crack" :d="`M180 140L${high[0]} ${high[1]}`" />
      <text :x="high[0] + 4" :y="high[1]">{{ Math.round(runOut.highDeg) }}°</text>
      <text class="note" x="330" y="60">all:</text>
      <text x="380" y="60">{{ settings.fineText(runOut.tirMm) }}</text>
      <text class="note" x="330" y="84">off centre:</text>
      <text x="410" y="84">{{ settings.fineText(runOut.eccentricityMm) }}</text>
      <text v-for="(lobe, n) in runOut.lobes.slice(0, 4)" :key="lobe.order" x="330" :y="112 + n * 20">
        {{ lobe.order }} lobes: {{ settings.fineText(lobe.amplitudeMm) }}
      </text>
    </svg>
    <button type="button" class="open-figure figure" data-testid="tir" @click="emit('working', 'runout')">
      {{ settings.fine(runOut.tirMm) }}
    </button>
    in all.
  </template>
</template>

<style scoped>
.ring {
  stroke-dasharray: 10 4 2 4;
}
.gap {
  margin-top: 16px;
}
</style>
