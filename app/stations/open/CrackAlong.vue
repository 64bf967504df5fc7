<script setup lang="ts">
import { computed } from 'vue'
import DimensionLine from '~/bench/DimensionLine.vue'
import { useDrawing } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const store = useJob()
const settings = useSettings()
const groove = computed(() => store.plan?.open.data.groove ?? null)
const crack = computed(() => store.job?.open.crackMm.value ?? 0)
const { scale, scaleText } = useDrawing(computed(() => ({ widthMm: groove.value?.runMm ?? 1, heightMm: (groove.value?.topWidthMm ?? 1) * 3 })), { width: 520, height: 150, margin: 44 })
const from = computed(() => 260 - crack.value * scale.value / 2)
const x = (alongMm: number) => from.value + alongMm * scale.value
const line = computed(() => {
  const sixth = crack.value * scale.value / 6
  return `M${from.value} 74 q ${sixth / 2} -9 ${sixth} -2 t ${sixth} 4 t ${sixth} -3 t ${sixth} 2 t ${sixth} -4 t ${sixth} 1`
})
const half = computed(() => (groove.value?.topWidthMm ?? 0) * scale.value / 2)
const backstep = computed(() => groove.value ? Array.from({ length: groove.value.passesPerSide }, (_, index) => index + 1) : [])
</script>

<template>
  <template v-if="groove">
    <p class="label gap">Along it, {{ scaleText }}; odd passes one way, even ones back</p>
    <svg class="drawing" viewBox="0 0 520 168" role="img" aria-label="The crack from above with its groove, stop-holes and direction of passes">
      <rect class="metal edge" x="8" y="24" width="504" height="100" />
      <path class="new-line" :style="{ strokeWidth: half * 2 }" stroke-linecap="round" opacity="0.25" :d="line" />
      <path class="crack" :d="line" />
      <circle v-for="hole in groove.stopHoles" :key="hole.alongMm" class="removed" :cx="x(hole.alongMm)" cy="74" :r="Math.max(3, hole.diameterMm * scale / 2)" />
      <text :x="x(0)" y="46" class="pass">{{ backstep.filter(n => n % 2 === 1).join(' ') }} →</text>
      <text :x="x(crack)" y="112" text-anchor="end" class="pass">← {{ backstep.filter(n => n % 2 === 0).join(' ') }}</text>
      <DimensionLine :x1="x(0)" :y1="152" :x2="x(crack)" :y2="152" :text="`${settings.text(crack, 'mm')} seen`" />
    </svg>
  </template>
</template>

<style scoped>
.gap { margin-top: 14px; }
.pass { fill: var(--new-metal); font-weight: 700; }
</style>
