<script setup lang="ts">
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import BreakChoice from './BreakChoice.vue'
import CrackAlong from './CrackAlong.vue'
import GrooveSection from './GrooveSection.vue'
import OpeningList from './OpeningList.vue'
import SidesChoice from './SidesChoice.vue'

const route = useRoute()
</script>

<template>
  <StationFrame id="open">
    <template #readings>
      <NuxtLink class="plain-button slight" :to="`/job/${route.params.id}/pictures`" data-testid="to-pictures">Measure it in a picture</NuxtLink>
      <ReadingField path="open.crackMm" unit="mm" label="Crack you can see" />
      <ReadingField path="takeIn.wallMm" unit="mm" label="Wall at the crack" />
      <SidesChoice />
      <ReadingField path="open.pastTipMm" unit="mm" label="Past each tip" />
      <ReadingField path="open.stopHoleMm" unit="mm" label="Stop-hole" />
      <ReadingField path="open.fillerMm" unit="mm" label="Rod" />
      <BreakChoice />
      <ReadingField path="open.landMm" unit="mm" label="Left of the break" />
      <ReadingField path="open.includedDeg" unit="deg" label="Included angle" />
      <ReadingField path="open.rootRadiusMm" unit="mm" label="Root radius" />
      <ReadingField path="open.capMm" unit="mm" label="Cap" />
      <PickField path="takeIn.coating" label="Coating on it" :words="{ none: 'bare', paint: 'painted', powder: 'powder-coated', plated: 'plated', anodised: 'anodised' }" />
    </template>
    <template #piece>
      <GrooveSection />
      <CrackAlong />
      <OpeningList />
    </template>
  </StationFrame>
</template>
