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
      <EvidenceTest test="mark"><WordsField path="know.markText" /></EvidenceTest>
      <EvidenceTest test="form"><PickField path="know.form" /></EvidenceTest>
      <EvidenceTest test="surface"><PickField path="know.surface" /></EvidenceTest>
      <EvidenceTest test="fracture"><PickField path="know.fracture" /></EvidenceTest>
      <EvidenceTest test="use"><PickField path="know.usePart" clearable :words="USE_WORDS" /></EvidenceTest>
      <EvidenceTest test="density">
        <ReadingField path="know.dryG" />
        <ReadingField path="know.submergedG" />
        <ReadingField path="know.hangerG" />
        <ReadingField path="know.scaleG" />
      </EvidenceTest>
      <EvidenceTest test="vinegar"><PickField path="know.vinegar" /></EvidenceTest>
      <EvidenceTest test="conductivity"><ReadingField path="know.iacsPct" /></EvidenceTest>
      <EvidenceTest test="hardness"><ReadingField path="know.hb" /></EvidenceTest>
      <EvidenceTest test="causticSpot"><PickField path="know.causticSpot" /></EvidenceTest>
      <EvidenceTest test="arcTest"><PickField path="know.arcTest" /></EvidenceTest>
      <EvidenceTest test="composition"><AnalyserReading /></EvidenceTest>
      <WordsField path="know.alloy" />
    </template>
    <template #piece><FamilyOdds /></template>
  </StationFrame>
</template>
