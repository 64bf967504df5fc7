<script setup lang="ts">
import { computed } from 'vue'
import MoneyField from '~/bench/MoneyField.vue'
import PickField from '~/bench/PickField.vue'
import PickMany from '~/bench/PickMany.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import { formInName } from '#core/metal/identify/form-in-name'
import { useJob } from '~/stores/job'
import BeginWith from './BeginWith.vue'
import BrokenPick from './BrokenPick.vue'
import ComebackFields from './ComebackFields.vue'
import PartFacts from './PartFacts.vue'
import WhatIsAtStake from './WhatIsAtStake.vue'

const store = useJob()
const named = computed(() =>
  store.job!.know.form && store.job!.know.form === formInName(store.job!.title) ? 'as its name says' : undefined,
)
</script>

<template>
  <StationFrame id="take-in">
    <template #above><BeginWith /></template>
    <template #readings>
      <BrokenPick />
      <PickField path="know.form" :note="named" clearable />
      <PickField path="takeIn.does" />
      <PickField path="takeIn.moves" />
      <PickField path="takeIn.soak" />
      <PickField path="takeIn.earlierRepair" />
      <PickField path="takeIn.cause" />
      <WordsField path="takeIn.causeCure" />
      <WordsField path="takeIn.damage" />
      <ReadingField path="takeIn.wallMm" />
      <ReadingField path="takeIn.lengthMm" />
      <ReadingField path="takeIn.widthMm" />
      <ReadingField path="takeIn.heightMm" />
      <ReadingField path="takeIn.hotC" />
      <PickField path="takeIn.coating" />
      <PickField path="takeIn.finishAfter" />
      <PickField path="takeIn.safetyCritical" />
      <WhatIsAtStake />
      <MoneyField path="takeIn.newPrice" />
      <MoneyField path="takeIn.newWeeks" />
      <ComebackFields />
      <PickMany path="takeIn.mustNotMove" />
      <PickMany path="takeIn.protect" />
    </template>
    <template #piece="{ working }"><PartFacts @working="working('body')" /></template>
  </StationFrame>
</template>
