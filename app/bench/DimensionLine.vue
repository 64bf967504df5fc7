<script setup lang="ts">
import { computed } from 'vue'

/** A thin dimension line with oblique ticks and its figure, level or upright; turned, an upright one reads along it. */
const props = defineProps<{ x1: number; y1: number; x2: number; y2: number; text: string; turned?: boolean }>()
const upright = computed(() => Math.abs(props.x2 - props.x1) < 1)
const along = computed(() => upright.value && props.turned)
const x = computed(() => (upright.value ? props.x1 + (along.value ? 17 : 8) : (props.x1 + props.x2) / 2))
const y = computed(() => (upright.value ? (props.y1 + props.y2) / 2 + (along.value ? 0 : 4) : props.y1 - 7))
</script>

<template>
  <g class="dimension">
    <path class="thin" :d="`M${x1} ${y1}L${x2} ${y2}M${x1 - 4} ${y1 + 4}l8 -8M${x2 - 4} ${y2 + 4}l8 -8`" />
    <text
      :x="x"
      :y="y"
      :text-anchor="upright && !along ? 'start' : 'middle'"
      :transform="along ? `rotate(-90 ${x} ${y})` : undefined"
      >{{ text }}</text
    >
  </g>
</template>
