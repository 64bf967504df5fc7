<script setup lang="ts">
import { computed } from 'vue'
import { BRAZE_ROD_OF } from '#core/call/braze-rod.table'
import type { ProcessId } from '#core/call/process.table'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import GrooveAlong from '~/drawing/GrooveAlong.vue'
import ArcReadings from './ArcReadings.vue'
import BrazePiece from './BrazePiece.vue'
import FlamePiece from './FlamePiece.vue'
import KeptReadings from './KeptReadings.vue'
import PassLog from './PassLog.vue'
import SettingsTable from './SettingsTable.vue'
import TurnDownPiece from './TurnDownPiece.vue'
import WavePiece from './WavePiece.vue'

const shop = useShop()
const store = useJob()
const weld = computed(() => store.plan?.weld.data)
const groove = computed(() => store.plan?.open.data.drawn ?? null)
const settlesC = computed(() => store.plan?.warm.data.heating?.equilibriumC ?? null)
const ofMends = computed(() => store.job!.open.work === 'none')
const brazing = computed(() => (weld.value ? BRAZE_ROD_OF[weld.value.process] !== undefined : false))
const flaming = computed(() => weld.value?.process === 'oxy-fuel')
const gun = computed(() => weld.value?.process === 'mig-pulse' || weld.value?.process === 'mig-spool')
/** A gun's own process, else TIG: what the machine is picked and set by. */
const arcs = computed((): ProcessId[] => [gun.value ? weld.value!.process : 'ac-tig'])
const torches = computed(() => Object.fromEntries(shop.kit.torches.map(torch => [torch.id, torch.name])))
</script>

<template>
  <StationFrame id="weld">
    <template #above><MendRow /></template>
    <template #readings>
      <template v-if="brazing || flaming">
        <PickField v-if="shop.kit.torches.length" path="warm.torch" :words="torches" />
        <p v-else>No torch in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
        <ReadingField v-if="brazing" path="takeIn.hotC" />
        <ReadingField v-else path="takeIn.wallMm" />
        <ReadingField path="warm.massG" />
      </template>
      <ArcReadings v-else :processes="arcs" :apart="weld?.machine?.halves === 'apart'" />
    </template>
    <template #piece="{ working }">
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/puddle`" data-testid="to-puddle"
        >Try it on the trainer first</NuxtLink
      >
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/pull`" data-testid="to-pull-bench"
        >Pull bench: what the weld does to what may not move</NuxtLink
      >
      <MendsAtOnce v-if="ofMends" station="weld" />
      <BrazePiece v-else-if="brazing" :braze="weld?.braze ?? null" :settles-c="settlesC" @working="working" />
      <template v-else-if="flaming">
        <FlamePiece :flame="weld?.flame ?? null" @working="working" />
        <GrooveAlong v-if="groove" :groove="groove" />
        <PassLog />
      </template>
      <template v-else>
        <WavePiece v-if="!gun && weld" :weld="weld" />
        <SettingsTable v-if="weld" :weld="weld" @working="working" />
        <TurnDownPiece v-if="gun" :points="weld?.turnDown ?? null" />
        <GrooveAlong v-if="groove" :groove="groove" />
        <PassLog />
      </template>
      <KeptReadings />
    </template>
  </StationFrame>
</template>
