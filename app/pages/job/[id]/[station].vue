<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue'
import { STATION_IDS, type StationId } from '#core/job/stations.table'
import StripPage from '~/bench/StripPage.vue'

const STATIONS: Record<StationId, Component> = {
  'take-in': defineAsyncComponent(() => import('~/stations/take-in/TakeInStation.vue')),
  'know': defineAsyncComponent(() => import('~/stations/know/KnowStation.vue')),
  'call': defineAsyncComponent(() => import('~/stations/call/CallStation.vue')),
  'open': defineAsyncComponent(() => import('~/stations/open/OpenStation.vue')),
  'warm': defineAsyncComponent(() => import('~/stations/warm/WarmStation.vue')),
  'weld': defineAsyncComponent(() => import('~/stations/weld/WeldStation.vue')),
  'rebuild': defineAsyncComponent(() => import('~/stations/rebuild/RebuildStation.vue')),
  'prove': defineAsyncComponent(() => import('~/stations/prove/ProveStation.vue')),
  'hand-over': defineAsyncComponent(() => import('~/stations/hand-over/HandOverStation.vue')),
}
const route = useRoute()
const current = computed(() => STATION_IDS.find(id => id === route.params.station) ?? 'take-in')
</script>

<template>
  <StripPage :current="current"><component :is="STATIONS[current]" :key="current" /></StripPage>
</template>
