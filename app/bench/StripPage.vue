<script setup lang="ts">
import type { StationId } from '#core/job/stations.table'
import TheStrip from './TheStrip.vue'

defineProps<{ current: StationId }>()
const route = useRoute()
</script>

<template>
  <div class="bench">
    <TheStrip :job-id="String(route.params.id)" :current="current" />
    <slot />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: 196px minmax(0, 1fr);
  min-height: calc(100vh - 105px);
}
@media (max-width: 899px) {
  .bench {
    display: block;
  }
}
</style>
