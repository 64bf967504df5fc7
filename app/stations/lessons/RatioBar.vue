<script setup lang="ts">
import { computed } from 'vue'
import type { Ratio } from '#core/shop/learn'

/** What a shop takes over what is planned, on a scale from half to twice: its interval, and where it lies. */
const props = defineProps<{ ratio: Ratio; name: string }>()
/** Half, once and twice are evenly apart. */
const x = (value: number) => 300 * Math.min(1, Math.max(0, (Math.log2(value) + 1) / 2))
const span = computed(() =>
  props.ratio.low === null || props.ratio.high === null
    ? null
    : { x: x(props.ratio.low), wide: Math.max(2, x(props.ratio.high) - x(props.ratio.low)) },
)
const words = computed(
  () =>
    `${props.name}: ${props.ratio.ratio.toFixed(2)} times${span.value ? `, between ${props.ratio.low!.toFixed(2)} and ${props.ratio.high!.toFixed(2)}` : ''}`,
)
</script>

<template>
  <svg viewBox="0 0 300 18" preserveAspectRatio="none" role="img" :aria-label="words">
    <path class="axis" d="M0 9H300M150 0V18" />
    <rect v-if="span" class="span" :x="span.x" y="4" :width="span.wide" height="10" />
    <rect class="mark" :x="x(ratio.ratio) - 1.5" y="1" width="3" height="16" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 18px;
}
.axis {
  stroke: var(--hatch);
}
.span {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
}
.mark {
  fill: var(--chestnut);
}
</style>
