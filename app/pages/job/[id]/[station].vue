<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue'
import { STATION_IDS, type StationId } from '#core/job/stations.table'
import StripPage from '~/bench/StripPage.vue'
import { useJob } from '~/stores/job'

const LOAD: Record<StationId | 'mend', () => Promise<{ default: Component }>> = {
  'take-in': () => import('~/stations/take-in/TakeInStation.vue'),
  know: () => import('~/stations/know/KnowStation.vue'),
  call: () => import('~/stations/call/CallStation.vue'),
  open: () => import('~/stations/open/OpenStation.vue'),
  warm: () => import('~/stations/warm/WarmStation.vue'),
  weld: () => import('~/stations/weld/WeldStation.vue'),
  rebuild: () => import('~/stations/rebuild/RebuildStation.vue'),
  prove: () => import('~/stations/prove/ProveStation.vue'),
  'hand-over': () => import('~/stations/hand-over/HandOverStation.vue'),
  mend: () => import('~/stations/mend/MendStation.vue'),
}
const MendStation = defineAsyncComponent(LOAD.mend)
const STATIONS = Object.fromEntries(STATION_IDS.map(id => [id, defineAsyncComponent(LOAD[id])])) as Record<
  StationId,
  Component
>
const route = useRoute()
const store = useJob()
const current = computed(() => STATION_IDS.find(id => id === route.params.station) ?? 'take-in')
// Fetched while the job is still being read; one that can't be had is told of where it is to be shown.
LOAD[current.value]().catch(() => undefined)
/** Stations that show one mend at a time, where the address names one of several; a single one is the station's own. */
const OF_MENDS = ['open', 'weld', 'rebuild'] as const
const ofMends = computed(() => OF_MENDS.find(id => id === current.value) ?? null)
const named = computed(() => {
  const mends = store.job?.mends ?? []
  return mends.length > 1 && mends.some(mend => mend.id === route.query.mend)
})
</script>

<template>
  <StripPage :current="current">
    <MendStation v-if="ofMends && named" :key="current" :station="ofMends" />
    <component :is="STATIONS[current]" v-else :key="`station-${current}`" />
  </StripPage>
</template>
