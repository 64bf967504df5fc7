<script setup lang="ts">
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
import { useJob } from '~/stores/job'
import { computed } from 'vue'
import BreakChoice from './BreakChoice.vue'
import OpenedGroove from './OpenedGroove.vue'
import OpeningList from './OpeningList.vue'
import SidesChoice from './SidesChoice.vue'

const route = useRoute()
const store = useJob()
const work = computed(() => store.job?.open.work ?? 'crack')
</script>

<template>
  <StationFrame id="open">
    <template #above><MendRow /></template>
    <template #readings>
      <NuxtLink class="plain-button slight" :to="`/job/${route.params.id}/pictures`" data-testid="to-pictures"
        >Measure it in a picture</NuxtLink
      >
      <PickField v-if="work !== 'none' || !store.job!.mends.length" path="open.work" />
      <template v-if="work === 'crack'">
        <ReadingField path="open.crackMm" />
        <PickField v-if="!store.job!.open.closed" path="open.startsIn" />
        <PickField v-if="!store.job!.open.closed" path="open.endsIn" />
      </template>
      <ReadingField path="takeIn.wallMm" />
      <ReadingField v-if="work !== 'none'" path="open.fillerMm" />
      <template v-if="work !== 'none'">
        <SidesChoice />
        <template v-if="!store.job!.open.closed">
          <ReadingField path="open.pastTipMm" />
          <ReadingField path="open.stopHoleMm" />
        </template>
        <BreakChoice />
        <ReadingField path="open.landMm" />
        <ReadingField path="open.includedDeg" />
        <ReadingField path="open.rootRadiusMm" />
        <ReadingField path="open.capMm" />
      </template>
      <PickField path="takeIn.coating" />
      <details v-if="work !== 'none'">
        <summary>A plate over a weak arm</summary>
        <ReadingField path="open.armWideMm" />
        <ReadingField path="open.armHighMm" />
        <ReadingField path="open.armLongMm" />
        <ReadingField path="open.plateMm" />
        <v-btn-toggle
          :model-value="store.job!.open.plateSides"
          mandatory
          aria-label="Plates on"
          @update:model-value="store.edit(['open', 'plateSides'], $event)"
          ><v-btn :value="1">one face</v-btn><v-btn :value="2">both faces</v-btn></v-btn-toggle
        >
      </details>
    </template>
    <template #piece>
      <MendsAtOnce v-if="work === 'none'" station="open" />
      <OpenedGroove v-else />
      <OpeningList />
    </template>
  </StationFrame>
</template>
