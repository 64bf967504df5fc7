<script setup lang="ts">
import { computed } from 'vue'
import { runningTotals } from '#core/call/running-totals'
import { figures } from '#core/quantity/show'
import { useJob } from '~/stores/job'

const store = useJob()
const data = computed(() => store.plan?.call.data)
const bars = computed(() => (data.value?.judged ? runningTotals(data.value.judged.parts) : []))
const x = (pct: number) => 212 + pct * 2.5
</script>

<template>
  <p class="label">The odds, and what moves them</p>
  <svg
    v-if="bars.length"
    class="drawing"
    :viewBox="`0 0 520 ${40 + bars.length * 30}`"
    role="img"
    aria-label="What raises and lowers the chance that the repair lasts"
  >
    <line
      v-for="tick in [0, 25, 50, 75, 100]"
      :key="tick"
      class="tick"
      :x1="x(tick)"
      y1="4"
      :x2="x(tick)"
      :y2="8 + bars.length * 30"
    />
    <g v-for="(bar, index) in bars" :key="bar.reason">
      <text class="note" x="0" :y="24 + index * 30">{{ bar.reason }}</text>
      <rect
        :class="bar.effect >= 0 ? 'up' : 'down'"
        :x="x(Math.min(bar.from, bar.to))"
        :y="10 + index * 30"
        :width="Math.max(1, Math.abs(bar.to - bar.from) * 2.5)"
        height="18"
      />
      <text :x="x(Math.max(bar.from, bar.to)) + 6" :y="24 + index * 30">
        {{ bar.effect >= 0 ? '+' : '−'
        }}{{
          figures(Math.abs(bar.effect), 0, true) === '0'
            ? figures(Math.abs(bar.effect), 1, true)
            : figures(Math.abs(bar.effect), 0, true)
        }}
      </text>
    </g>
    <text v-for="tick in [0, 50, 100]" :key="tick" :x="x(tick)" :y="30 + bars.length * 30" text-anchor="middle">
      {{ tick }}
    </text>
  </svg>
  <p v-else class="quiet">With what it does, its soak, its wall and its metal, the odds are drawn here part by part.</p>
</template>

<style scoped>
.tick {
  stroke: var(--hairline);
}
.up {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
}
.down {
  fill: var(--sheet);
  stroke: var(--removed);
  stroke-dasharray: 3 2;
  stroke-width: 1.5;
}
</style>
