<script setup lang="ts">
import { computed } from 'vue'

/** A reading's last course, without figures: they stand beside it. */
const props = defineProps<{ points: readonly { atMs: number; value: number }[] }>()
const WIDE = 84
const HIGH = 26
const path = computed(() => {
  if (props.points.length < 2) return ''
  const [first, last] = [props.points[0]!, props.points.at(-1)!]
  const values = props.points.map(point => point.value)
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const x = (ms: number) => ((ms - first.atMs) / Math.max(1, last.atMs - first.atMs)) * WIDE
  const y = (value: number) => HIGH - 2 - ((value - low) / Math.max(1e-9, high - low)) * (HIGH - 4)
  return `M${props.points.map(point => `${x(point.atMs).toFixed(1)} ${y(point.value).toFixed(1)}`).join('L')}`
})
</script>

<template>
  <svg class="spark" :viewBox="`0 0 ${WIDE} ${HIGH}`" :width="WIDE" :height="HIGH" aria-hidden="true">
    <path :d="path" />
  </svg>
</template>

<style scoped>
.spark path {
  fill: none;
  stroke: #d8946a;
  stroke-width: 1.5;
}
</style>
