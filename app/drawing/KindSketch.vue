<script setup lang="ts">
import { computed } from 'vue'
import { kindOf, type KindId } from '#core/mend/registry'

/** A small sketch of a kind of mend, for lists; its name stands beside it. */
const props = defineProps<{ kind: KindId }>()
const sketch = computed(() => kindOf(props.kind).sketch)
</script>

<template>
  <svg viewBox="0 0 48 32" width="48" height="32" aria-hidden="true">
    <path class="metal" :d="sketch.metal" fill-rule="evenodd" />
    <path v-if="sketch.fresh" class="fresh" :d="sketch.fresh" />
    <path v-if="sketch.gone" class="gone" :d="sketch.gone" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  flex: 0 0 auto;
}
.metal {
  fill: var(--metal);
  stroke: var(--soot);
  stroke-width: 1.1;
}
.fresh {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
  stroke-width: 1.3;
}
.gone {
  fill: none;
  stroke: var(--stop);
  stroke-width: 1.6;
}
</style>
