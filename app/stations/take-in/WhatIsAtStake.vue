<script setup lang="ts">
import { computed } from 'vue'
import PickField from '~/bench/PickField.vue'
import PickMany from '~/bench/PickMany.vue'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'

/** Who is hurt if it breaks, what it holds, and what stays on it while it is mended: asked where one looks for it. */
const store = useJob()
const kept = computed(() => store.job?.takeIn.keptOn ?? [])
const said = computed(
  () =>
    kept.value.length > 0 ||
    store.job?.takeIn.stakes !== 'nothing' ||
    Boolean(store.job?.takeIn.minds.length) ||
    Boolean(store.job?.takeIn.pressureMPa.typed),
)
const add = () =>
  store.edit(
    ['takeIn', 'keptOn'],
    [...kept.value, { id: crypto.randomUUID(), name: '', limitC: { typed: '', value: null } }],
  )
const remove = (id: string) =>
  store.edit(
    ['takeIn', 'keptOn'],
    kept.value.filter(one => one.id !== id),
  )
</script>

<template>
  <details :open="said" data-testid="at-stake">
    <summary>Who is hurt, pressure, what stays on it</summary>
    <PickField path="takeIn.stakes" />
    <PickMany path="takeIn.minds" />
    <ReadingField path="takeIn.pressureMPa" />
    <p class="label">Stays on the part while it is mended</p>
    <div v-for="one in kept" :key="one.id" class="kept">
      <WordsField :path="`takeIn.keptOn.#${one.id}.name`" label="What it is" :max="60" />
      <ReadingField :path="`takeIn.keptOn.#${one.id}.limitC`" unit="c" label="Stands" />
      <button type="button" class="plain-button slight" @click="remove(one.id)">Take it off the list</button>
    </div>
    <button type="button" class="plain-button slight" data-testid="add-kept" @click="add">
      Something that stays on it
    </button>
  </details>
</template>

<style scoped>
.kept {
  border-left: 3px solid var(--metal);
  padding-left: 10px;
  margin: 8px 0;
}
</style>
