<script setup lang="ts">
import { BENCH_TESTS } from '#core/metal/identify/tests.table'
import { USES } from '#core/metal/identify/uses.table'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import FamilyOdds from './FamilyOdds.vue'

const USE_WORDS = Object.fromEntries(USES.map(({ part }) => [part, part]))
const how = (test: string) => BENCH_TESTS.find(entry => entry.test === test)?.how
</script>

<template>
  <StationFrame id="know">
    <template #readings>
      <WordsField path="know.markText" label="Cast or stamped mark" :max="120" />
      <PickField path="know.form" label="Made from" clearable :words="{ 'sheet': 'sheet or plate', 'extrusion': 'extrusion', 'forging': 'forging', 'casting': 'casting', 'machined-all-over': 'machined all over' }" />
      <PickField path="know.surface" label="Skin on the hidden side" clearable :words="{ 'sand-grain': 'sand grain', 'smooth-mould': 'smooth mould skin', 'ejector-marks': 'ejector marks', 'rolled': 'rolled', 'extrusion-lines': 'extrusion lines' }" />
      <PickField path="know.fracture" label="Face of the break" clearable :words="{ granular: 'granular', stretched: 'stretched' }" />
      <PickField path="know.usePart" label="What it was for" clearable :words="USE_WORDS" />
      <ReadingField path="know.dryG" unit="g" label="Weighed dry" />
      <ReadingField path="know.submergedG" unit="g" label="Weighed under water" />
      <ReadingField path="know.hangerG" unit="g" label="Empty hanger in it" />
      <ReadingField path="know.scaleG" unit="g" label="One step of the scale" />
      <ReadingField path="know.iacsPct" unit="pct" label="Conductivity, % IACS" />
      <ReadingField path="know.hb" unit="number" label="Hardness, HB" />
      <PickField path="know.vinegar" label="Vinegar on filings" clearable :words="{ fizz: 'fizzes', still: 'lies still' }" :note="how('vinegar')" />
      <PickField path="know.causticSpot" label="Caustic spot" clearable :words="{ 'black': 'black', 'grey-brown': 'grey-brown', 'clear': 'clear' }" :note="how('causticSpot')" />
      <PickField path="know.arcTest" label="Light pass without rod" clearable :words="{ 'wets-clean': 'wets clean', 'black-pepper': 'black pepper', 'white-powder': 'white powder', 'bright-flare': 'bright flare', 'cracks-behind': 'cracks behind' }" />
      <WordsField path="know.alloy" label="Alloy, if you know it for sure" :max="40" />
    </template>
    <template #piece><FamilyOdds /></template>
  </StationFrame>
</template>
