<script setup lang="ts">
import StationFrame from '~/bench/StationFrame.vue'
import MendPiece from '~/stations/mend/MendPiece.vue'
import MendReadings from '~/stations/mend/MendReadings.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendVerdict from '~/stations/mend/MendVerdict.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
import { useMends } from '~/stations/mend/use-mend'
import { useJob } from '~/stores/job'
import ArcReadings from './ArcReadings.vue'
import KeptReadings from './KeptReadings.vue'
import PassLog from './PassLog.vue'
import { computed } from 'vue'

const store = useJob()
const { row } = useMends()
/** Every machine that lays one of the mends. */
const setUps = computed(() => store.plan?.mends.rows.flatMap(each => each.setUps) ?? [])
const processes = computed(() => [...new Set(setUps.value.map(({ process }) => process))])
</script>

<template>
  <StationFrame id="weld">
    <template #above><MendRow /></template>
    <template #readings>
      <MendReadings v-if="row" station="weld" />
      <ArcReadings
        v-else-if="processes.length"
        :processes="processes"
        :apart="setUps.some(({ set }) => set.machine?.halves === 'apart')"
      />
    </template>
    <template #piece="{ working }">
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/puddle`" data-testid="to-puddle"
        >Try it on the trainer first</NuxtLink
      >
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/pull`" data-testid="to-pull-bench"
        >Pull bench: what the weld does to what may not move</NuxtLink
      >
      <template v-if="row">
        <MendPiece :row="row" station="weld" @working="working" />
        <PassLog :mend="row.id" />
      </template>
      <template v-else>
        <MendsAtOnce station="weld" />
        <NuxtLink
          v-if="processes.length"
          class="plain-button"
          :to="`/job/${store.job!.id}/bench`"
          data-testid="to-bench"
          >Full screen, for gloves at the arc</NuxtLink
        >
      </template>
      <KeptReadings />
    </template>
    <template v-if="row" #verdict><MendVerdict :row="row" /></template>
  </StationFrame>
</template>
