<script setup lang="ts">
import { computed } from 'vue'
import { PROCESSES } from '#core/call/process.table'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import { useJob } from '~/stores/job'
import CrackMapPiece from './CrackMapPiece.vue'
import OddsPiece from './OddsPiece.vue'
import RankingTables from './RankingTables.vue'

const store = useJob()
const fillers = computed(() =>
  Object.fromEntries(
    (store.plan?.call.data.fillers ?? []).map(entry => [entry.filler, `${entry.filler} (${entry.verdict})`]),
  ),
)
const processes = Object.fromEntries(Object.entries(PROCESSES).map(([id, { name }]) => [id, name]))
</script>

<template>
  <StationFrame id="call">
    <template #readings>
      <PickField
        path="call.decision"
        label="Your decision"
        clearable
        :words="{ mend: 'mend it', refer: 'send on', decline: 'say no' }"
        note="Left open, the reckoning's own call stands."
      />
      <ReadingField path="call.dilutionPct" unit="pct" label="Base in the bead" note="about 30 is ordinary" />
      <PickField path="call.access" label="To reach" :words="{ open: 'open', tight: 'tight' }" />
      <PickField path="call.process" label="Process, if not the first" clearable :words="processes" />
      <PickField path="call.filler" label="Filler, if not the first" clearable :words="fillers" />
      <PickField
        path="call.school"
        label="School on castings"
        :words="{ 'crack-first': '4043 first', 'magnesium-first': '5356 first' }"
        note="4043 flows and resists cracking: the default on a cracked, dirty casting. 5356 for those that scum with 4043, at more cracking and never above about 65 °C."
      />
    </template>
    <template #piece="{ working }"><OddsPiece /><CrackMapPiece /><RankingTables @working="working" /></template>
  </StationFrame>
</template>
