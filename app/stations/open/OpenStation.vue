<script setup lang="ts">
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import { useJob } from '~/stores/job'
import { computed } from 'vue'
import { OPENING_WORKS } from '#core/job/words.table'
import BreakChoice from './BreakChoice.vue'
import BuildUpSection from './BuildUpSection.vue'
import CrackAlong from './CrackAlong.vue'
import GrooveSection from './GrooveSection.vue'
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
      <PickField path="open.work" label="What is mended" :words="OPENING_WORKS" />
      <template v-if="work === 'crack'">
        <ReadingField path="open.crackMm" unit="mm" label="Crack you can see" />
        <PickField
          v-if="!store.job!.open.closed"
          path="open.startsIn"
          label="It starts in"
          :words="{ tip: 'sound metal', hole: 'a hole', edge: 'an edge' }"
        />
        <PickField
          v-if="!store.job!.open.closed"
          path="open.endsIn"
          label="It ends in"
          :words="{ tip: 'sound metal', hole: 'a hole', edge: 'an edge' }"
        />
      </template>
      <template v-else-if="work === 'patch'">
        <ReadingField path="open.patchWideMm" unit="mm" label="Patch, wide" />
        <ReadingField path="open.patchHighMm" unit="mm" label="Patch, high" />
        <ReadingField path="open.patchCornerMm" unit="mm" label="Corners rounded" />
      </template>
      <template v-else-if="work === 'build-up'">
        <ReadingField path="open.edgeLongMm" unit="mm" label="Lost, along the edge" />
        <ReadingField path="open.edgeWideMm" unit="mm" label="Lost, across" />
        <ReadingField path="open.edgeHighMm" unit="mm" label="Lost, deep" />
        <ReadingField path="open.edgeProudMm" unit="mm" label="Left proud all round" />
      </template>
      <ReadingField v-else-if="work === 'turned'" path="open.turnedMm" unit="mm" label="Across the turned part" />
      <ReadingField path="takeIn.wallMm" unit="mm" label="Wall there" />
      <ReadingField v-if="work !== 'none'" path="open.fillerMm" unit="mm" label="Rod" />
      <template v-if="work !== 'build-up' && work !== 'none'">
        <SidesChoice :ring="work === 'crack'" />
        <template v-if="work === 'crack' && !store.job!.open.closed">
          <ReadingField path="open.pastTipMm" unit="mm" label="Past each tip" />
          <ReadingField path="open.stopHoleMm" unit="mm" label="Stop-hole" />
        </template>
        <BreakChoice />
        <ReadingField path="open.landMm" unit="mm" label="Left of the break" />
        <ReadingField path="open.includedDeg" unit="deg" label="Included angle" />
        <ReadingField path="open.rootRadiusMm" unit="mm" label="Root radius" />
        <ReadingField path="open.capMm" unit="mm" label="Cap" />
      </template>
      <PickField
        path="takeIn.coating"
        label="Coating on it"
        :words="{ none: 'bare', paint: 'painted', powder: 'powder-coated', plated: 'plated', anodised: 'anodised' }"
      />
      <details v-if="work !== 'none'">
        <summary>A plate over a weak arm</summary>
        <ReadingField path="open.armWideMm" unit="mm" label="Arm, wide" />
        <ReadingField path="open.armHighMm" unit="mm" label="Arm, deep as it bends" />
        <ReadingField path="open.armLongMm" unit="mm" label="Arm, root to load" />
        <ReadingField path="open.plateMm" unit="mm" label="Plate, thick" note="empty: no plate" />
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
      <BuildUpSection v-if="work === 'build-up'" />
      <p v-else-if="work === 'none'" class="quiet">Each mend above is drawn, opened and priced by itself: press one.</p>
      <template v-else>
        <GrooveSection />
        <CrackAlong />
      </template>
      <OpeningList />
    </template>
  </StationFrame>
</template>
