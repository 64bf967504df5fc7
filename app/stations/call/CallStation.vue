<script setup lang="ts">
import { computed } from 'vue'
import AssumedList from '~/bench/AssumedList.vue'
import MattersPiece from '~/bench/MattersPiece.vue'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import { useJob } from '~/stores/job'
import CrackMapPiece from './CrackMapPiece.vue'
import DecisionsPiece from './DecisionsPiece.vue'
import OddsPiece from './OddsPiece.vue'
import RankingTables from './RankingTables.vue'
import WaysPiece from './WaysPiece.vue'

const store = useJob()
const fillers = computed(() =>
  Object.fromEntries(
    (store.plan?.call.data.fillers ?? []).map(entry => [entry.filler, `${entry.filler} (${entry.verdict})`]),
  ),
)
</script>

<template>
  <StationFrame id="call">
    <template #readings>
      <PickField path="call.decision" />
      <ReadingField path="call.dilutionPct" />
      <PickField path="call.access" />
      <PickField path="call.process" />
      <PickField path="call.filler" clearable :words="fillers" />
      <PickField path="call.school" />
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/hold`" data-testid="to-hold-bench"
        >Will it hold: the hold bench</NuxtLink
      >
    </template>
    <template #piece="{ working }"
      ><OddsPiece /><AssumedList /><WaysPiece /><MattersPiece /><DecisionsPiece /><CrackMapPiece /><RankingTables
        @working="working"
    /></template>
  </StationFrame>
</template>
