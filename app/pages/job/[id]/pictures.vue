<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import TheStrip from '~/bench/TheStrip.vue'

const PicturesStation = defineAsyncComponent(() => import('~/stations/pictures/PicturesStation.vue'))
const route = useRoute()
const jobId = computed(() => String(route.params.id))
</script>

<template>
  <div class="bench">
    <TheStrip :job-id="jobId" current="open" />
    <PicturesStation />
  </div>
</template>

<style scoped>
.bench { display: grid; grid-template-columns: 196px minmax(0, 1fr); min-height: calc(100vh - 105px); }
@media (max-width: 899px) { .bench { display: block; } }
</style>
