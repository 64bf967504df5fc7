<script setup lang="ts">
import type { Line } from '#core/photo/ridge'

/** How a line looks that is followed: dark on bare metal, or glowing in the dark. */
defineProps<{ line: Line }>()
</script>

<template>
  <svg :class="line" viewBox="0 0 44 24" width="44" height="24" aria-hidden="true">
    <rect width="44" height="24" />
    <path d="M2 17 L9 14 L14 16 L21 9 L28 11 L34 6 L42 7" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  border: 1px solid var(--soot);
}
path {
  fill: none;
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.dark rect {
  fill: #c3c6c8;
}
.dark path {
  stroke: #23211f;
}
.bright rect {
  fill: #14121f;
}
.bright path {
  stroke: #d8f76a;
}
</style>
