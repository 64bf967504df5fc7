<script setup lang="ts">
import { computed } from 'vue'
import { BRUSH_SCHOOLS, CLAMP_SCHOOLS, PEEN_SCHOOLS, TUNGSTEN_SCHOOLS } from '#core/arc/schools.table'
import { BRAZE_ROD_OF } from '#core/call/braze-rod.table'
import { MIG_MODE_WORDS } from '#core/plan/weld-data'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import CrackAlong from '~/stations/open/CrackAlong.vue'
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
const ofMends = computed(() => store.job!.open.work === 'none')
const brazing = computed(() => (weld.value ? BRAZE_ROD_OF[weld.value.process] !== undefined : false))
const flaming = computed(() => weld.value?.process === 'oxy-fuel')
const gun = computed(() => weld.value?.process === 'mig-pulse' || weld.value?.process === 'mig-spool')
const machines = computed(() =>
  Object.fromEntries(
    shop.kit.machines
      .filter(machine => machine.process === (gun.value ? weld.value!.process : 'ac-tig'))
      .map(machine => [machine.id, machine.name]),
  ),
)
const torches = computed(() => Object.fromEntries(shop.kit.torches.map(torch => [torch.id, torch.name])))
const names = (table: Readonly<Record<string, { name: string }>>) =>
  Object.fromEntries(Object.entries(table).map(([id, { name }]) => [id, name]))
</script>

<template>
  <StationFrame id="weld">
    <template #above><MendRow /></template>
    <template #readings>
      <template v-if="brazing || flaming">
        <PickField v-if="shop.kit.torches.length" path="warm.torch" label="Torch" :words="torches" />
        <p v-else>No torch in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
        <ReadingField v-if="brazing" path="takeIn.hotC" unit="c" label="Hot in service" />
        <ReadingField v-else path="takeIn.wallMm" unit="mm" label="Wall" />
        <ReadingField path="warm.massG" unit="g" label="Weighed" note="else worked out from its sizes" />
      </template>
      <template v-else>
        <PickField v-if="Object.keys(machines).length" path="weld.machine" label="Machine" :words="machines" />
        <p v-else>No such machine in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
        <ReadingField path="weld.currentA" unit="a" label="Current by hand" note="empty: worked out" />
        <template v-if="gun">
          <PickField path="weld.migMode" label="The gun is run" :words="MIG_MODE_WORDS" clearable />
          <ReadingField path="weld.wireMm" unit="mm" label="Wire" />
        </template>
        <template v-else>
          <ReadingField
            path="weld.enPct"
            unit="pct"
            label="Electrode negative"
            note="60 to 70 on dirt, 70 to 73 once clean"
          />
          <ReadingField
            v-if="weld?.machine?.halves === 'apart'"
            path="weld.epA"
            unit="a"
            label="Positive current"
            note="empty: the same as negative"
          />
          <ReadingField
            path="weld.copiedDial"
            unit="number"
            label="Balance copied from elsewhere"
            note="a bare number; the call names the trap"
          />
          <PickField
            path="weld.frequencySchool"
            label="Frequency school"
            :words="{ low: '50–80', middle: '100–120', high: '130–150' }"
            note="Low soaks in and floats dirt; high gives a tight arc into a root or bore."
          />
          <ReadingField path="weld.frequencyHz" unit="hz" label="Frequency" />
        </template>
        <ReadingField path="weld.flowLMin" unit="lMin" label="Argon" note="about 15 cfh" />
        <ReadingField path="weld.interpassC" unit="c" label="Next pass under" note="empty: by the metal" />
        <PickField path="weld.clamp" label="While it is welded" :words="names(CLAMP_SCHOOLS)" />
        <PickField path="weld.peen" label="Between beads" :words="names(PEEN_SCHOOLS)" />
        <PickField path="weld.brush" label="Brush before the arc" :words="names(BRUSH_SCHOOLS)" />
        <PickField v-if="!gun" path="weld.tungsten" label="Tungsten" :words="names(TUNGSTEN_SCHOOLS)" />
      </template>
    </template>
    <template #piece="{ working }">
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/puddle`" data-testid="to-puddle"
        >Try it on the trainer first</NuxtLink
      >
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/pull`" data-testid="to-pull-bench"
        >Pull bench: what the weld does to what may not move</NuxtLink
      >
      <p v-if="ofMends" class="quiet">Each mend above is laid by itself: press one.</p>
      <BrazePiece v-else-if="brazing" @working="working" />
      <template v-else-if="flaming">
        <FlamePiece @working="working" />
        <CrackAlong />
        <PassLog />
      </template>
      <template v-else>
        <WavePiece v-if="!gun" />
        <SettingsTable @working="working" />
        <TurnDownPiece v-if="gun" />
        <CrackAlong />
        <PassLog />
      </template>
      <KeptReadings />
    </template>
  </StationFrame>
</template>
