<script setup lang="ts">
import { USES } from '#core/metal/identify/uses.table'
import EvidenceTest from '~/bench/EvidenceTest.vue'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import AnalyserReading from './AnalyserReading.vue'
import FamilyOdds from './FamilyOdds.vue'

const USE_WORDS = Object.fromEntries(USES.map(({ part }) => [part, part]))
</script>

<template>
  <StationFrame id="know">
    <template #readings>
      <EvidenceTest test="mark"><WordsField path="know.markText" label="What it says" :max="120" /></EvidenceTest>
      <EvidenceTest test="form"
        ><PickField
          path="know.form"
          label="Made from"
          clearable
          :words="{
            sheet: 'sheet or plate',
            extrusion: 'extrusion',
            forging: 'forging',
            casting: 'casting',
            'machined-all-over': 'machined all over',
          }"
      /></EvidenceTest>
      <EvidenceTest test="surface"
        ><PickField
          path="know.surface"
          label="Skin"
          clearable
          :words="{
            'sand-grain': 'sand grain',
            'smooth-mould': 'smooth mould skin',
            'ejector-marks': 'ejector marks',
            rolled: 'rolled',
            'extrusion-lines': 'extrusion lines',
          }"
      /></EvidenceTest>
      <EvidenceTest test="fracture"
        ><PickField
          path="know.fracture"
          label="Break"
          clearable
          :words="{ granular: 'granular', stretched: 'stretched' }"
      /></EvidenceTest>
      <EvidenceTest test="use"
        ><PickField path="know.usePart" label="It was a" clearable :words="USE_WORDS"
      /></EvidenceTest>
      <EvidenceTest test="density">
        <ReadingField path="know.dryG" unit="g" label="Dry" />
        <ReadingField path="know.submergedG" unit="g" label="Under water" />
        <ReadingField path="know.hangerG" unit="g" label="Empty hanger" />
        <ReadingField path="know.scaleG" unit="g" label="Scale step" />
      </EvidenceTest>
      <EvidenceTest test="vinegar"
        ><PickField path="know.vinegar" label="Vinegar" clearable :words="{ fizz: 'fizzes', still: 'lies still' }"
      /></EvidenceTest>
      <EvidenceTest test="conductivity"><ReadingField path="know.iacsPct" unit="pct" label="% IACS" /></EvidenceTest>
      <EvidenceTest test="hardness"><ReadingField path="know.hb" unit="number" label="HB" /></EvidenceTest>
      <EvidenceTest test="causticSpot"
        ><PickField
          path="know.causticSpot"
          label="Spot"
          clearable
          :words="{ black: 'black', 'grey-brown': 'grey-brown', clear: 'clear' }"
      /></EvidenceTest>
      <EvidenceTest test="arcTest"
        ><PickField
          path="know.arcTest"
          label="Puddle"
          clearable
          :words="{
            'wets-clean': 'wets clean',
            'black-pepper': 'black pepper',
            'white-powder': 'white powder',
            'bright-flare': 'bright flare',
            'cracks-behind': 'cracks behind',
          }"
      /></EvidenceTest>
      <EvidenceTest test="composition"><AnalyserReading /></EvidenceTest>
      <WordsField path="know.alloy" label="Alloy, if you know it for sure" :max="40" />
    </template>
    <template #piece><FamilyOdds /></template>
  </StationFrame>
</template>
