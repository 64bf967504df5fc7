<script setup lang="ts">
import { SAFETY_CRITICAL } from '#core/call/judge.table'
import { CAUSES, COATINGS, MUST_NOT_MOVE, PROTECTS } from '#core/job/words.table'
import { MOVES } from '#core/part/words.table'
import MoneyField from '~/bench/MoneyField.vue'
import PickField from '~/bench/PickField.vue'
import PickMany from '~/bench/PickMany.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import BeginWith from './BeginWith.vue'
import BrokenPick from './BrokenPick.vue'
import ComebackFields from './ComebackFields.vue'
import PartFacts from './PartFacts.vue'

const SAFETY = Object.fromEntries(
  SAFETY_CRITICAL.map(id => [
    id,
    {
      none: 'nobody is hurt if it breaks',
      wheel: 'a wheel',
      'steering-brake': 'steering or brakes',
      lifting: 'lifting gear',
      pressure: 'a pressure vessel',
      aircraft: 'an aircraft part',
    }[id],
  ]),
)
const SOAK = {
  dry: 'never held oil',
  handled: 'handled, a little greasy',
  oily: 'oily',
  'oil-soaked': 'soaked: held oil for years',
}
const EARLIER = {
  none: 'no earlier repair',
  weld: 'welded before',
  epoxy: 'epoxy or filler in it',
  insert: 'a thread insert',
  braze: 'brazed or soldered before',
}
const PROTECT_WORDS = Object.fromEntries(Object.entries(PROTECTS).map(([id, { name }]) => [id, name]))
</script>

<template>
  <StationFrame id="take-in">
    <template #above><BeginWith /></template>
    <template #readings>
      <BrokenPick />
      <PickField
        path="takeIn.does"
        label="What it does"
        :words="{ seal: 'seals', static: 'steady load', cyclic: 'repeated load' }"
      />
      <PickField path="takeIn.moves" label="How it moves" :words="MOVES" />
      <PickField path="takeIn.soak" label="Oil in the metal" :words="SOAK" />
      <PickField path="takeIn.earlierRepair" label="Earlier repair" :words="EARLIER" />
      <PickField path="takeIn.cause" label="Why it broke" :words="CAUSES" />
      <WordsField path="takeIn.causeCure" label="What is done about that" />
      <WordsField path="takeIn.damage" label="The damage, as seen" long />
      <ReadingField path="takeIn.wallMm" unit="mm" label="Wall at the damage" />
      <ReadingField path="takeIn.lengthMm" unit="mm" label="Length over all" />
      <ReadingField path="takeIn.widthMm" unit="mm" label="Width" />
      <ReadingField path="takeIn.heightMm" unit="mm" label="Height" note="a flat plate: leave empty" />
      <ReadingField path="takeIn.hotC" unit="c" label="Runs as hot as" />
      <PickField path="takeIn.coating" label="Coating on it" :words="COATINGS" />
      <PickField path="takeIn.finishAfter" label="Finish afterwards" :words="COATINGS" />
      <PickField path="takeIn.safetyCritical" label="If it breaks again" :words="SAFETY" />
      <MoneyField path="takeIn.newPrice" label="Price of a new one" />
      <MoneyField path="takeIn.newWeeks" label="A new one takes" suffix="weeks" />
      <ComebackFields />
      <PickMany path="takeIn.mustNotMove" label="May not move" :words="MUST_NOT_MOVE" />
      <PickMany path="takeIn.protect" label="Keep from harm" :words="PROTECT_WORDS" />
    </template>
    <template #piece="{ working }"><PartFacts @working="working('body')" /></template>
  </StationFrame>
</template>
