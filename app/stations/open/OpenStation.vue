<script setup lang="ts">
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendHands from '~/stations/mend/MendHands.vue'
import MendPiece from '~/stations/mend/MendPiece.vue'
import MendReadings from '~/stations/mend/MendReadings.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendVerdict from '~/stations/mend/MendVerdict.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
import { useMends } from '~/stations/mend/use-mend'
import OpeningList from './OpeningList.vue'

const route = useRoute()
const { row } = useMends()
</script>

<template>
  <StationFrame id="open">
    <template #above><MendRow /></template>
    <template #readings>
      <NuxtLink class="plain-button slight" :to="`/job/${route.params.id}/pictures`" data-testid="to-pictures"
        >Measure it in a picture</NuxtLink
      >
      <MendReadings v-if="row" station="open" />
      <ReadingField v-else path="takeIn.wallMm" />
      <PickField path="takeIn.coating" />
      <MendHands />
    </template>
    <template #piece="{ working }">
      <MendPiece v-if="row" :row="row" station="open" @working="working"><OpeningList when="before" /></MendPiece>
      <template v-else><MendsAtOnce station="open" /><OpeningList when="before" /></template>
      <OpeningList when="after" />
    </template>
    <template v-if="row" #verdict><MendVerdict :row="row" /></template>
  </StationFrame>
</template>
