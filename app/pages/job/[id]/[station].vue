<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue'
import { STATION_IDS, type StationId } from '#core/job/stations.table'
import StripPage from '~/bench/StripPage.vue'
import { useJob } from '~/stores/job'

const MendStation = defineAsyncComponent(() => import('~/stations/mend/MendStation.vue'))

const STATIONS: Record<StationId, Component> = {
  'take-in': defineAsyncComponent(() => import('~/stations/take-in/TakeInStation.vue')),
  know: defineAsyncComponent(() => import('~/stations/know/KnowStation.vue')),
  call: defineAsyncComponent(() => import('~/stations/call/CallStation.vue')),
  open: defineAsyncComponent(() => import('~/stations/open/OpenStation.vue')),
  warm: defineAsyncComponent(() => import('~/stations/warm/WarmStation.vue')),
  weld: defineAsyncComponent(() => import('~/stations/weld/WeldStation.vue')),
  rebuild: defineAsyncComponent(() => import('~/stations/rebuild/RebuildStation.vue')),
  prove: defineAsyncComponent(() => import('~/stations/prove/ProveStation.vue')),
  'hand-over': defineAsyncComponent(() => import('~/stations/hand-over/HandOverStation.vue')),
}
const route = useRoute()
const store = useJob()
const current = computed(() => STATION_IDS.find(id => id === route.params.station) ?? 'take-in')
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
