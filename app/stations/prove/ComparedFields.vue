<script setup lang="ts">
import { compared } from '#core/job/fields/prove'
import { schemaOf } from '#core/job/fields/declared'
import ReadingField from '~/bench/ReadingField.vue'
import { useJob } from '~/stores/job'

const store = useJob()
const add = () =>
  store.edit(
    ['prove', 'compared'],
    [...store.job!.prove.compared, { id: crypto.randomUUID(), what: '', ...schemaOf(compared).parse({}) }],
  )
const drop = (id: string) =>
  store.edit(
    ['prove', 'compared'],
    store.job!.prove.compared.filter(entry => entry.id !== id),
  )
const name = (n: number, text: string | null) => store.edit(['prove', 'compared', n, 'what'], (text ?? '').slice(0, 80))
</script>

<template>
  <details :open="store.job!.prove.compared.length > 0">
    <summary>What may not move, before and after</summary>
    <div v-for="(entry, n) in store.job!.prove.compared" :key="entry.id" class="measure">
      <v-text-field
        :model-value="entry.what"
        label="What: bore, pivots, face"
        maxlength="80"
        :data-what="n"
        @update:model-value="name(n, $event)"
      />
      <ReadingField :path="`prove.compared.${n}.beforeMm`" /><ReadingField
        :path="`prove.compared.${n}.afterMm`"
      /><ReadingField :path="`prove.compared.${n}.limitMm`" />
      <button type="button" class="open-figure small" @click="drop(entry.id)">out</button>
    </div>
    <button
      type="button"
      class="plain-button slight"
      data-testid="add-compared"
      :disabled="store.job!.prove.compared.length >= 40"
      @click="add()"
    >
      Add a measure
    </button>
  </details>
</template>

<style scoped>
.measure {
  margin: 10px 0;
}
</style>
